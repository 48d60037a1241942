package kalodyne.core.testing.corpus;

import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** Single performances of the players, for comparing one with another. */
public final class Performances {
    private static final double SECONDS = 9;
    private static final double PEAK_DB = -9;
    private static final double NOISE_DB = -84;

    private Performances() {}

    /** The names of all players whose sound is not made to differ from phrase to phrase. */
    public static List<String> players() {
        return Arrays.stream(Instruments.values()).map(Enum::name).toList();
    }

    /** One of many performances of a player; each number plays another one. */
    public static double[] play(String player, long number) {
        Random random = new Random(90_001 * number + player.hashCode());
        return recorded(Instruments.valueOf(player).phrase(SECONDS, random), number);
    }

    /** The same part once more: now a little louder, now a little softer, from a little further away. */
    public static double[] again(String player, long number) {
        double[] samples = Instruments.valueOf(player).phrase(SECONDS, new Random(90_001 * number + player.hashCode()));
        for (int i = 0; i < samples.length; i++) {
            samples[i] *= 1 + 0.15 * Math.sin(i / 31_000.0 + number);
        }
        return filter(samples, 1.2e-5, 1.6e-5);
    }

    /** The same as it comes to lie in a take after something was done to it on the way: at the usual level, with a little noise. */
    public static double[] recorded(double[] samples, long number) {
        Faults.scale(samples, Faults.ratio(PEAK_DB) / Faults.peak(samples));
        Faults.addNoise(samples, NOISE_DB, new Random(number));
        return samples;
    }

    /** A filter (1 + a·s) / (1 + b·s) by the bilinear transform, in place; times in seconds. */
    public static double[] filter(double[] samples, double zeroSeconds, double poleSeconds) {
        double twice = 2.0 * Phrase.RATE;
        double a0 = 1 + poleSeconds * twice;
        double a1 = (1 - poleSeconds * twice) / a0;
        double b0 = (1 + zeroSeconds * twice) / a0;
        double b1 = (1 - zeroSeconds * twice) / a0;
        double before = 0;
        double out = 0;
        for (int i = 0; i < samples.length; i++) {
            out = b0 * samples[i] + b1 * before - a1 * out;
            before = samples[i];
            samples[i] = out;
        }
        return samples;
    }
}
