package kalodyne.core.takes;

/** The shape of one channel, for drawing: the lowest and the highest sample of each of many equal parts. */
public final class Overview {
    static final int MOST_PARTS = 4096;

    private final long framesPerPart;
    private final float[] lowest;
    private final float[] highest;

    /**
     * Copies what it is given.
     *
     * @param framesPerPart how many frames a part has; the last may have fewer
     */
    Overview(long framesPerPart, float[] lowest, float[] highest) {
        this.framesPerPart = framesPerPart;
        this.lowest = lowest.clone();
        this.highest = highest.clone();
    }

    public long framesPerPart() {
        return framesPerPart;
    }

    public int parts() {
        return lowest.length;
    }

    /** The lowest sample of a part, full scale is 1. */
    public float lowest(int part) {
        return lowest[part];
    }

    /** The highest sample of a part, full scale is 1. */
    public float highest(int part) {
        return highest[part];
    }
}
