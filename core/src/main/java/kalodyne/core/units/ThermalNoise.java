package kalodyne.core.units;

/** The noise that every resistance makes by being warm (Johnson and Nyquist): √(4·k·T·R·B). */
public final class ThermalNoise {
    /** J/K, exact since the SI of 2019. */
    private static final double BOLTZMANN = 1.380649e-23;

    private static final double ROOM_KELVIN = 293.15;

    /** The band that noise figures of sound equipment are given for, 20 Hz to 20 kHz, taken as 20 kHz wide. */
    private static final double AUDIO_BAND_HZ = 20_000;

    /** The source that noise figures of inputs are measured with; common practice. */
    public static final Impedance RATED_SOURCE = new Impedance(150);

    private ThermalNoise() {}

    /** At 20 °C over 20 kHz: −130.9 dBu for 150 Ω. */
    public static Level of(Impedance resistance) {
        return Level.ofVolts(Math.sqrt(4 * BOLTZMANN * ROOM_KELVIN * resistance.ohms() * AUDIO_BAND_HZ));
    }
}
