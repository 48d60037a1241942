package kalodyne.core.sums;

import java.time.Duration;
import kalodyne.core.units.Print;

/** Lengths of time and sizes of files in words. */
public final class Spans {
    private static final double KILO = 1000;

    private Spans() {}

    /** "3 h 52 min", "9 min", "30 s". */
    public static String words(Duration span) {
        long seconds = span.toSeconds();
        if (seconds < 60) {
            return seconds + " s";
        }
        if (seconds < 3600) {
            return seconds % 60 == 0 || seconds >= 600
                    ? Math.round(seconds / 60.0) + " min"
                    : seconds / 60 + " min " + seconds % 60 + " s";
        }
        long minutes = Math.round(seconds / 60.0);
        return minutes % 60 == 0 ? minutes / 60 + " h" : minutes / 60 + " h " + minutes % 60 + " min";
    }

    /** "1.04 GB", in powers of a thousand as makers of cards count. */
    public static String bytes(long bytes) {
        double left = bytes;
        String[] units = {"B", "kB", "MB", "GB", "TB"};
        int unit = 0;
        while (left >= KILO && unit < units.length - 1) {
            left /= KILO;
            unit++;
        }
        return Print.decimal(left, unit == 0 || left >= 100 ? 0 : left >= 10 ? 1 : 2) + " " + units[unit];
    }
}
