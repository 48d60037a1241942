package kalodyne.core.units;

/**
 * What a microphone gives per sound pressure, open-circuit at 1 kHz; 1 Pa is 94 dB SPL.
 *
 * @param voltsPerPascal 0 or more, finite
 */
public record MicSensitivity(double voltsPerPascal) {
    public MicSensitivity {
        Require.finiteFromZero("sensitivity", voltsPerPascal, "V/Pa");
    }

    /** For example "2.2 mV/Pa". */
    @Override
    public String toString() {
        return Print.plain(voltsPerPascal * 1e3) + " mV/Pa";
    }
}
