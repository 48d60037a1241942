package kalodyne.core.sums;

import kalodyne.core.units.Gain;

/**
 * Resistors that take some level away and keep the impedance on both sides; handbook formulas.
 *
 * @param ohms impedance on both sides, above 0
 * @param loss that it takes, above 0 dB
 */
public record Pad(double ohms, Gain loss) {
    public Pad {
        if (!(ohms > 0) || !(loss.db() > 0) || loss.db() > 100) {
            throw new IllegalArgumentException("a pad takes more than 0 and at most 100 dB at more than 0 Ω");
        }
    }

    private double ratio() {
        return loss.ratio();
    }

    /** Each of the two resistors in series of a T pad: Z·(K − 1)/(K + 1). */
    public double seriesOhms() {
        return ohms * (ratio() - 1) / (ratio() + 1);
    }

    /** The one across of a T or H pad: 2·Z·K/(K² − 1). */
    public double acrossOhms() {
        return 2 * ohms * ratio() / (ratio() * ratio() - 1);
    }

    /** Each of the four in series of an H pad, for balanced lines. */
    public double balancedSeriesOhms() {
        return seriesOhms() / 2;
    }

    /** The one in series of an L pad from a source near 0 Ω into a high input, with a given one across: R·(K − 1). */
    public static double seriesOfDivider(double acrossOhms, Gain loss) {
        return acrossOhms * (loss.ratio() - 1);
    }
}
