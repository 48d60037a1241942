package kalodyne.core.route;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
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
            return way.missing().isEmpty()
                    ? "nothing"
                    : way.missing().stream()
                            .map(each -> each.ownPrice().isPresent()
                                    ? Spending.write(each.ownPrice().getAsDouble())
                                    : "price " + each.price().name())
                            .sorted()
                            .collect(Collectors.joining(" + "));
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
