package kalodyne.core.gear;

import java.util.regex.Pattern;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/** The two ends of a control as manuals print them: "0 dB to +56 dB", "shut to +10 dB". */
public final class ControlRange {
    private static final String SHUT = "shut";
    private static final Pattern BETWEEN = Pattern.compile("\\bto\\b|…");

    private static final String IN_CENTRE = " in the centre";

    private ControlRange() {}

    public static String print(Taper taper) {
        if (taper instanceof PanTaper pan) {
            return pan.middle() + IN_CENTRE;
        }
        return (Double.isInfinite(taper.lowest().db()) ? SHUT : taper.lowest().toString()) + " to " + taper.highest();
    }

    /**
     * The control with other ends. What begins shut is a volume; anything else has equal travel for equal decibels, unless
     * nothing was changed.
     *
     * @throws UnreadableQuantity where the text has not two ends
     */
    public static Taper read(String text, Taper present) {
        if (text.strip().equals(print(present))) {
            return present;
        }
        if (present instanceof PanTaper pan) {
            return read(text.replace(IN_CENTRE, ""), pan);
        }
        String[] ends = BETWEEN.split(text, -1);
        if (ends.length != 2) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(text.strip()) + "” has not two ends.", "Write for example +4 dB to +58 dB.");
        }
        Gain highest = Quantity.GAIN.read(ends[1]);
        return ends[0].strip().equalsIgnoreCase(SHUT)
                ? new AudioTaper(highest)
                : new LinearTaper(Quantity.GAIN.read(ends[0]), highest);
    }

    private static Taper read(String text, PanTaper present) {
        Gain middle = Quantity.GAIN.read(text);
        try {
            return new PanTaper(middle, present.side());
        } catch (IllegalArgumentException e) {
            throw new UnreadableQuantity(
                    middle + " is nothing that a pan pot takes in its centre.",
                    "Write for example −3 dB; 0 to −6 dB are usual.");
        }
    }
}
