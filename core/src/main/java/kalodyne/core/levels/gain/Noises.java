package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * Where the noise at the ends of a flow comes from. Once the levels are fixed so is the noise: what a point adds counts the more the
 * lower the signal is there.
 */
final class Noises {
    private final List<List<Noise>> atEnds = new ArrayList<>();

    /** Noise at an end, as a level over the level of an unknown. */
    private record Noise(int unknown, double db) {}

    /**
     * Looks at a flow.
     *
     * @param out for each point the unknown behind it
     * @param in for each point the unknown at its input
     */
    Noises(Flow flow, Mixes mixes, int[] out, int[] in) {
        for (double[] ratios : toEnds(flow, mixes)) {
            atEnds.add(noises(flow, out, in, ratios));
        }
    }

    /** The noise at an end re its signal, in dB. */
    double db(int end, double[] levels) {
        double power = 0;
        for (Noise noise : atEnds.get(end)) {
            power += new Gain(noise.db() - levels[noise.unknown()]).powerRatio();
        }
        return power > 0 ? Gain.ofPowerRatio(power).db() : 0;
    }

    /** For each end and point: what the signal gains from the point to the end beyond the difference of their unknowns. */
    private static double[][] toEnds(Flow flow, Mixes mixes) {
        int count = flow.points().size();
        double[][] all = new double[flow.ends().size()][];
        for (int e = 0; e < all.length; e++) {
            double[] ratios = new double[count];
            ratios[flow.ends().get(e).point()] = 1;
            for (int i = flow.ends().get(e).point(); i >= 0; i--) {
                List<Feed> feeds = flow.points().get(i).feeds();
                for (int f = 0; f < feeds.size(); f++) {
                    ratios[feeds.get(f).from()] += ratios[i] * Mixes.ratio(mixes.shareDb(i, f));
                }
            }
            all[e] = ratios;
        }
        return all;
    }

    private static List<Noise> noises(Flow flow, int[] out, int[] in, double[] ratios) {
        List<Noise> some = new ArrayList<>();
        for (int i = 0; i < ratios.length; i++) {
            if (ratios[i] > 0) {
                Point point = flow.points().get(i);
                double way = Gain.ofRatio(ratios[i]).db();
                add(some, point.outputNoise(), out[i], way);
                if (point.sound().isPresent()) {
                    Level own = point.sound().get().levels().floor().withUncorrelated(point.inputNoise());
                    add(
                            some,
                            own,
                            Bounds.ZERO,
                            way - point.sound().get().levels().peak().dbu());
                } else {
                    double before = point.isBus() ? 0 : Mixes.db(point.feeds().get(0));
                    add(some, point.inputNoise(), in[i], way - before);
                }
            }
        }
        return some;
    }

    private static void add(List<Noise> noises, Level noise, int unknown, double db) {
        if (!noise.isSilence()) {
            noises.add(new Noise(unknown, noise.dbu() + db));
        }
    }
}
