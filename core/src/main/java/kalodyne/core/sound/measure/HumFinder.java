package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Looks for tones at multiples of 50 or 60 Hz, exactly there, and as steady as the mains. */
final class HumFinder {
    private static final int HIGHEST = 30;
    private static final double HIGHEST_HZ = 2_400;

    /** The frequency of the mains is kept to a few tenths of a percent; the rest is for reading it off. */
    private static final double TOLERANCE = 0.006;

    private static final double READING_STEPS = 0.22;

    /** In power: how far a tone stands out of what is beside it. */
    private static final double STANDS_OUT = 16;

    /** How far the only one must, since one tone alone may also be music. */
    private static final double STANDS_FAR_OUT = 200;

    private static final int LINE_STEPS = 2;

    private final Spectrum spectrum;
    private final boolean isFromPauses;

    private HumFinder(Spectrum spectrum, boolean isFromPauses) {
        this.spectrum = spectrum;
        this.isFromPauses = isFromPauses;
    }

    static Optional<Hum> find(Spectrum spectrum, boolean isFromPauses) {
        HumFinder finder = new HumFinder(spectrum, isFromPauses);
        return List.of(50.0, 60.0).stream()
                .map(finder::family)
                .flatMap(Optional::stream)
                .max(Comparator.comparingDouble(Hum::power));
    }

    private record Candidate(Hum.Line line, double standsOut) {}

    private Optional<Hum> family(double mainsHz) {
        List<Candidate> candidates = new ArrayList<>();
        double highest = Math.min(HIGHEST_HZ, spectrum.hertz(spectrum.steps() - 1));
        for (int h = 1; h <= HIGHEST && h * mainsHz < highest; h++) {
            candidate(mainsHz, h).ifPresent(candidates::add);
        }
        if (candidates.isEmpty()) {
            return Optional.empty();
        }
        double fundamental = fundamental(candidates);
        List<Candidate> fitting = candidates.stream()
                .filter(each -> Math.abs(each.line().hertz() - each.line().harmonic() * fundamental)
                        <= READING_STEPS * spectrum.stepHz())
                .toList();
        boolean low = fitting.stream().anyMatch(each -> each.line().harmonic() <= 3);
        boolean several = fitting.size() >= 3;
        boolean strong = fitting.stream().anyMatch(each -> each.standsOut() >= STANDS_FAR_OUT);
        boolean lowest = fitting.stream().anyMatch(each -> each.line().harmonic() <= 2);
        return (several && low) || (strong && lowest && isFromPauses && fitting.size() >= 2)
                ? Optional.of(new Hum(
                        fundamental, fitting.stream().map(Candidate::line).toList(), isFromPauses))
                : Optional.empty();
    }

    private Optional<Candidate> candidate(double mainsHz, int harmonic) {
        double expected = harmonic * mainsHz;
        int step = highestNear(spectrum.step(expected));
        double beside = spectrum.median(expected - 0.45 * mainsHz, expected + 0.45 * mainsHz);
        double standsOut = spectrum.power(step) / Math.max(beside, Double.MIN_NORMAL);
        double found = spectrum.peakHz(step);
        boolean there = Math.abs(found - expected) <= TOLERANCE * expected + READING_STEPS * spectrum.stepHz();
        if (standsOut < STANDS_OUT || !there) {
            return Optional.empty();
        }
        double power = 0;
        for (int i = step - LINE_STEPS; i <= step + LINE_STEPS; i++) {
            power += i < 0 || i >= spectrum.steps() ? 0 : Math.max(0, spectrum.power(i) - beside);
        }
        return Optional.of(new Candidate(new Hum.Line(harmonic, found, power), standsOut));
    }

    private int highestNear(int step) {
        int highest = step;
        for (int i = Math.max(0, step - 1); i <= Math.min(spectrum.steps() - 1, step + 1); i++) {
            highest = spectrum.power(i) > spectrum.power(highest) ? i : highest;
        }
        return highest;
    }

    /** Read off the harmonics, the higher the more exactly, the clearer the more so. */
    private static double fundamental(List<Candidate> candidates) {
        double sum = 0;
        double weights = 0;
        for (Candidate each : candidates) {
            int harmonic = each.line().harmonic();
            double weight = harmonic * Math.min(each.standsOut(), STANDS_FAR_OUT);
            sum += weight * each.line().hertz() / harmonic;
            weights += weight;
        }
        return sum / weights;
    }
}
