package kalodyne.core.levels.listening;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.units.Frequency;
import kalodyne.core.units.Gain;

/**
 * A crossover after Linkwitz and Riley, 4th order: two Butterworth filters of 2nd order in a row on each side. Both sides are 6 dB
 * down where they meet and together they are flat.
 *
 * @param hertz where they meet
 */
public record Crossover(double hertz) {
    /** As most subwoofers are set; common practice. */
    public static final Crossover USUAL = new Crossover(80);

    /** From here on it is heard where the subwoofer stands; common practice. */
    public static final double HIGHEST_HERTZ = 120;

    /** At 20 °C, in metres a second. */
    private static final double SPEED_OF_SOUND = 343;

    /** What is printed beside a crossover's knob: "80 Hz". */
    private static final Pattern MARK = Pattern.compile("(\\d{2,3}) Hz");

    public Crossover {
        if (!(hertz > 0)) {
            throw new IllegalArgumentException("a crossover lies above 0 Hz, got " + hertz);
        }
    }

    /** What a loudspeaker reaches down to, in Hz; 0 where nobody said. */
    public static double lowest(Device loudspeaker) {
        return loudspeaker
                .facts()
                .quantity(Fact.LOWEST_FREQUENCY)
                .map(Frequency::hertz)
                .orElse(0.0);
    }

    /** The switch or knob of a device that says where both sides meet. */
    public static Optional<DeviceControl> control(Device device) {
        return device.controls().stream()
                .filter(control ->
                        control.positions().stream().anyMatch(mark -> read(mark).isPresent()))
                .findFirst();
    }

    /** What a mark means; empty for "bypass". */
    public static Optional<Crossover> read(String mark) {
        Matcher matcher = MARK.matcher(mark);
        return matcher.matches() ? Optional.of(new Crossover(Double.parseDouble(matcher.group(1)))) : Optional.empty();
    }

    /**
     * The mark to set it to: the usual one, or the first above it to which the speakers still reach down.
     *
     * @param lowest what the speakers reach down to, in Hz
     */
    public static String mark(DeviceControl control, double lowest) {
        double least = Math.max(USUAL.hertz, lowest);
        List<String> marks = control.positions().stream()
                .filter(mark -> read(mark).isPresent())
                .toList();
        return marks.stream()
                .filter(mark -> read(mark).orElseThrow().hertz >= least)
                .findFirst()
                .orElse(marks.get(marks.size() - 1));
    }

    /** What the low side passes on. */
    public Gain low(double at) {
        return Gain.ofRatio(1 / (1 + Math.pow(at / hertz, 4)));
    }

    /** What the high side passes on. */
    public Gain high(double at) {
        double fourth = Math.pow(at / hertz, 4);
        return Gain.ofRatio(fourth / (1 + fourth));
    }

    /** How much later something is heard that stands so much farther away. */
    public static double delayMilliseconds(double metres) {
        return metres / SPEED_OF_SOUND * 1000;
    }

    /** How much of a period that is where both sides meet, in degrees: from 90 on they begin to cancel. */
    public double phaseDegrees(double metres) {
        return 360 * hertz * delayMilliseconds(metres) / 1000;
    }

    /** How much farther a subwoofer may stand than the speakers without cancelling them: a quarter of a period. */
    public double mostMetresApart() {
        return SPEED_OF_SOUND / hertz / 4;
    }
}
