package kalodyne.core.hearing;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/** A response by its size at each frequency, for sound that is held whole. */
public final class Response {
    private final double[] impulse;

    private Response(double[] impulse) {
        this.impulse = impulse;
    }

    /**
     * The one that answers as soon as it can.
     *
     * @param size by frequency in hertz
     */
    public static Response of(DoubleUnaryOperator size, int sampleRateHz) {
        return new Response(MinimumPhase.impulse(size, sampleRateHz));
    }

    /** What comes out where a sound goes in, as long as that. */
    public float[] applied(float[] samples) {
        Convolver convolver = new Convolver(impulse, Auralisation.BLOCK);
        double[] in = new double[Auralisation.BLOCK];
        double[] out = new double[Auralisation.BLOCK];
        float[] all = new float[samples.length];
        for (int at = 0; at < samples.length; at += Auralisation.BLOCK) {
            int count = Math.min(Auralisation.BLOCK, samples.length - at);
            Arrays.fill(in, 0);
            Arrays.fill(out, 0);
            for (int i = 0; i < count; i++) {
                in[i] = samples[at + i];
            }
            convolver.add(in, out);
            for (int i = 0; i < count; i++) {
                all[at + i] = (float) out[i];
            }
        }
        return all;
    }
}
