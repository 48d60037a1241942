package kalodyne.core.units;

/**
 * What a microphone gives per sound pressure, open-circuit at 1 kHz; 1 Pa is 94 dB SPL.
 *
 * @param voltsPerPascal 0 or more, finite
 */
public record MicSensitivity(double voltsPerPascal) {
    /** 1 Pa as a sound level. */
    public static final double PASCAL_DB_SPL = 94;

    public MicSensitivity {
        Require.finiteFromZero("sensitivity", voltsPerPascal, "V/Pa");
    }

    /** For example "2.2 mV/Pa". */
    @Override
    public String toString() {
        return Print.plain(voltsPerPascal * 1e3) + " mV/Pa";
    }

    /** What it gives at 1 Pa. */
    public Level atPascal() {
        return Level.ofVolts(voltsPerPascal);
    }
}
