package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kalodyne.core.gear.Device;
import kalodyne.core.units.Print;

/** A way in words, the same wherever it is told. */
public final class WayWords {
    private WayWords() {}

    /** "Bass synth – Lead 7 → Interface – Lead 9 → Tablet". */
    public static String path(Way way, Way.Strand strand) {
        StringBuilder path = new StringBuilder(name(way, strand.stations().get(0)));
        for (int i = 1; i < strand.stations().size(); i++) {
            String leads = String.join(", ", strand.leads().get(i - 1));
            path.append(leads.isEmpty() ? " → " : " – " + leads + " → ")
                    .append(name(way, strand.stations().get(i)));
        }
        return path.toString();
    }

    /** "channel 3, mono, 4 breaks, peak −9 dBFS, noise −93 dBFS". */
    public static String recorded(Way.Strand strand) {
        boolean isHeard = strand.track().isHeardOnly();
        List<String> parts = new ArrayList<>();
        if (!isHeard) {
            parts.add(strand.track().words());
        }
        parts.add(strand.channels() == 1 ? "mono" : "stereo");
        parts.add(strand.breaks() + (strand.breaks() == 1 ? " break" : " breaks"));
        strand.prediction().ifPresent(prediction -> {
            if (isHeard && !prediction.clips()) {
                parts.add("noise " + WayFact.range(prediction) + " under the loudest peak");
                return;
            }
            parts.add(
                    prediction.clips()
                            ? "the loudest peak clips by " + Print.decimal(prediction.overDb(), 0) + " dB"
                            : "peak " + Print.decimal(prediction.peak().dbfs(), 0) + " dBFS");
            parts.add("noise " + Print.decimal(prediction.noise().dbfs(), 0) + " dBFS");
        });
        return String.join(", ", parts);
    }

    /** "Headphones on the interface, direct, without delay". */
    public static String heard(Way.MonitorFeed monitoring) {
        return monitoring.words()
                + (monitoring.delayMilliseconds() > 0
                        ? ", about " + Print.decimal(monitoring.delayMilliseconds(), 0) + " ms late"
                        : "");
    }

    /** "1 to get: USB lead, A to C (price class A, a lead or adapter)", "all of it is owned". */
    public static String toGet(Way way) {
        return way.missing().isEmpty()
                ? "all of it is owned"
                : "to get: "
                        + way.missing().stream()
                                .map(each -> each.words() + ", " + each.cost())
                                .collect(Collectors.joining("; "));
    }

    /** What is pulled out first: "Cello – Interface, Interface – Laptop"; empty where nothing is. */
    public static String unplugged(Way way, Function<String, Optional<Device>> device) {
        return Replugging.together(way.unplugged(), id -> device.apply(id).isPresent()).stream()
                .map(group -> group.stream()
                        .flatMap(plugging -> plugging.spots().stream())
                        .flatMap(spot -> device.apply(spot.item()).map(Device::name).stream())
                        .distinct()
                        .collect(Collectors.joining(" – ")))
                .collect(Collectors.joining(", "));
    }

    /** Why a way stands where it does among others: before the next, or behind the first. */
    public static String place(Way way, List<Way> all) {
        Way first = all.get(0);
        if (!way.equals(first)) {
            String better = first.betterThan(way);
            return better.isEmpty()
                    ? "As good as the first, and later in the alphabet"
                    : "Not first. The first has " + better;
        }
        if (all.size() == 1) {
            return "First: there is no other";
        }
        String better = first.betterThan(all.get(1));
        return better.isEmpty() ? "First: as good as the next" : "First: before the next. It has " + better;
    }

    /** The name of a device that a way goes through. */
    public static String name(Way way, String mark) {
        Device device = way.patch().devices().get(mark);
        return device == null ? mark : device.name();
    }
}
