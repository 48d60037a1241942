package kalodyne.core.takes.timing;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import org.jtransforms.fft.DoubleFFT_1D;

/**
 * How much later one channel has what another one has: what came back through a computer after it was played.
 *
 * @param samples how many samples later; parts of one are interpolated
 * @param sampleRateHz of the take
 * @param likeness of both at that delay, from 0 for nothing in common to 1 for the same
 * @param isInverted whether it came back upside down
 */
public record RoundTrip(double samples, int sampleRateHz, double likeness, boolean isInverted) {
    private static final int HEARD_SECONDS = 10;
    private static final int LONGEST_SECONDS = 2;
    private static final double MILLI = 1000;

    /** Less alike than this is something else. */
    private static final double ALIKE = 0.3;

    /** A second place that fits almost as well makes it ambiguous: a tone fits at each of its waves. */
    private static final double AMBIGUOUS = 0.9;

    /** Nearer than this to the best place it is the same place. */
    private static final double SAME_PLACE_SECONDS = 0.001;

    public double milliseconds() {
        return MILLI * samples / sampleRateHz;
    }

    /**
     * What came of it.
     *
     * @param found the delay; empty where none can be told
     * @param problem why not; an empty text where there is one
     */
    public record Reading(Optional<RoundTrip> found, String problem) {}

    /**
     * Reads a take.
     *
     * @param sent channel with what was played, from 0
     * @param back channel with what came back
     * @throws CancellationException where the progress asked to stop
     */
    public static Reading read(Path file, int sent, int back, Progress progress) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            int channels = stream.header().channels();
            if (channels < 2) {
                return nothing("It has one channel. Record two: what is played on one, what comes back on the other.");
            }
            if (sent < 0 || sent >= channels || back < 0 || back >= channels || sent == back) {
                return nothing("Choose two channels of the " + channels + " that it has.");
            }
            int rate = stream.header().sampleRateHz();
            Head head = new Head(rate * (HEARD_SECONDS + LONGEST_SECONDS));
            for (int frames = stream.next(); frames > 0 && !head.isFull(); frames = stream.next()) {
                head.add(stream.samples()[sent], stream.samples()[back], frames);
                if (!progress.report(0.9 * head.length / head.played.length)) {
                    throw new CancellationException();
                }
            }
            return of(head.played(), head.returned(), rate);
        }
    }

    /** From the first sample that is not silent in what was played. */
    private static final class Head {
        private final double[] played;
        private final double[] returned;
        private int length;

        Head(int most) {
            played = new double[most];
            returned = new double[most];
        }

        boolean isFull() {
            return length == played.length;
        }

        void add(float[] sent, float[] back, int frames) {
            for (int i = 0; i < frames && !isFull(); i++) {
                if (length > 0 || sent[i] != 0) {
                    played[length] = sent[i];
                    returned[length] = back[i];
                    length++;
                }
            }
        }

        double[] played() {
            return Arrays.copyOf(played, length);
        }

        double[] returned() {
            return Arrays.copyOf(returned, length);
        }
    }

    private static Reading nothing(String why) {
        return new Reading(Optional.empty(), why);
    }

    /**
     * Compares two channels of one length, for delays from 0 to 2 s.
     *
     * @param played what was sent
     * @param returned what came back; not shorter
     */
    static Reading of(double[] played, double[] returned, int rate) {
        int longest = Math.min(LONGEST_SECONDS * rate, returned.length - 1);
        int heard = Math.min(HEARD_SECONDS * rate, played.length);
        double[] first = Arrays.copyOf(played, heard);
        double sentEnergy = energy(first, heard);
        if (sentEnergy == 0) {
            return nothing("The channel with what was played is silent.");
        }
        if (energy(returned, returned.length) == 0) {
            return nothing("Nothing came back: the other channel is silent.");
        }
        double[] products = correlation(first, returned, longest + 2);
        int best = loudest(products, longest, -1, 0);
        double likeness = likeness(products[best], sentEnergy, returned, best, heard);
        if (likeness < ALIKE) {
            return nothing(
                    "What came back is not what was played. Connect the output straight to the input, and see that the"
                            + " channels are not the other way round.");
        }
        int apart = (int) Math.max(2, SAME_PLACE_SECONDS * rate);
        int second = loudest(products, longest, best, apart);
        if (second >= 0 && Math.abs(products[second]) > AMBIGUOUS * Math.abs(products[best])) {
            return nothing("It fits at several delays. Play single clicks, a second apart, and no tone.");
        }
        return new Reading(
                Optional.of(new RoundTrip(top(products, best), rate, Math.min(1, likeness), products[best] < 0)), "");
    }

    private static double energy(double[] samples, int count) {
        double sum = 0;
        for (int i = 0; i < count; i++) {
            sum += samples[i] * samples[i];
        }
        return sum;
    }

    /** Of every delay the sum of products of both, by transforms. */
    private static double[] correlation(double[] sent, double[] back, int delays) {
        int size = Integer.highestOneBit(Math.max(1, sent.length + back.length - 1)) * 2;
        DoubleFFT_1D transform = new DoubleFFT_1D(size);
        double[] one = Arrays.copyOf(sent, size);
        double[] two = Arrays.copyOf(back, size);
        transform.realForward(one);
        transform.realForward(two);
        // Packed: the first two are the real parts at 0 Hz and at half the rate.
        two[0] *= one[0];
        two[1] *= one[1];
        for (int i = 2; i < size; i += 2) {
            double real = one[i] * two[i] + one[i + 1] * two[i + 1];
            two[i + 1] = one[i] * two[i + 1] - one[i + 1] * two[i];
            two[i] = real;
        }
        transform.realInverse(two, true);
        return Arrays.copyOf(two, Math.min(delays, size));
    }

    /** Where it is greatest, either way up, but for around a place; −1 where nothing is left. */
    private static int loudest(double[] products, int to, int around, int apart) {
        int best = -1;
        for (int i = 0; i <= to && i < products.length; i++) {
            boolean isAround = around >= 0 && Math.abs(i - around) < apart;
            if (!isAround && (best < 0 || Math.abs(products[i]) > Math.abs(products[best]))) {
                best = i;
            }
        }
        return best;
    }

    private static double likeness(double product, double sentEnergy, double[] back, int delay, int count) {
        double sum = 0;
        for (int i = delay; i < Math.min(back.length, delay + count); i++) {
            sum += back[i] * back[i];
        }
        return sum == 0 ? 0 : Math.abs(product) / Math.sqrt(sentEnergy * sum);
    }

    /** The top of a parabola through the greatest and its neighbours. */
    private static double top(double[] products, int best) {
        if (best == 0 || best + 1 >= products.length) {
            return best;
        }
        double before = Math.abs(products[best - 1]);
        double at = Math.abs(products[best]);
        double after = Math.abs(products[best + 1]);
        double curve = before - 2 * at + after;
        return curve == 0 ? best : best + (before - after) / (2 * curve);
    }
}
