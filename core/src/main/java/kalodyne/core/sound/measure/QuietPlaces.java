package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The quietest stretches of a recording, kept sample by sample, so many at the most. They do not overlap. */
final class QuietPlaces {
    /** Below −120 dBFS nothing was recorded: that is no pause of an instrument but one of the file. */
    private static final double NOTHING = 1e-12;

    private final int most;
    private final int length;
    private final List<Quiet> places = new ArrayList<>();

    /**
     * A quiet stretch.
     *
     * @param start its first frame
     * @param power mean square round its mean
     * @param samples of it, not to be changed
     */
    @SuppressWarnings("ArrayRecordComponent") // Never compared, and large: copies would double what is kept.
    record Quiet(long start, double power, float[] samples) {
        private static final int PARTS = 16;

        /** How many times as much power the loudest part has as the quietest. */
        double unrest() {
            int part = samples.length / PARTS;
            double least = Double.POSITIVE_INFINITY;
            double most = 0;
            for (int i = 0; i < PARTS; i++) {
                double power = QuietPlaces.power(samples, i * part, (i + 1) * part);
                least = Math.min(least, power);
                most = Math.max(most, power);
            }
            return least == 0 ? Double.POSITIVE_INFINITY : most / least;
        }
    }

    QuietPlaces(int most, int length) {
        this.most = most;
        this.length = length;
    }

    /** Takes a stretch, if it is among the quietest. What is given is copied. */
    void offer(long start, float[] samples) {
        double power = power(samples, 0, length);
        if (power < NOTHING) {
            return;
        }
        boolean full = places.size() == most;
        if (full && power >= loudest().power()) {
            return;
        }
        List<Quiet> overlapping = places.stream()
                .filter(each -> Math.abs(each.start() - start) < length)
                .toList();
        if (overlapping.stream().anyMatch(each -> each.power() <= power)) {
            return;
        }
        places.removeAll(overlapping);
        if (places.size() == most) {
            places.remove(loudest());
        }
        places.add(new Quiet(start, power, samples.clone()));
    }

    private Quiet loudest() {
        return places.stream().max(Comparator.comparingDouble(Quiet::power)).orElseThrow();
    }

    /** Quietest first. */
    List<Quiet> quietestFirst() {
        return places.stream().sorted(Comparator.comparingDouble(Quiet::power)).toList();
    }

    private static double power(float[] samples, int from, int to) {
        double sum = 0;
        double squares = 0;
        for (int i = from; i < to; i++) {
            sum += samples[i];
            squares += (double) samples[i] * samples[i];
        }
        double mean = sum / (to - from);
        return Math.max(0, squares / (to - from) - mean * mean);
    }
}
