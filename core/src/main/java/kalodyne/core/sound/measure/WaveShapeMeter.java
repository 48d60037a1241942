package kalodyne.core.sound.measure;

/**
 * The shape of half-waves, from one crossing of the middle to the next, by how high they reach. Where something on the way to
 * the recorder cannot go higher, half-waves that reach its ceiling are flat on top, and none goes beyond.
 */
public final class WaveShapeMeter {
    /** Half-waves below −50 dBFS, and those longer than those of 12 Hz at 48 kHz, are not looked at. */
    private static final float LEAST_TOP = 0.003f;

    private static final int LONGEST = 2_000;
    /** The top is what lies above nine tenths of the height; its middle three fifths are looked at. */
    private static final float TOP = 0.9f;

    private static final double EDGE_SHARE = 0.2;
    private static final int SHORTEST_TOP = 5;

    /** How much the middle of a top bulges over the line between its ends: 3.6 % where it is round, 6 % where it is pointed. */
    private static final double STRAIGHT = 0.005;

    private final WaveShapes.Side up = new WaveShapes.Side();
    private final WaveShapes.Side down = new WaveShapes.Side();
    /** The half-wave that is going on, as far as it was seen. */
    private final float[] half = new float[LONGEST];

    private int length;
    private boolean isTooLong;
    private boolean isUp = true;
    private long frame;

    /** Of the half-wave that is measured. */
    private float top;

    private int topAt;

    public void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int end = at;
            if (isUp) {
                while (end < count && samples[end] >= 0) {
                    end++;
                }
            } else {
                while (end < count && samples[end] < 0) {
                    end++;
                }
            }
            keep(samples, at, end);
            at = end;
            if (at < count) {
                finish(frame + at);
                isUp = !isUp;
            }
        }
        frame += count;
    }

    private void keep(float[] samples, int from, int to) {
        int fitting = Math.min(to - from, LONGEST - length);
        System.arraycopy(samples, from, half, length, fitting);
        length += fitting;
        isTooLong |= fitting < to - from;
    }

    private void finish(long end) {
        if (!isTooLong && findTop() >= LEAST_TOP) {
            measure(end);
        }
        length = 0;
        isTooLong = false;
    }

    private float findTop() {
        top = 0;
        for (int i = 0; i < length; i++) {
            float size = Math.abs(half[i]);
            if (size > top) {
                top = size;
                topAt = i;
            }
        }
        return top;
    }

    private void measure(long end) {
        double sum = 0;
        for (int i = 0; i < length; i++) {
            sum += half[i];
        }
        (isUp ? up : down).add(top, isFlat(), Math.abs(sum) / length / top, end - length, end);
    }

    /**
     * Whether the top is straight. It may slope, as it does behind a high-pass, but it does not bulge.
     */
    private boolean isFlat() {
        float edge = TOP * top;
        int from = topAt;
        while (from > 0 && Math.abs(half[from - 1]) >= edge) {
            from--;
        }
        int to = topAt + 1;
        while (to < length && Math.abs(half[to]) >= edge) {
            to++;
        }
        int wide = to - from;
        if (wide < SHORTEST_TOP) {
            return false;
        }
        int margin = (int) (EDGE_SHARE * wide);
        int third = Math.max(1, (wide - 2 * margin) / 3);
        double ends = (mean(from + margin, third) + mean(to - margin - third, third)) / 2;
        double middle = mean((from + to - third) / 2, third);
        // Between the means of thirds a round top bulges by two thirds of what it does between points.
        return Math.abs(middle - ends) < STRAIGHT * top;
    }

    private double mean(int from, int count) {
        double sum = 0;
        for (int i = from; i < from + count; i++) {
            sum += half[i];
        }
        return sum / count;
    }

    /** What was found; the half-wave that is still going on is left out. */
    public WaveShapes shapes() {
        return new WaveShapes(up, down);
    }
}
