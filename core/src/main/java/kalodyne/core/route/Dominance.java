package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import kalodyne.core.gear.DeviceKind;

/** Leaves out detours: ways that go through all devices of a better one and through more, without keeping more. */
final class Dominance {
    private Dominance() {}

    static List<Way> without(List<Way> ways, Stock stock) {
        List<Way> kept = new ArrayList<>();
        ways.stream().sorted(Comparator.comparingDouble(Way::score)).forEach(way -> {
            boolean isDetour = kept.stream().anyMatch(better -> isDetour(way, better, stock));
            if (!isDetour) {
                kept.add(way);
            }
        });
        return kept;
    }

    /** An owned mixer more is no mere detour: it lets one add something later. One such way is told. */
    private static boolean isDetour(Way way, Way better, Stock stock) {
        if (way.channels() > better.channels()
                || way.strands().size() != better.strands().size()) {
            return false;
        }
        // What comes by another socket of the recorder is another way: by data, or as a voltage.
        boolean losesMore = way.channels() < better.channels()
                && way.missing().size() >= better.missing().size()
                && IntStream.range(0, way.strands().size())
                        .allMatch(i -> way.strands()
                                .get(i)
                                .track()
                                .sender()
                                .equals(better.strands().get(i).track().sender()));
        boolean isLonger = false;
        for (int i = 0; i < way.strands().size(); i++) {
            List<String> all = way.strands().get(i).stations();
            List<String> few = better.strands().get(i).stations();
            if (all.equals(few)) {
                continue;
            }
            if (all.size() <= few.size() || !isWithin(few, all)) {
                return false;
            }
            boolean addsMixer = all.stream()
                    .filter(id -> !few.contains(id))
                    .allMatch(id -> !Missing.is(id) && stock.device(id).kind() == DeviceKind.MIXER);
            if (addsMixer && way.missing().size() <= better.missing().size()) {
                return false;
            }
            isLonger = true;
        }
        return isLonger || losesMore;
    }

    /** Whether all of a list stand in another one, in their order. */
    static boolean isWithin(List<String> few, List<String> all) {
        int found = 0;
        for (String each : all) {
            if (found < few.size() && few.get(found).equals(each)) {
                found++;
            }
        }
        return found == few.size();
    }
}
