package kalodyne.core.sums;

/**
 * How late one hears oneself through a computer: a buffer in, a buffer out, and what converters and drivers add.
 *
 * @param bufferFrames of each of both buffers, 1 or more
 * @param sampleRateHz above 0
 * @param restMilliseconds converters, driver, safety buffers; 0 or more
 */
public record Latency(int bufferFrames, double sampleRateHz, double restMilliseconds) {
    private static final double MILLI = 1000;

    /** From here on players feel it; common practice. */
    public static final double FELT_MILLISECONDS = 12;

    /** In air of 20 °C. */
    public static final double METRES_PER_SECOND = 343;

    public Latency {
        if (bufferFrames < 1 || !(sampleRateHz > 0) || !(restMilliseconds >= 0)) {
            throw new IllegalArgumentException("a buffer has 1 frame or more, at more than 0 Hz");
        }
    }

    public double bufferMilliseconds() {
        return MILLI * bufferFrames / sampleRateHz;
    }

    /** In and out again. */
    public double roundTripMilliseconds() {
        return 2 * bufferMilliseconds() + restMilliseconds;
    }

    /** How far away a loudspeaker would be that is heard as late. */
    public static double metresOfAir(double milliseconds) {
        return milliseconds / MILLI * METRES_PER_SECOND;
    }
}
