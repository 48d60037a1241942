package kalodyne.core.practice;

import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import kalodyne.core.units.Gain;

/** What goes wrong behind the gear: in leads, in the recorder, in the computer. In place, on both sides. */
final class Flaws {
    private static final double AUTOMATIC_AIM_DB = -14;
    private static final double RELEASE_SECONDS = 0.9;
    private static final double GATE_HOLD_SECONDS = 0.25;
    private static final double GATE_MOVES_SECONDS = 0.005;
    private static final double WHINE_HZ = 1_000;
    private static final int WHINES = 8;
    private static final double RUMBLE_HZ = 14;

    private final float[][] sides;
    private final int rate;
    private final Random random;

    Flaws(float[][] sides, int rate, Random random) {
        this.sides = sides;
        this.rate = rate;
        this.random = random;
    }

    void kill(int side) {
        Arrays.fill(sides[side], 0);
    }

    /** Against the other one, which plays the same. */
    void invert(int side) {
        for (int i = 0; i < sides[0].length; i++) {
            sides[side][i] = -sides[1 - side][i];
        }
    }

    /** A recorder that makes quiet places louder by up to so much. */
    void rideLevel(double mostDb) {
        double most = new Gain(mostDb).ratio();
        double aim = new Gain(AUTOMATIC_AIM_DB).ratio();
        double envelope = aim;
        double down = 1 - Math.exp(-1 / (RELEASE_SECONDS * rate));
        for (int i = 0; i < sides[0].length; i++) {
            double now = loudest(i);
            envelope = Math.max(now, envelope + (now - envelope) * down);
            multiply(i, Math.min(most, aim / Math.max(envelope, 1e-9)));
        }
    }

    /** Shuts where for a while nothing was louder than this. */
    void gate(double aboveDb) {
        double least = new Gain(aboveDb).ratio();
        int held = 0;
        double open = 0;
        for (int i = 0; i < sides[0].length; i++) {
            held = loudest(i) > least ? (int) (GATE_HOLD_SECONDS * rate) : held - 1;
            double step = 1 / (GATE_MOVES_SECONDS * rate);
            open = Math.max(0, Math.min(1, open + (held > 0 ? step : -step)));
            multiply(i, open);
        }
    }

    /** Pieces that never arrived. */
    void drop(int count, double seconds) {
        for (int n = 0; n < count; n++) {
            int from = somewhereLoud();
            for (int i = from; i < Math.min(sides[0].length, from + (int) (seconds * rate)); i++) {
                multiply(i, 0);
            }
        }
    }

    /** Single jumps, so large against the loudest peak. */
    void click(int count, double size) {
        double peak = peak();
        for (int n = 0; n < count; n++) {
            int at = somewhereLoud();
            double jump = (random.nextBoolean() ? 1 : -1) * size * peak;
            for (float[] side : sides) {
                side[at] += (float) jump;
            }
        }
    }

    /** The steady tones of a connection at this many dBFS each, falling. */
    void whine(double db) {
        double size = Math.sqrt(2) * new Gain(db).ratio();
        for (int i = 0; i < sides[0].length; i++) {
            double sum = 0;
            for (int n = 1; n <= WHINES; n++) {
                sum += size / Math.sqrt(n) * Math.sin(2 * Math.PI * n * WHINE_HZ * i / rate);
            }
            add(i, sum);
        }
    }

    void filter(DoubleUnaryOperator size) {
        for (int c = 0; c < 2; c++) {
            sides[c] = FaultMaker.filtered(sides[c], size);
        }
    }

    /** Footsteps and a motor: noise round 14 Hz at this many dBFS. */
    void rumble(double db) {
        float[] noise = new float[sides[0].length];
        for (int i = 0; i < noise.length; i++) {
            noise[i] = (float) random.nextGaussian();
        }
        float[] low = FaultMaker.filtered(
                noise, hertz -> 1 / Math.sqrt(1 + Math.pow((hertz - RUMBLE_HZ) / (0.4 * RUMBLE_HZ), 8)));
        double square = 0;
        for (float sample : low) {
            square += (double) sample * sample;
        }
        double scale = new Gain(db).ratio() / Math.sqrt(2) / Math.sqrt(square / low.length);
        for (int i = 0; i < low.length; i++) {
            add(i, scale * low[i]);
        }
    }

    /** Off zero by this much of full scale. */
    void shift(double by) {
        for (int i = 0; i < sides[0].length; i++) {
            add(i, by);
        }
    }

    private double loudest(int i) {
        return Math.max(Math.abs(sides[0][i]), Math.abs(sides[1][i]));
    }

    private void multiply(int i, double by) {
        sides[0][i] = (float) Math.max(-1, Math.min(1, by * sides[0][i]));
        sides[1][i] = (float) Math.max(-1, Math.min(1, by * sides[1][i]));
    }

    private void add(int i, double what) {
        sides[0][i] = (float) Math.max(-1, Math.min(1, sides[0][i] + what));
        sides[1][i] = (float) Math.max(-1, Math.min(1, sides[1][i] + what));
    }

    private double peak() {
        double peak = 0;
        for (int i = 0; i < sides[0].length; i++) {
            peak = Math.max(peak, loudest(i));
        }
        return peak;
    }

    private int somewhereLoud() {
        double least = 0.3 * peak();
        int at = random.nextInt(sides[0].length);
        for (int tries = 0; tries < 10_000 && loudest(at) < least; tries++) {
            at = random.nextInt(sides[0].length);
        }
        return at;
    }
}
