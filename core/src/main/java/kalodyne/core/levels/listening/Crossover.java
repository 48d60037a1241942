package kalodyne.core.levels.listening;

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

    public Crossover {
        if (!(hertz > 0)) {
            throw new IllegalArgumentException("a crossover lies above 0 Hz, got " + hertz);
        }
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
