package kalodyne.core.units;

/**
 * A ratio of two voltages in decibels: positive makes louder.
 *
 * @param db 20·log₁₀ of the ratio; negative infinity means that nothing passes; never NaN
 */
public record Gain(double db) implements Comparable<Gain> {
    public static final Gain NONE = new Gain(0);

    /** Nothing passes. */
    public static final Gain SHUT = new Gain(Double.NEGATIVE_INFINITY);

    public Gain {
        if (Double.isNaN(db)) {
            throw new IllegalArgumentException("gain must be a number of decibels, got NaN");
        }
    }

    /**
     * The gain of a voltage ratio.
     *
     * @param ratio 0 or more
     */
    public static Gain ofRatio(double ratio) {
        if (!(ratio >= 0)) {
            throw new IllegalArgumentException("voltage ratio must be 0 or more, got " + ratio);
        }
        return new Gain(20 * Math.log10(ratio));
    }

    /**
     * The gain of a ratio of powers.
     *
     * @param ratio 0 or more
     */
    public static Gain ofPowerRatio(double ratio) {
        return ofRatio(Math.sqrt(ratio));
    }

    /** The voltage ratio; 0 where nothing passes. */
    public double ratio() {
        return Math.pow(10, db / 20);
    }

    /** The ratio of powers; 0 where nothing passes. */
    public double powerRatio() {
        return Math.pow(10, db / 10);
    }

    public Gain plus(Gain other) {
        return new Gain(db + other.db);
    }

    /** By how much it is more than the other. Of two that let nothing pass: nothing. */
    public Gain minus(Gain other) {
        return db == other.db ? NONE : new Gain(db - other.db);
    }

    public Gain negated() {
        return new Gain(-db);
    }

    @Override
    public int compareTo(Gain other) {
        return Double.compare(db, other.db);
    }

    /** For example "+12.0 dB". */
    @Override
    public String toString() {
        return Print.signed(db, 1) + " dB";
    }
}
