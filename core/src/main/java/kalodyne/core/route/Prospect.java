package kalodyne.core.route;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import kalodyne.core.gear.DeviceKind;

/** Tells of a way through devices, before any joint of it is computed, whether it can still come among the best. */
final class Prospect {
    /** What one device more costs at the least: a plug and setting it up. */
    private static final double LEAST_MORE = 3;

    private final Stock stock;
    private final Wish wish;
    private final int most;

    /**
     * For a wish.
     *
     * @param most so many ways are told
     */
    Prospect(Stock stock, Wish wish, int most) {
        this.stock = stock;
        this.wish = wish;
        this.most = most;
    }

    /**
     * Whether it cannot: even without a fault it would come behind enough others, or it is a detour of one without fault.
     *
     * @param devices from the source to the recorder
     * @param breaks at the least
     */
    boolean isVain(List<String> devices, int breaks, Collection<Way> found) {
        double atLeast = Scoring.atLeast(wish, devices, breaks, stock);
        List<Way> ahead = found.stream()
                .filter(way -> way.score() <= atLeast)
                .sorted(Comparator.comparingDouble(Way::score))
                .toList();
        return Dominance.without(ahead, stock).size() >= most
                || ahead.stream().anyMatch(way -> isClean(way) && isDetour(devices, way));
    }

    /** Whether a longer one through the same devices, with at least a plug and a device more, cannot be better. */
    private static boolean isClean(Way way) {
        double against = way.reasons().stream()
                .filter(reason -> reason.of() != Reason.Of.BREAKS && reason.of() != Reason.Of.DEVICES)
                .mapToDouble(Reason::points)
                .sum();
        return against < LEAST_MORE;
    }

    private boolean isDetour(List<String> devices, Way way) {
        List<String> few = way.strands().get(0).stations();
        return devices.size() > few.size()
                && Dominance.isWithin(few, devices)
                && devices.stream()
                        .filter(id -> !few.contains(id))
                        .anyMatch(id -> stock.device(id).kind() != DeviceKind.MIXER);
    }
}
