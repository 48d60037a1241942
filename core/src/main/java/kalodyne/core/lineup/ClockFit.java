package kalodyne.core.lineup;

import java.util.List;
import java.util.Optional;

/**
 * The straight line through moments that were found in both recordings. Moments that lie off are left out: one silent place, or one where
 * something else was louder, must not bend the line.
 *
 * @param line the fit
 * @param offsetUncertainty 95 of 100 true offsets lie so near, in seconds
 * @param driftUncertainty 95 of 100 true drifts lie so near, as a ratio
 * @param used which moments lie on it
 */
record ClockFit(ClockLine line, double offsetUncertainty, double driftUncertainty, List<Moment> used) {
    /** Two crystals differ by less than this two times out of three (from memory: ±50 to ±100 ppm is what such parts are sold with). */
    private static final double USUAL_DRIFT = 1e-4;
    /** Before it is known better: how far single moments lie off. */
    private static final double USUAL_SCATTER_SECONDS = 3e-5;
    /** As much as so many moments is that believed. */
    private static final double BELIEF = 2;
    /** Nothing is told more exactly than that. */
    private static final double LEAST_SCATTER_SECONDS = 1e-6;
    /** Of a normal distribution 95 of 100 lie within so many standard deviations. */
    private static final double COVERAGE = 1.96;

    /** Microphones colour a sound each in its own way, and with it shift what counts as the same moment. */
    private static final double COLOUR_SECONDS = 5e-6;

    private static final double OUTLIER = 4;

    ClockFit {
        used = List.copyOf(used);
    }

    /**
     * A moment that both have.
     *
     * @param reference where it is in the reference, in seconds
     * @param other where it is in the other one
     * @param match how it was found
     */
    record Moment(double reference, double other, PhaseMatcher.Match match) {
        double off(ClockLine line) {
            return other - line.inOther(reference);
        }

        private double weight() {
            return match.height() * match.height();
        }
    }

    /**
     * Fits.
     *
     * @param near how far from the line a moment may lie to be on it, in seconds
     * @return empty where no moments agree
     */
    static Optional<ClockFit> of(List<Moment> moments, double near) {
        if (moments.isEmpty()) {
            return Optional.empty();
        }
        ClockLine line = best(moments, near);
        List<Moment> used = on(line, moments, near);
        ClockFit fit = leastSquares(used);
        for (int turn = 0; turn < 5; turn++) {
            double scatter = scatter(fit.line(), used);
            List<Moment> nearer = on(fit.line(), moments, Math.min(near, Math.max(OUTLIER * scatter, 1e-5)));
            if (nearer.size() < 2 || nearer.equals(fit.used())) {
                break;
            }
            used = nearer;
            fit = leastSquares(nearer);
        }
        return Optional.of(fit);
    }

    private static List<Moment> on(ClockLine line, List<Moment> moments, double near) {
        return moments.stream().filter(each -> Math.abs(each.off(line)) <= near).toList();
    }

    /** Of the lines through each two moments, the one that the most weight lies on. */
    private static ClockLine best(List<Moment> moments, double near) {
        ClockLine best = new ClockLine(moments.get(0).other() - moments.get(0).reference(), 0);
        double most = 0;
        for (int i = 0; i < moments.size(); i++) {
            for (int j = i; j < moments.size(); j++) {
                ClockLine line = through(moments.get(i), moments.get(j));
                double weight = 0;
                for (Moment each : moments) {
                    weight += Math.abs(each.off(line)) <= near ? each.weight() : 0;
                }
                if (Math.abs(line.drift()) <= CoarseSearch.MOST_DRIFT && weight > most) {
                    most = weight;
                    best = line;
                }
            }
        }
        return best;
    }

    private static ClockLine through(Moment one, Moment two) {
        double apart = two.reference() - one.reference();
        double drift = apart == 0 ? 0 : (two.other() - one.other()) / apart - 1;
        return new ClockLine(one.other() - one.reference() * (1 + drift), drift);
    }

    private static double scatter(ClockLine line, List<Moment> moments) {
        double weights = 0;
        double squares = 0;
        for (Moment each : moments) {
            weights += each.weight();
            squares += each.weight() * each.off(line) * each.off(line);
        }
        double expected = BELIEF * USUAL_SCATTER_SECONDS * USUAL_SCATTER_SECONDS;
        double measured = moments.size() * squares / weights;
        double freedom = BELIEF + Math.max(0, moments.size() - 2);
        return Math.max(LEAST_SCATTER_SECONDS, Math.sqrt((expected + measured) / freedom));
    }

    /** With what is usual of drifts as one more observation, so that few moments do not claim much. */
    private static ClockFit leastSquares(List<Moment> moments) {
        double weights = moments.stream().mapToDouble(Moment::weight).sum();
        double middle = moments.stream()
                        .mapToDouble(each -> each.weight() * each.reference())
                        .sum()
                / weights;
        double later = moments.stream()
                        .mapToDouble(each -> each.weight() * (each.other() - each.reference()))
                        .sum()
                / weights;
        // As many as there are moments, each as heavy as it counts.
        double scale = moments.size() / weights;
        double spread = 0;
        double product = 0;
        for (Moment each : moments) {
            double x = each.reference() - middle;
            spread += scale * each.weight() * x * x;
            product += scale * each.weight() * x * (each.other() - each.reference() - later);
        }
        double guess = spread == 0 ? 0 : product / spread;
        double scatter = scatter(new ClockLine(later - guess * middle, guess), moments);
        double usual = scatter * scatter / (USUAL_DRIFT * USUAL_DRIFT);
        double drift = spread == 0 ? 0 : product / (spread + usual);
        double ofDrift = scatter / Math.sqrt(spread + usual);
        double ofMiddle = scatter / Math.sqrt(moments.size());
        return new ClockFit(
                new ClockLine(later - drift * middle, drift),
                COVERAGE * Math.hypot(COLOUR_SECONDS, Math.hypot(ofMiddle, ofDrift * middle)),
                COVERAGE * ofDrift,
                moments);
    }

    /** Whether most of what was found is upside down. */
    boolean isInverted() {
        return used.stream()
                        .mapToDouble(each -> Math.signum(each.match().height()) * each.weight())
                        .sum()
                < 0;
    }
}
