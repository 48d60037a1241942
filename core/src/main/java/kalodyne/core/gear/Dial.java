package kalodyne.core.gear;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Where a knob points, told as on a clock face: from the hour of its lowest position clockwise to that of its highest.
 *
 * @param startMinutes the lowest position in minutes after twelve, from 0 to 719
 * @param sweepMinutes how far it turns, from 60 to 720 minutes; an hour is 30°
 */
public record Dial(int startMinutes, int sweepMinutes) {
    /** 7 o'clock to 5 o'clock, 300°, as most knobs turn (common practice). */
    public static final Dial USUAL = new Dial(7 * 60, 10 * 60);

    private static final int HALF_DAY = 720;
    private static final int QUARTER_HOUR = 15;
    private static final Pattern CLOCK = Pattern.compile("(\\d{1,2})(?::(\\d{2}))?(?:\\s*(?:o.?clock|h))?");

    public Dial {
        if (startMinutes < 0 || startMinutes >= HALF_DAY || sweepMinutes < 60 || sweepMinutes > HALF_DAY) {
            throw new IllegalArgumentException("a dial starts within 12 hours and sweeps 1 to 12 hours, got start "
                    + startMinutes + " min, sweep " + sweepMinutes + " min");
        }
    }

    /** From two clock readings such as "7:00" and "5:00". */
    public static Dial between(String lowest, String highest) {
        int start = minutes(lowest) % HALF_DAY;
        int sweep = Math.floorMod(minutes(highest) - start, HALF_DAY);
        return new Dial(start, sweep == 0 ? HALF_DAY : sweep);
    }

    /** The clock reading of a position from 0 to 1, to the minute: "10:45". */
    public String clock(double position) {
        int minutes = (int) Math.round(startMinutes + position * sweepMinutes) % HALF_DAY;
        int hour = minutes / 60 == 0 ? 12 : minutes / 60;
        return hour + (minutes % 60 < 10 ? ":0" : ":") + minutes % 60;
    }

    /** Where the hand points at a position: turns clockwise from twelve o'clock, from 0. */
    public double turns(double position) {
        return (startMinutes + position * sweepMinutes) / HALF_DAY;
    }

    /** The clock reading of the highest position. */
    public String highestClock() {
        return clock(1);
    }

    /**
     * The position of a clock reading.
     *
     * @throws UnreadableQuantity where the text is no time or the knob does not turn there
     */
    public double position(String clock) {
        int along = Math.floorMod(minutes(clock) - startMinutes, HALF_DAY);
        // A full circle ends where it starts: its end is meant by nobody who writes its start.
        if (along > sweepMinutes) {
            throw new UnreadableQuantity(
                    "The knob does not turn to " + clock.strip() + ".",
                    "It goes from " + clock(0) + " to " + highestClock() + ".");
        }
        return (double) along / sweepMinutes;
    }

    /** The nearest position that reads a full quarter hour: what a hand can set and an eye can read back. */
    public double nearestQuarter(double position) {
        double minutes = startMinutes + position * sweepMinutes;
        double snapped = Math.rint(minutes / QUARTER_HOUR) * QUARTER_HOUR;
        return Math.max(0, Math.min(1, (snapped - startMinutes) / sweepMinutes));
    }

    /** How much travel a quarter of an hour is. */
    public double quarterHour() {
        return (double) QUARTER_HOUR / sweepMinutes;
    }

    private static int minutes(String clock) {
        Matcher matcher = CLOCK.matcher(clock.strip().toLowerCase(Locale.ROOT));
        if (matcher.matches()) {
            int hour = Integer.parseInt(matcher.group(1));
            int minute = matcher.group(2) == null ? 0 : Integer.parseInt(matcher.group(2));
            if (hour >= 1 && hour <= 12 && minute < 60) {
                return hour % 12 * 60 + minute;
            }
        }
        String shown = clock.length() > 20 ? clock.substring(0, 20) + "…" : clock.strip();
        throw new UnreadableQuantity("“" + shown + "” is not a place on a clock face.", "Write for example 10:45.");
    }
}
