package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.route.Reason.Of;
import kalodyne.core.units.Print;

/** What would change the place of a way among those that are told: something else that counts most, or something that is different. */
public final class PlaceChange {
    /** What may not matter to somebody, of all ways alike, and how one says so. */
    private static final Map<Of, String> NO_MATTER = new EnumMap<>(Map.of(
            Of.WISHES, "First if nobody asked for it: ",
            Of.UNPLUGS, "First if nothing had to go for it: ",
            Of.SOUND, "First if nobody minded this: ",
            Of.SIDES, "First if both sides did not matter: "));

    private final List<Way> all;
    private final Wish wish;

    private PlaceChange(List<Way> all, Wish wish) {
        this.all = List.copyOf(all);
        this.wish = wish;
    }

    /** One line each; never empty. */
    public static List<String> of(Way way, List<Way> all, Wish wish) {
        PlaceChange change = new PlaceChange(all, wish);
        return way.equals(all.get(0)) ? change.ofFirst(way) : change.ofOther(way);
    }

    /** What counts against a way, the most first: "4 breaks in the line: 4 points. Every plug can work loose." */
    public static List<String> points(Way way, Wish wish) {
        return way.reasons().stream()
                .filter(reason -> reason.points() > 0.05)
                .sorted(Comparator.comparingDouble((Reason reason) -> -reason.points()))
                .map(reason -> points(reason, wish))
                .distinct()
                .toList();
    }

    private static String points(Reason reason, Wish wish) {
        Weight.Row row = reason.weight().row();
        String more = row.counts()
                .filter(counts -> counts.factor(wish.first(), wish.then()) > 1)
                .map(counts -> ", " + tenths(counts.factor(wish.first(), wish.then())) + " times as much because "
                        + counts.words() + " counts")
                .orElse("");
        return reason.words() + ": " + tenths(reason.points())
                + (Math.abs(reason.points() - 1) < 0.05 ? " point" : " points") + more + ". " + row.why();
    }

    private static String tenths(double value) {
        return Print.plain(Math.rint(value * 10) / 10);
    }

    private List<String> ofFirst(Way first) {
        if (all.size() == 1) {
            return List.of("There is no other way to put before it.");
        }
        Map<Way, List<String>> instead = new LinkedHashMap<>();
        for (Priority other : Priority.values()) {
            Way best = best(other);
            if (!best.equals(first)) {
                instead.computeIfAbsent(best, way -> new ArrayList<>()).add(other.words());
            }
        }
        Stream<String> otherwise = instead.entrySet().stream()
                .map(each -> "If " + String.join(" or ", each.getValue()) + " counted most: “"
                        + each.getKey().title() + "” would be first.");
        Stream<String> owned = all.stream()
                .filter(way -> !way.equals(first))
                .filter(way -> !way.missing().isEmpty() && without(way, Of.TO_GET) < first.score())
                .map(way -> "If you had what it needs (" + names(way) + "): “" + way.title() + "” would be first.");
        List<String> lines = Stream.concat(otherwise, owned).toList();
        return lines.isEmpty() ? List.of("It stays first, whatever counts most.") : lines;
    }

    private List<String> ofOther(Way way) {
        List<String> lines = new ArrayList<>();
        List<String> priorities = Stream.of(Priority.values())
                .filter(other -> best(other).equals(way))
                .map(Priority::words)
                .toList();
        if (!priorities.isEmpty()) {
            lines.add("First if " + String.join(" or ", priorities) + " counted most.");
        }
        double first = all.get(0).score();
        if (!way.missing().isEmpty() && without(way, Of.TO_GET) < first) {
            lines.add("First if you had what it needs: " + names(way) + ".");
        }
        mended(way, first).ifPresent(lines::add);
        NO_MATTER.forEach((of, words) -> {
            if (!against(way, of).isEmpty() && all.stream().allMatch(other -> without(way, of) <= without(other, of))) {
                lines.add(words + against(way, of) + ".");
            }
        });
        if (lines.isEmpty()) {
            double behind = way.score() - first;
            lines.add("Nothing by itself puts it first: it is " + Print.decimal(behind, 0)
                    + (Math.round(behind) == 1 ? " point" : " points") + " behind.");
        }
        return List.copyOf(lines);
    }

    private static Optional<String> mended(Way way, double first) {
        return without(way, Of.FAULTS) < first
                ? Optional.of("First if this were mended: " + against(way, Of.FAULTS) + ".")
                : Optional.empty();
    }

    private static String against(Way way, Of of) {
        return way.reasons().stream()
                .filter(reason -> reason.of() == of && reason.points() > 0.05)
                .map(Reason::words)
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static String names(Way way) {
        return way.missing().stream().map(Missing::name).distinct().collect(Collectors.joining("; "));
    }

    private static double without(Way way, Of of) {
        return way.score()
                - way.reasons().stream()
                        .filter(reason -> reason.of() == of)
                        .mapToDouble(Reason::points)
                        .sum();
    }

    /** The first if something else counted most, and next what counts next now, or most where that is the same. */
    private Way best(Priority first) {
        Priority then = first == wish.first() ? wish.then() : first == wish.then() ? wish.first() : wish.then();
        return all.stream()
                .min(Comparator.comparingDouble(way -> way.reasons().stream()
                        .mapToDouble(reason -> reason.points(first, then))
                        .sum()))
                .orElseThrow();
    }
}
