package kalodyne.core.route;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kalodyne.core.units.Print;

/** The same six things that are told of every way, so that one can compare them at a glance. */
public enum WayFact {
    KEPT("Kept") {
        @Override
        public String of(Way way) {
            return way.strands().stream()
                    .map(strand -> strand.channels() == 1 ? "mono" : "stereo")
                    .collect(Collectors.joining(", "));
        }
    },
    SOUND("Sound") {
        @Override
        public String of(Way way) {
            Optional<Prediction> worst = way.strands().stream()
                    .flatMap(strand -> strand.prediction().stream())
                    .min(Comparator.comparing((Prediction each) -> -each.overDb())
                            .thenComparing(Prediction::rangeDb));
            return worst.map(each -> each.clips()
                            ? "clips by " + Print.decimal(each.overDb(), 0) + " dB"
                            : range(each) + " over noise")
                    .orElse("as it is sent");
        }
    },
    TO_GET("To get") {
        @Override
        public String of(Way way) {
            if (way.missing().isEmpty()) {
                return "nothing";
            }
            double known = way.missing().stream()
                    .flatMapToDouble(each -> each.ownPrice().stream())
                    .sum();
            Map<String, Long> classes = way.missing().stream()
                    .filter(each -> each.ownPrice().isEmpty())
                    .collect(Collectors.groupingBy(each -> each.price().name(), TreeMap::new, Collectors.counting()));
            String others = classes.entrySet().stream()
                    .map(each -> (each.getValue() == 1 ? "" : each.getValue() + " × ") + each.getKey())
                    .collect(Collectors.joining(" + "));
            return classes.isEmpty()
                    ? Spending.write(known)
                    : (known > 0 ? Spending.write(known) + " and " : "") + "price " + others;
        }
    },
    BREAKS("Breaks") {
        @Override
        public String of(Way way) {
            return Integer.toString(way.breaks());
        }
    },
    BETWEEN("Between") {
        @Override
        public String of(Way way) {
            long devices = way.strands().stream()
                    .map(Way.Strand::stations)
                    .flatMap(stations -> Way.between(stations).stream())
                    .distinct()
                    .count();
            return devices == 0 ? "nothing" : devices + (devices == 1 ? " device" : " devices");
        }
    },
    HEARD("Heard") {
        @Override
        public String of(Way way) {
            Way.MonitorFeed heard = way.monitoring();
            boolean isOnSpeakers = way.sideTasks().stream().anyMatch(task -> task.of() == SideTask.Of.SPEAKERS);
            if (!heard.isOnHeadphones() && !isOnSpeakers) {
                return heard.isAsWished() ? "by nobody" : "not as wished";
            }
            return !heard.isAsWished()
                    ? "not as wished"
                    : heard.delayMilliseconds() > 0
                            ? Print.decimal(heard.delayMilliseconds(), 0) + " ms late"
                            : heard.isDirect() ? "direct" : "through the app";
        }
    };

    /** Between the loudest that ears bear and the quietest room. */
    private static final double INAUDIBLE_DB = 100;

    private final String word;

    WayFact(String word) {
        this.word = word;
    }

    /** "Kept", "To get". */
    public String word() {
        return word;
    }

    /** In two or three words. */
    public abstract String of(Way way);

    /** All six: "Kept stereo, Sound 75 dB over noise". */
    public static String all(Way way) {
        return List.of(values()).stream()
                .map(fact -> fact.word + " " + fact.of(way))
                .collect(Collectors.joining(", "));
    }

    /** "75 dB"; nobody hears more than a hundred. */
    static String range(Prediction prediction) {
        return prediction.rangeDb() > INAUDIBLE_DB
                ? "more than " + Print.decimal(INAUDIBLE_DB, 0) + " dB"
                : Print.decimal(prediction.rangeDb(), 0) + " dB";
    }
}
