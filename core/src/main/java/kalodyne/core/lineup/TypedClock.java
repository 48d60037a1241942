package kalodyne.core.lineup;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.units.UnreadableQuantity;

/** Offset and drift as somebody types them: with a decimal comma or point, with or without a unit. */
public final class TypedClock {
    private static final Pattern OFFSET =
            Pattern.compile("([-+]?)(?:(?:([0-9]{1,3}):)?([0-9]{1,4}):)?([0-9]{1,7}(?:\\.[0-9]{1,9})?) ?(s|ms)?");
    private static final Pattern DRIFT = Pattern.compile("([-+]?[0-9]{1,5}(?:\\.[0-9]{1,6})?) ?(?:ppm)?");
    private static final double MOST_OFFSET_SECONDS = 48 * 3600.0;
    private static final double MOST_DRIFT_PPM = 5000;
    private static final double MILLION = 1e6;

    private TypedClock() {}

    /**
     * An offset in seconds: of "6.75 s", "-120 ms", "1:02:03.5".
     *
     * @throws UnreadableQuantity where it is none, or more than two days
     */
    public static double offsetSeconds(String typed) {
        Matcher matcher = OFFSET.matcher(plain(typed));
        if (!matcher.matches()) {
            throw new UnreadableQuantity("That is not an offset.", "Write for example 6.75 s, -120 ms or 1:02:03.5.");
        }
        double seconds = 0;
        for (int group = 2; group <= 4; group++) {
            seconds = 60 * seconds + (matcher.group(group) == null ? 0 : Double.parseDouble(matcher.group(group)));
        }
        double size = "ms".equals(matcher.group(5)) ? seconds / 1000 : seconds;
        if (size > MOST_OFFSET_SECONDS) {
            throw new UnreadableQuantity("It is more than two days.", "Write for example 6.75 s.");
        }
        return "-".equals(matcher.group(1)) ? -size : size;
    }

    /**
     * A drift as a ratio: of "35 ppm", "-20".
     *
     * @throws UnreadableQuantity where it is none, or more than any clock's
     */
    public static double drift(String typed) {
        Matcher matcher = DRIFT.matcher(plain(typed));
        if (!matcher.matches() || Math.abs(Double.parseDouble(matcher.group(1))) > MOST_DRIFT_PPM) {
            throw new UnreadableQuantity("That is not a drift.", "Write -5000 to 5000 ppm, for example 35 ppm.");
        }
        return Double.parseDouble(matcher.group(1)) / MILLION;
    }

    private static String plain(String typed) {
        return typed.strip().replace('−', '-').replace(',', '.');
    }
}
