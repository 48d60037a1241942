package kalodyne.core.units;

/**
 * A level in a recording. For averages and noise 0 dBFS is the RMS of a full-scale sine (AES17); for a sample peak it is
 * full scale itself. A full-scale sine therefore reads 0 dBFS either way.
 *
 * @param dbfs negative infinity is digital silence; never NaN
 */
public record DigitalLevel(double dbfs) implements Comparable<DigitalLevel> {
    public static final DigitalLevel FULL_SCALE = new DigitalLevel(0);

    /** A sine's RMS lies 20·log₁₀(√2) = 3.0103 dB under its peak. */
    private static final Gain SINE_PEAK_OVER_RMS = Gain.ofRatio(Math.sqrt(2));

    public DigitalLevel {
        if (Double.isNaN(dbfs)) {
            throw new IllegalArgumentException("level must be a number of dBFS, got NaN");
        }
    }

    /** From the largest sample, where full scale is 1. */
    public static DigitalLevel ofPeak(double samplePeak) {
        return new DigitalLevel(Gain.ofRatio(samplePeak).db());
    }

    /** From the RMS of the samples, where full scale is 1: 0.7071 is 0 dBFS. */
    public static DigitalLevel ofRms(double rms) {
        return new DigitalLevel(plainRmsDbfs(rms) + SINE_PEAK_OVER_RMS.db());
    }

    /**
     * The RMS of the samples in decibels re full scale 1, without the sine reference, as general sound tools print it: a
     * full-scale sine is −3.01.
     */
    public static double plainRmsDbfs(double rms) {
        return Gain.ofRatio(rms).db();
    }

    /**
     * The noise that rounding to a number of bits adds, re a full-scale sine: −(6.02·bits + 1.76) dBFS.
     *
     * @param bits 1 or more
     */
    public static DigitalLevel quantisingNoise(int bits) {
        // A full-scale sine has an RMS of 2^(bits-1)/√2 steps, the rounding error one of 1/√12 step.
        return new DigitalLevel(
                Gain.ofRatio(Math.sqrt(2.0 / 12) / Math.pow(2, bits - 1)).db());
    }

    /** How many bits have so much between a full-scale sine and the noise of rounding; 0 or more. */
    public static double bits(Gain range) {
        double perBit = Gain.ofRatio(2).db();
        return Math.max(0, (range.db() + quantisingNoise(1).dbfs()) / perBit + 1);
    }

    public DigitalLevel plus(Gain gain) {
        return new DigitalLevel(dbfs + gain.db());
    }

    public Gain above(DigitalLevel other) {
        return dbfs == other.dbfs ? Gain.NONE : new Gain(dbfs - other.dbfs);
    }

    /** The voltage that this level has at a converter whose full scale is that of a sine of the given level. */
    public Level at(Level fullScale) {
        return fullScale.plus(new Gain(dbfs));
    }

    /** What a voltage becomes in a converter whose full scale is that of a sine of the given level. */
    public static DigitalLevel of(Level level, Level fullScale) {
        return new DigitalLevel(level.dbu() - fullScale.dbu());
    }

    /** Whether anything at all was recorded. */
    public boolean isSilence() {
        return dbfs == Double.NEGATIVE_INFINITY;
    }

    @Override
    public int compareTo(DigitalLevel other) {
        return Double.compare(dbfs, other.dbfs);
    }

    /** For example "−6.0 dBFS"; levels in a recording carry a sign only below full scale. */
    @Override
    public String toString() {
        return Print.decimal(dbfs, 1) + " dBFS";
    }
}
