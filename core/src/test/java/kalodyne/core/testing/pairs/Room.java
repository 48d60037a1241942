package kalodyne.core.testing.pairs;

import java.util.Random;

/** What a room, a microphone and a recorder do to a sound, in place. None of it moves what comes first. */
final class Room {
    private Room() {}

    /** Another microphone: no bass, a hump where voices are, less treble. All of least phase. */
    static void colour(float[] samples, int rate) {
        double low = 0;
        double high = 0;
        double bass = 1 - Math.exp(-2 * Math.PI * 120 / rate);
        double treble = 1 - Math.exp(-2 * Math.PI * 7000 / rate);
        for (int i = 0; i < samples.length; i++) {
            low += bass * (samples[i] - low);
            double thin = samples[i] - low;
            high += treble * (thin - high);
            samples[i] = (float) (0.3 * thin + 0.7 * high);
        }
    }

    /** Walls: echoes that get denser and softer. */
    static void echo(float[] samples, int rate, double share) {
        int[] delays = {(int) (0.0113 * rate), (int) (0.0237 * rate), (int) (0.0371 * rate), (int) (0.0533 * rate)};
        float[] dry = samples.clone();
        for (int delay : delays) {
            float[] line = dry.clone();
            for (int i = delay; i < line.length; i++) {
                line[i] += 0.7f * line[i - delay];
            }
            for (int i = delay; i < line.length; i++) {
                samples[i] += (float) (share * 0.5 * line[i - delay]);
            }
        }
    }

    /** The hiss and hum of a room, so many decibels below the sound. */
    static void noise(float[] samples, double below, long seed) {
        Random random = new Random(seed);
        double power = 0;
        for (float sample : samples) {
            power += (double) sample * sample;
        }
        double size = Math.sqrt(power / samples.length) * Math.pow(10, -below / 20);
        double slow = 0;
        for (int i = 0; i < samples.length; i++) {
            slow += 0.05 * (random.nextGaussian() - slow);
            // Half of its power white, half of it low.
            samples[i] += (float) (size * (0.7 * random.nextGaussian() + 0.7 * slow / 0.16));
        }
    }

    /** A gain that is turned down by what is loud and creeps up again. */
    static void automaticGain(float[] samples, int rate) {
        double size = 0.1;
        double up = Math.exp(-1.0 / (1.5 * rate));
        for (int i = 0; i < samples.length; i++) {
            double now = Math.abs(samples[i]);
            size = now > size ? size + 0.002 * (now - size) : size * up;
            samples[i] = (float) (0.15 * samples[i] / Math.max(0.02, size));
        }
    }

    static void clip(float[] samples, double at) {
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) Math.max(-at, Math.min(at, samples[i]));
        }
    }

    static void gain(float[] samples, double gain) {
        for (int i = 0; i < samples.length; i++) {
            samples[i] *= (float) gain;
        }
    }
}
