package kalodyne.core.units;

/**
 * A voltage on a wire, as its RMS in dBu. A peak is given as the RMS of the sine that has the same peak, so that it
 * compares with the clip ceilings that makers print.
 *
 * @param dbu level re √0.6 V; negative infinity is silence; never NaN
 */
public record Level(double dbu) implements Comparable<Level> {
    /** √0.6 V = 0.774597 V. */
    private static final double VOLTS_AT_0_DBU = Math.sqrt(0.6);

    public static final Level SILENCE = new Level(Double.NEGATIVE_INFINITY);

    public Level {
        if (Double.isNaN(dbu)) {
            throw new IllegalArgumentException("level must be a number of dBu, got NaN");
        }
    }

    /**
     * The level of a voltage.
     *
     * @param volts RMS, 0 or more
     */
    public static Level ofVolts(double volts) {
        return new Level(Gain.ofRatio(volts / VOLTS_AT_0_DBU).db());
    }

    /** dBu = dBV + 2.2185. */
    public static Level ofDbv(double dbv) {
        return new Level(dbv - Gain.ofRatio(VOLTS_AT_0_DBU).db());
    }

    /** The level of a sine from its highest to its lowest point. */
    public static Level ofVoltsPeakToPeak(double volts) {
        return ofVolts(volts / (2 * Math.sqrt(2)));
    }

    /** The level of a sine from its middle to its highest point. */
    public static Level ofVoltsPeak(double volts) {
        return ofVolts(volts / Math.sqrt(2));
    }

    /** RMS volts; 0 for silence. */
    public double volts() {
        return new Gain(dbu).ratio() * VOLTS_AT_0_DBU;
    }

    public double dbv() {
        return dbu + Gain.ofRatio(VOLTS_AT_0_DBU).db();
    }

    public Level plus(Gain gain) {
        return new Level(dbu + gain.db());
    }

    /** How far this level lies above the other. Of two silences: nothing. */
    public Gain above(Level other) {
        return dbu == other.dbu ? Gain.NONE : new Gain(dbu - other.dbu);
    }

    /** The level of two signals that have nothing to do with each other, such as two noises: powers add. */
    public Level withUncorrelated(Level other) {
        return ofVolts(Math.hypot(volts(), other.volts()));
    }

    public boolean isSilence() {
        return dbu == Double.NEGATIVE_INFINITY;
    }

    @Override
    public int compareTo(Level other) {
        return Double.compare(dbu, other.dbu);
    }

    /** In the unit in use: "+4.0 dBu". */
    @Override
    public String toString() {
        return LevelUnit.inUse().print(this);
    }
}
