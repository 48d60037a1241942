package kalodyne.core.lineup;

import java.util.List;
import kalodyne.core.sums.Clocks;
import kalodyne.core.units.Print;

/** An alignment in words. */
public final class LineUpWords {
    private static final double MILLI = 1000;
    private static final double MILLION = 1e6;
    private static final double LEAST_TOLD_PPM = 0.01;
    /** Less than this an hour nobody hears or sees: half a picture of a film. */
    private static final double UNNOTICED_MILLISECONDS = 20;

    private LineUpWords() {}

    /** What is the case: where the other one begins, and how its clock ran. */
    public static String sentence(Alignment alignment) {
        return sentence(alignment.clock(), alignment.driftUncertaintyPpm());
    }

    /**
     * The same of any clock.
     *
     * @param driftUncertaintyPpm how well its drift is known
     */
    public static String sentence(ClockLine clock, double driftUncertaintyPpm) {
        return Print.startingSentence(begins(clock)) + ". "
                + Print.startingSentence(runs(MILLION * clock.drift(), driftUncertaintyPpm)) + ".";
    }

    /** Where the other one begins, as part of a sentence. */
    public static String begins(ClockLine clock) {
        double offset = clock.offsetSeconds();
        if (Math.abs(offset) < 5e-4) {
            return "both begin together";
        }
        return "the other recording begins " + span(Math.abs(offset)) + (offset > 0 ? " before" : " after")
                + " the reference";
    }

    private static String runs(double ppm, double uncertainty) {
        if (Math.abs(ppm) <= uncertainty) {
            return "no difference of the clocks can be told (less than "
                    + Print.decimal(Math.max(LEAST_TOLD_PPM, uncertainty), decimals(uncertainty)) + " ppm)";
        }
        double hourly = Math.abs(Clocks.millisecondsAnHour(ppm));
        String anHour = hourly < MILLI
                ? Print.decimal(hourly, hourly < 10 ? 1 : 0) + " ms"
                : Print.decimal(hourly / MILLI, 2) + " s";
        return "its clock ran " + Print.decimal(Math.abs(ppm), decimals(uncertainty)) + " ppm "
                + (ppm > 0 ? "fast" : "slow") + ": " + anHour + " an hour"
                + (hourly < UNNOTICED_MILLISECONDS ? ", which nobody notices" : "");
    }

    private static int decimals(double uncertaintyPpm) {
        return uncertaintyPpm < 0.05 ? 2 : uncertaintyPpm < 1 ? 1 : 0;
    }

    /** "6.750 s", "1 h 12 min 6.750 s". */
    private static String span(double seconds) {
        if (seconds < 60) {
            return Print.decimal(seconds, 3) + " s";
        }
        long minutes = (long) (seconds / 60);
        String rest = minutes % 60 + " min " + Print.decimal(seconds - 60 * minutes, 3) + " s";
        return minutes < 60 ? rest : minutes / 60 + " h " + rest;
    }

    /** What to type into a film editor that is to do it itself. */
    public static String forEditor(ClockLine clock) {
        // Its beginning, by the reference's clock.
        double begins = clock.inReference(0);
        String where = begins < 0 ? "cut " + span(-begins) + " off its beginning" : "let it begin at " + span(begins);
        return "In a film editor: play the other recording at "
                + Print.decimal(100 * (1 + clock.drift()), 4) + " % speed, without keeping the pitch, and "
                + where + ".";
    }

    static String ambiguous(List<Double> places) {
        return "The sound repeats itself: they fit at " + places.size()
                + " places or more. Go by something that does not repeat.";
    }
}
