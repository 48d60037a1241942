package kalodyne.core.studio.log;

import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/**
 * A fault, and how often it was there.
 *
 * @param code of the rule that noticed it
 * @param severity the worst that it was
 * @param title a few words, as it was called last
 * @param times in so many takes
 * @param of so many that were read
 * @param mostly the run that had it most often; empty where there is no such
 * @param since so many takes of that run were read after the last one that had it
 */
public record Recurring(String code, Severity severity, String title, int times, int of, String mostly, int since) {
    private static final int GONE = 2;

    /** "in 3 of 7 takes, mostly Cello → track 1; not in the last 2". */
    public String words() {
        return "in " + times + " of " + Print.counted(of, "take")
                + (mostly.isEmpty() ? "" : ", " + (times > 1 ? "mostly " : "") + mostly)
                + (since >= GONE ? "; not in the last " + since : "");
    }
}
