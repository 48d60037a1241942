package kalodyne.core.gear;

import java.util.List;
import java.util.regex.Pattern;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/**
 * A knob and where it stands.
 *
 * @param name as printed beside it: "gain"
 * @param taper what it does
 * @param dial how its position is told
 * @param marks what is printed beside the clicks of a switch, from its lowest on; empty for what turns, or has none
 * @param position from 0, its lowest, to 1, its highest
 */
public record Control(String name, Taper taper, Dial dial, List<String> marks, double position) {
    private static final Pattern BARE_NUMBER = Pattern.compile("[+\\-−]?\\d+([.,]\\d+)?");

    public Control {
        if (!(position >= 0 && position <= 1)) {
            throw new IllegalArgumentException("position must be from 0 to 1, got " + position);
        }
        position = taper.rest(position);
        marks = List.copyOf(marks);
    }

    /** Without marks. */
    public Control(String name, Taper taper, Dial dial, double position) {
        this(name, taper, dial, List.of(), position);
    }

    public Gain gain() {
        return taper.at(position);
    }

    public Control at(double newPosition) {
        return new Control(name, taper, dial, marks, newPosition);
    }

    /** Within a sentence: "the volume", but "gain 3". */
    public String called() {
        return name.chars().anyMatch(Character::isDigit) ? name : "the " + name;
    }

    /** Where it stands on the clock face: "10:45". */
    public String clock() {
        return dial.clock(position);
    }

    /** What a hand looks for: "10:45"; of a switch the mark that it stands at; of a pan pot the side too: "left, 10:45". */
    public String place() {
        if (isPan()) {
            return PanTaper.words(position) + ", " + clock();
        }
        if (!taper.isStepped()) {
            return clock();
        }
        return marks.isEmpty() ? gain().toString() : marks.get((int) Math.round(position * (marks.size() - 1)));
    }

    private boolean isPan() {
        return taper instanceof PanTaper;
    }

    /** For example "+12.0 dB · 10:45"; a control that is shut says so, a switch its mark, a pan pot its side. */
    public String reading() {
        if (isPan()) {
            return PanTaper.words(position) + " · " + clock();
        }
        String gain = Double.isInfinite(gain().db()) ? "shut" : gain().toString();
        return taper.isStepped() ? place() : gain + " · " + clock();
    }

    /** How many decibels a quarter of an hour changes, upwards where there is room, else downwards; never negative. */
    public Gain perQuarterHour() {
        double step = dial.quarterHour();
        double from = position + step <= 1 ? position : position - step;
        return new Gain(Math.abs(taper.at(from + step).minus(taper.at(from)).db()));
    }

    /**
     * The position that somebody typed, as a clock reading or as a gain.
     *
     * @throws UnreadableQuantity where it is neither, or out of the control's range
     */
    public double read(String text) {
        String typed = text.strip();
        if (isPan() && typed.equalsIgnoreCase(PanTaper.words(PanTaper.CENTRE))) {
            return PanTaper.CENTRE;
        }
        for (int mark = 0; mark < marks.size(); mark++) {
            if (typed.equalsIgnoreCase(marks.get(mark))) {
                return taper.rest(mark / Math.max(1.0, marks.size() - 1));
            }
        }
        if (typed.contains(":")) {
            return taper.rest(dial.position(typed));
        }
        Gain wanted = Quantity.GAIN.read(BARE_NUMBER.matcher(typed).matches() ? typed + " dB" : typed);
        if (wanted.compareTo(taper.lowest()) < 0 || wanted.compareTo(taper.highest()) > 0) {
            throw new UnreadableQuantity(
                    "The " + name + " does not reach " + Print.signed(wanted.db(), 1) + " dB.",
                    "It goes from " + ControlRange.print(taper) + ".");
        }
        return taper.positionFor(wanted);
    }
}
