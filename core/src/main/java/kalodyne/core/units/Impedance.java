package kalodyne.core.units;

/**
 * A resistance, or the size of an impedance at 1 kHz.
 *
 * @param ohms 0 or more, finite
 */
public record Impedance(double ohms) {
    public Impedance {
        Require.finiteFromZero("impedance", ohms, "Ω");
    }

    public static Impedance kiloOhms(double kiloOhms) {
        return new Impedance(kiloOhms * 1e3);
    }

    public Impedance inSeriesWith(Impedance other) {
        return new Impedance(ohms + other.ohms);
    }

    public Impedance parallelTo(Impedance other) {
        double sum = ohms + other.ohms;
        return new Impedance(sum == 0 ? 0 : ohms * other.ohms / sum);
    }

    /**
     * What a source of this impedance loses into a load: 20·log₁₀(load / (load + source)), 0 dB or less.
     */
    public Gain intoLoad(Impedance load) {
        double sum = ohms + load.ohms;
        return sum == 0 ? Gain.NONE : Gain.ofRatio(load.ohms / sum);
    }

    /** For example "10 kΩ". */
    @Override
    public String toString() {
        return Print.prefixed(ohms, "Ω");
    }
}
