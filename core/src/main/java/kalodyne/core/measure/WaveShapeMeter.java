package kalodyne.core.measure;

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
    private static final double STRAIGHT = 0.006;

    private final WaveShapes.Side up = new WaveShapes.Side();
    private final WaveShapes.Side down = new WaveShapes.Side();
    private final float[] half = new float[LONGEST];
    private int length;
    private boolean isTooLong;
    private float top;
    private int topAt;
    private boolean isUp = true;
    private long frame;

    public void accept(float[] samples, int count) {
        for (int i = 0; i < count; i++) {
            float x = samples[i];
            if ((x >= 0) != isUp) {
                finish(frame + i);
                isUp = x >= 0;
            }
            float size = Math.abs(x);
            if (size > top) {
                top = size;
                topAt = length;
            }
            if (length < LONGEST) {
                half[length++] = size;
            } else {
                isTooLong = true;
            }
        }
        frame += count;
    }

    private void finish(long end) {
        if (top >= LEAST_TOP && !isTooLong) {
            measure(end);
        }
        length = 0;
        isTooLong = false;
        top = 0;
    }

    private void measure(long end) {
        double sum = 0;
        for (int i = 0; i < length; i++) {
            sum += half[i];
        }
        (isUp ? up : down).add(top, isFlat(), sum / length / top, end - length, end);
    }

    /**
     * Whether the top is straight. It may slope, as it does behind a high-pass, but it does not bulge.
     */
    private boolean isFlat() {
        float edge = TOP * top;
        int from = topAt;
        while (from > 0 && half[from - 1] >= edge) {
            from--;
        }
        int to = topAt + 1;
        while (to < length && half[to] >= edge) {
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
