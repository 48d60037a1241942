package kalodyne.core.lineup;

import java.util.List;
import kalodyne.core.sums.Clocks;
import kalodyne.core.units.Print;

/** An alignment in words. */
public final class LineUpWords {
    private static final double MILLI = 1000;
    /** Less than this an hour nobody hears or sees: half a picture of a film. */
    private static final double UNNOTICED_MILLISECONDS = 20;

    private LineUpWords() {}

    /** What is the case: where the other one begins, and how its clock ran. */
    public static String sentence(Alignment alignment) {
        return Print.startingSentence(begins(alignment)) + ". " + Print.startingSentence(runs(alignment)) + ".";
    }

    private static String begins(Alignment alignment) {
        double offset = alignment.offsetSeconds();
        if (Math.abs(offset) < 5e-4) {
            return "both begin together";
        }
        return "the other recording begins " + span(Math.abs(offset)) + (offset > 0 ? " before" : " after")
                + " the reference";
    }

    private static String runs(Alignment alignment) {
        double ppm = alignment.driftPpm();
        if (Math.abs(ppm) < alignment.driftUncertaintyPpm()) {
            return "no difference of the clocks can be told (less than "
                    + Print.decimal(alignment.driftUncertaintyPpm(), decimals(alignment)) + " ppm)";
        }
        double hourly = Math.abs(Clocks.millisecondsAnHour(ppm));
        return "its clock ran " + Print.decimal(Math.abs(ppm), decimals(alignment)) + " ppm "
                + (ppm > 0 ? "fast" : "slow") + ": "
                + (hourly < 1000
                        ? Print.decimal(hourly, hourly < 10 ? 1 : 0) + " ms"
                        : Print.decimal(hourly / MILLI, 2) + " s")
                + " an hour" + (hourly < UNNOTICED_MILLISECONDS ? ", which nobody notices" : "");
    }

    private static int decimals(Alignment alignment) {
        return alignment.driftUncertaintyPpm() < 0.05 ? 2 : alignment.driftUncertaintyPpm() < 1 ? 1 : 0;
    }

    /** "6.750 s", "12:06.750". */
    private static String span(double seconds) {
        if (seconds < 60) {
            return Print.decimal(seconds, 3) + " s";
        }
        long minutes = (long) (seconds / 60);
        String rest = Print.decimal(seconds - 60 * minutes, 3);
        return minutes + " min " + rest + " s";
    }

    /** What to type into a film editor that is to do it itself. */
    public static String forEditor(Alignment alignment) {
        // Its beginning, by the reference's clock.
        double begins = alignment.clock().inReference(0);
        String where = begins < 0 ? "cut " + span(-begins) + " off its beginning" : "let it begin at " + span(begins);
        return "In a film editor: play the other recording at "
                + Print.decimal(100 * (1 + alignment.clock().drift()), 4) + " % speed, without keeping the pitch, and "
                + where + ".";
    }

    static String ambiguous(List<Double> places) {
        return "The sound repeats itself: they fit at " + places.size()
                + " places or more. Choose by what does not repeat.";
    }
}
