package kalodyne.core.measure;

/**
 * The shape of half-waves, from one crossing of the middle to the next, by how high they reach. Where something on the way to
 * the recorder cannot go higher, half-waves that reach its ceiling are flat on top, and none goes beyond.
 */
public final class WaveShapeMeter {
    /** Half-waves below −50 dBFS, and those longer than those of 12 Hz at 48 kHz, are not looked at. */
    private static final float LEAST_TOP = 0.003f;

    private static final int LONGEST = 2_000;
    private static final int SHORTEST_FLAT = 3;
    private static final float NEAR_TOP = 0.99f;
    private static final float UPPER_PART = 0.90f;

    /** Of a sine's time above nine tenths of its height, 31 % are above 99 hundredths; of a triangle's 10 %. */
    private static final double FLAT_SHARE = 0.5;

    private final WaveShapes.Side up = new WaveShapes.Side();
    private final WaveShapes.Side down = new WaveShapes.Side();
    private final float[] half = new float[LONGEST];
    private int length;
    private boolean isTooLong;
    private float top;
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
            top = Math.max(top, size);
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
        int nearTop = 0;
        int upper = 0;
        double sum = 0;
        float near = NEAR_TOP * top;
        float part = UPPER_PART * top;
        for (int i = 0; i < length; i++) {
            float size = half[i];
            sum += size;
            upper += size >= part ? 1 : 0;
            nearTop += size >= near ? 1 : 0;
        }
        boolean flat = nearTop >= SHORTEST_FLAT && nearTop > FLAT_SHARE * upper;
        (isUp ? up : down).add(top, flat, sum / length / top, end - length, end);
    }

    /** What was found; the half-wave that is still going on is left out. */
    public WaveShapes shapes() {
        return new WaveShapes(up, down);
    }
}
