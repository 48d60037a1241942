package kalodyne.core.route;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kalodyne.core.units.Print;

/**
 * Something that speaks for a way or against it.
 *
 * @param weight what it is, and how much such things count
 * @param words "2 breaks in the line"
 * @param times how many of them
 * @param points against it; 0 where it speaks for it
 */
public record Reason(Weight weight, String words, double times, double points) {
    private static final int MOST_TOLD = 2;

    /** What can differ between ways. */
    public enum Of {
        FAULTS("fewer faults"),
        SIDES("more kept apart"),
        TO_GET("cheaper things to get"),
        SOUND("a cleaner sound"),
        WISHES("more as wished"),
        BREAKS("fewer breaks"),
        DEVICES("less to set up"),
        UNPLUGS("less to pull out");

        private final String better;

        Of(String better) {
            this.better = better;
        }
    }

    static Reason of(Weight weight, String words, double times, Wish wish) {
        return new Reason(weight, words, times, times * weight.pointsFor(wish));
    }

    /** What it would count if something else counted most. */
    double points(Priority first, Priority then) {
        return times * weight.points() * weight.factor(first, then);
    }

    public Of of() {
        return weight.row().of();
    }

    /** Where one way is better than another one, the most first: "all of it is owned, 2 breaks in the line". */
    static String better(List<Reason> way, List<Reason> other) {
        Map<Of, Double> gain = sums(other);
        sums(way).forEach((of, points) -> gain.merge(of, -points, Double::sum));
        return gain.entrySet().stream()
                .filter(entry -> entry.getValue() > 0.05)
                .sorted(Map.Entry.<Of, Double>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .limit(MOST_TOLD)
                .map(entry -> words(way, other, entry.getKey(), entry.getValue()))
                .collect(Collectors.joining("; "));
    }

    private static Map<Of, Double> sums(List<Reason> reasons) {
        Map<Of, Double> sums = new EnumMap<>(Of.class);
        reasons.forEach(reason -> sums.merge(reason.of(), reason.points, Double::sum));
        return sums;
    }

    private static String words(List<Reason> way, List<Reason> other, Of of, double points) {
        String here = words(way, other, of);
        String there = words(other, way, of);
        String compared = here.isEmpty() && there.isEmpty()
                ? of.better
                : here.isEmpty() ? "none of this: " + there : there.isEmpty() ? here : here + ", not " + there;
        return compared + " (" + Print.decimal(points, 0) + (Math.round(points) == 1 ? " point)" : " points)");
    }

    /** The gravest of what is said of one only. */
    private static String words(List<Reason> some, List<Reason> others, Of of) {
        List<String> said = others.stream().map(Reason::words).toList();
        return some.stream()
                .filter(reason -> reason.of() == of && !said.contains(reason.words))
                .max(Comparator.comparingDouble(Reason::points))
                .map(Reason::words)
                .orElse("");
    }
}
