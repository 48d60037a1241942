package kalodyne.core.hearing;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import kalodyne.core.sound.measure.LoudnessMeter;
import kalodyne.core.units.Gain;

/**
 * Makes sounds that are compared equally loud, since the louder of two always sounds better: each is measured as it would be heard
 * (ITU-R BS.1770), and turned down to the softest.
 */
public final class Matching {
    /** A piece of any made-up player is shorter; of a take that does as well. */
    private static final double SECONDS = 12;

    /** What lies further apart cannot be compared as equally loud: one of them is as good as silent. */
    private static final double MOST_DB = 40;

    private Matching() {}

    /**
     * Measures them one after the other.
     *
     * @param heard what the same is played into
     * @return for each how far it is to be turned down, in their order; by nothing where one of them is as good as silent
     */
    public static List<Gain> turnedDown(Material.Source source, List<Listening> heard) throws IOException {
        List<Double> loudness = new ArrayList<>();
        for (Listening each : heard) {
            loudness.add(loudness(source, each).orElse(Double.NEGATIVE_INFINITY));
        }
        double softest = loudness.stream().mapToDouble(each -> each).min().orElse(0);
        double loudest = loudness.stream().mapToDouble(each -> each).max().orElse(0);
        boolean isComparable = loudest - softest <= MOST_DB;
        return loudness.stream()
                .map(each -> isComparable ? new Gain(softest - each) : Gain.NONE)
                .toList();
    }

    private static OptionalDouble loudness(Material.Source source, Listening listening) throws IOException {
        try (HeardStream stream = new HeardStream(source.open(), listening)) {
            int rate = stream.header().sampleRateHz();
            double[] even = new double[listening.channels()];
            // What is heard in the middle comes out of both sides.
            Arrays.fill(even, 2.0 / listening.channels());
            LoudnessMeter meter = new LoudnessMeter(rate, even);
            double[][] weighted = new double[listening.channels()][Auralisation.BLOCK];
            long frames = 0;
            for (int count = stream.next(); count > 0 && frames < SECONDS * rate; count = stream.next()) {
                for (int c = 0; c < weighted.length; c++) {
                    meter.weight(c, stream.samples()[c], weighted[c], count);
                }
                meter.accept(weighted, count);
                frames += count;
            }
            return meter.loudness().integratedLufs();
        }
    }
}
