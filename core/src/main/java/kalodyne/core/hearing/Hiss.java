package kalodyne.core.hearing;

import java.util.Random;

/**
 * White noise with an RMS of 1 from a stock of random numbers, read from another place for every block: as random as is heard, in a
 * twentieth of the time. The same every time.
 */
final class Hiss {
    private static final int STOCK = 1 << 17;
    private static final float[] NUMBERS = numbers();

    private final Random places = new Random(5);

    private static float[] numbers() {
        Random random = new Random(41);
        float[] numbers = new float[STOCK];
        double square = 0;
        for (int i = 0; i < STOCK; i++) {
            numbers[i] = (float) random.nextGaussian();
            square += numbers[i] * numbers[i];
        }
        float scale = (float) (1 / Math.sqrt(square / STOCK));
        for (int i = 0; i < STOCK; i++) {
            numbers[i] *= scale;
        }
        return numbers;
    }

    void add(double[] samples, double rms) {
        int from = places.nextInt(STOCK - samples.length);
        double size = places.nextBoolean() ? rms : -rms;
        for (int i = 0; i < samples.length; i++) {
            samples[i] += size * NUMBERS[from + i];
        }
    }
}
