package kalodyne.core.units;

/**
 * A capacitance, such as that between the wires of a lead.
 *
 * @param farads 0 or more, finite
 */
public record Capacitance(double farads) {
    public Capacitance {
        Require.finiteFromZero("capacitance", farads, "F");
    }

    public static Capacitance picofarads(double picofarads) {
        return new Capacitance(picofarads * 1e-12);
    }

    public Capacitance times(double factor) {
        return new Capacitance(farads * factor);
    }

    /** The frequency above which a resistance and this capacitance pass 3 dB less: 1/(2πRC); infinite where RC is 0. */
    public double cornerHz(Impedance resistance) {
        return 1 / (2 * Math.PI * resistance.ohms() * farads);
    }

    /** For example "300 pF". */
    @Override
    public String toString() {
        return Print.prefixed(farads, "F");
    }
}
