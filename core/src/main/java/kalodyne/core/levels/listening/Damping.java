package kalodyne.core.levels.listening;

import kalodyne.core.units.Gain;

/**
 * How well an output holds a driver: its impedance against that of the output.
 *
 * @param factor the driver's impedance over the output's
 */
public record Damping(double factor) {
    /** An output of an eighth of the driver's impedance or less is heard as it is; common practice. */
    public static final double ENOUGH = 8;

    public static Damping of(double driverOhms, double outputOhms) {
        return new Damping(driverOhms / outputOhms);
    }

    public boolean isEnough() {
        return factor >= ENOUGH;
    }

    /** How much louder the driver is at its resonance, where its impedance is high, than elsewhere: at the most. */
    public Gain colouration() {
        return Gain.ofRatio((factor + 1) / factor);
    }
}
