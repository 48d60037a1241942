package kalodyne.core.measure;

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

    /** Beyond the first minutes every second stretch is enough. */
    private static final double OVERLAP_UNTIL_SECONDS = 120;

    private static final int QUIET_PLACES = 10;
    private static final int SAMPLES_IN_TIME = 48;
    private static final double SAMPLED_UP_TO_HZ = 2_500;

    private final SpectrumMaker maker;
    private final float[] line;
    private final float[] powers;
    private final double[] sums;
    private final QuietPlaces quiet;
    private final int sampledSteps;
    private final List<float[]> sampled = new ArrayList<>();
    private final double sampleRateHz;

    private int filled;
    private long lineStart;
    private long stretches;
    private long sampleEvery = 1;

    public SpectrumMeter(double sampleRateHz) {
        this.sampleRateHz = sampleRateHz;
        int length = Math.max(LEAST_LENGTH, Integer.highestOneBit((int) (SECONDS * sampleRateHz * Math.sqrt(2))));
        maker = new SpectrumMaker(length, sampleRateHz);
        line = new float[length];
        powers = new float[maker.steps()];
        sums = new double[maker.steps()];
        quiet = new QuietPlaces(QUIET_PLACES, length);
        sampledSteps = Math.min(maker.steps(), (int) (SAMPLED_UP_TO_HZ / maker.stepHz()) + 1);
    }

    public void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int taken = Math.min(count - at, line.length - filled);
            System.arraycopy(samples, at, line, filled, taken);
            filled += taken;
            at += taken;
            if (filled == line.length) {
                look();
                boolean overlap = lineStart < OVERLAP_UNTIL_SECONDS * sampleRateHz;
                int hop = overlap ? line.length / 2 : line.length;
                System.arraycopy(line, hop, line, 0, line.length - hop);
                filled = line.length - hop;
                lineStart += hop;
            }
        }
    }

    private void look() {
        maker.powers(line, powers);
        for (int step = 0; step < powers.length; step++) {
            sums[step] += powers[step];
        }
        quiet.offer(lineStart, line);
        if (stretches % sampleEvery == 0) {
            sampled.add(Arrays.copyOf(powers, sampledSteps));
            if (sampled.size() > SAMPLES_IN_TIME) {
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
        float[] at = new float[maker.steps()];
        maker.powers(place.samples(), at);
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
