package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Looks at a channel in overlapping stretches of about a third of a second: the mean spectrum, the quietest stretches, and what
 * is always there at low frequencies.
 */
public final class SpectrumMeter {
    private static final double SECONDS = 0.34;
    private static final int LEAST_LENGTH = 256;

    /** A third of a second at 384 kHz. What says that it has a higher rate is looked at in shorter stretches. */
    private static final int MOST_LENGTH = 1 << 17;

    /** Beyond the first minutes stretches need not overlap, and one in four is enough for means. */
    private static final double CLOSELY_UNTIL_SECONDS = 120;

    private static final int ONE_IN = 4;

    /** How much is kept of each channel, by how many channels there are, so that many do not take too much memory. */
    private static final int MOST_QUIET_PLACES = 10;

    private static final int QUIET_PLACES_IN_ALL = 256;
    private static final int MOST_SAMPLES_IN_TIME = 48;
    private static final int LEAST_SAMPLES_IN_TIME = 12;
    private static final int SAMPLES_IN_ALL = 1_536;
    private static final double SAMPLED_UP_TO_HZ = 2_500;

    private final SpectrumMaker maker;
    private final float[] line;
    private final double[] sums;
    private final QuietPlaces quiet;
    private final int sampledSteps;
    private final List<float[]> sampled = new ArrayList<>();
    private final double sampleRateHz;
    private final int mostSamples;

    private int filled;
    private long lineStart;
    private long stretches;
    private long sampleEvery = 1;

    /**
     * A meter that has heard nothing.
     *
     * @param maker may serve several meters, one after the other
     * @param channels how many of them there are
     */
    SpectrumMeter(SpectrumMaker maker, double sampleRateHz, int channels) {
        this.maker = maker;
        this.sampleRateHz = sampleRateHz;
        line = new float[maker.length()];
        mostSamples = Math.max(LEAST_SAMPLES_IN_TIME, Math.min(MOST_SAMPLES_IN_TIME, SAMPLES_IN_ALL / channels));
        sums = new double[maker.steps()];
        int places = Math.max(1, Math.min(MOST_QUIET_PLACES, QUIET_PLACES_IN_ALL / channels));
        quiet = new QuietPlaces(places, maker.length());
        sampledSteps = Math.min(maker.steps(), (int) (SAMPLED_UP_TO_HZ / maker.stepHz()) + 1);
    }

    /** What looks at stretches of the right length. */
    static SpectrumMaker maker(double sampleRateHz) {
        int length = Integer.highestOneBit((int) (SECONDS * sampleRateHz * Math.sqrt(2)));
        return new SpectrumMaker(Math.max(LEAST_LENGTH, Math.min(MOST_LENGTH, length)), sampleRateHz);
    }

    public void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int taken = Math.min(count - at, line.length - filled);
            System.arraycopy(samples, at, line, filled, taken);
            filled += taken;
            at += taken;
            if (filled == line.length) {
                quiet.offer(lineStart, line);
                if (isClose() || lineStart / line.length % ONE_IN == 0) {
                    look();
                }
                int hop = isClose() ? line.length / 2 : line.length;
                System.arraycopy(line, hop, line, 0, line.length - hop);
                filled = line.length - hop;
                lineStart += hop;
            }
        }
    }

    private boolean isClose() {
        return lineStart < CLOSELY_UNTIL_SECONDS * sampleRateHz;
    }

    private void look() {
        float[] powers = maker.powers(line);
        for (int step = 0; step < powers.length; step++) {
            sums[step] += powers[step];
        }
        if (stretches % sampleEvery == 0) {
            sampled.add(Arrays.copyOf(powers, sampledSteps));
            if (sampled.size() > mostSamples) {
                thin();
            }
        }
        stretches++;
    }

    /** Leaves every second one, so that those that are kept stay evenly spaced over all of the recording. */
    private void thin() {
        List<float[]> kept = IntStream.range(0, sampled.size())
                .filter(i -> i % 2 == 0)
                .mapToObj(sampled::get)
                .toList();
        sampled.clear();
        sampled.addAll(kept);
        sampleEvery *= 2;
    }

    /** The mean over all of the recording; nothing but zeros where it is shorter than a stretch. */
    public Spectrum mean() {
        return maker.mean(sums, stretches);
    }

    /** What was in the quietest places, quietest first. */
    public List<QuietStretch> quiet() {
        return quiet.quietestFirst().stream().map(this::lookAt).toList();
    }

    private QuietStretch lookAt(QuietPlaces.Quiet place) {
        float[] at = maker.powers(place.samples());
        return new QuietStretch(
                place.start(),
                place.start() + maker.length(),
                place.power(),
                place.unrest(),
                new Spectrum(maker.stepHz(), at));
    }

    /** At each low frequency the power that is exceeded nearly all of the time: what never stops, as hum does not. */
    public Spectrum lasting() {
        float[] lasting = new float[sampledSteps];
        float[] overTime = new float[sampled.size()];
        for (int step = 0; step < sampledSteps && overTime.length > 0; step++) {
            for (int i = 0; i < overTime.length; i++) {
                overTime[i] = sampled.get(i)[step];
            }
            Arrays.sort(overTime);
            lasting[step] = overTime[overTime.length / 10];
        }
        return new Spectrum(maker.stepHz(), lasting);
    }
}
