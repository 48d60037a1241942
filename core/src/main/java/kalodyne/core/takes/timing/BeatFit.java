package kalodyne.core.takes.timing;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.files.Progress;
import kalodyne.core.sums.Clocks;
import kalodyne.core.units.Print;

/**
 * Whether a take keeps a tempo: its beats against a clock that beats that tempo by the take's own sample rate.
 *
 * @param beatsPerMinute as it was played, over all of it
 * @param driftPpm how much faster than the clock, in parts per million; slower is negative
 * @param endMilliseconds how far it is ahead of the clock at its end; behind is negative
 * @param scatterMilliseconds how far single beats lie off, RMS
 * @param beats how many beginnings of notes it was told from
 * @param seconds from the first to the last of these
 * @param firstSeconds where in the take the first of them would be if all were on the line
 */
public record BeatFit(
        double beatsPerMinute,
        double driftPpm,
        double endMilliseconds,
        double scatterMilliseconds,
        int beats,
        double seconds,
        double firstSeconds) {
    /** Notes lie on sixteenths. */
    private static final int PARTS_OF_BEAT = 4;

    private static final int LEAST_BEATS = 8;
    private static final double MILLI = 1000;

    /** By chance beginnings lie 0.29 of a part off, RMS; what lies so far off is no tempo of this take. */
    private static final double NO_TEMPO = 0.2;

    /** Half a per cent: no clock is so far off, this is another tempo. */
    private static final double ANOTHER_PPM = 5000;

    /**
     * What came of it.
     *
     * @param found how it fits; empty where that cannot be told
     * @param problem why not; an empty text where it can
     */
    public record Reading(Optional<BeatFit> found, String problem) {}

    /** Reads a take. */
    public static Reading read(Path file, double beatsPerMinute, Progress progress) throws IOException {
        return of(Onsets.read(file, progress), beatsPerMinute);
    }

    /**
     * Fits a line through the beginnings, each on the nearest sixteenth of what the ones before say.
     *
     * @param onsets seconds, rising
     */
    static Reading of(List<Double> onsets, double beatsPerMinute) {
        if (onsets.size() < LEAST_BEATS) {
            return nothing("It has too few beats that begin clearly: " + onsets.size() + ". Play at least "
                    + LEAST_BEATS + ".");
        }
        double part = Clocks.secondsOfBeat(beatsPerMinute) / PARTS_OF_BEAT;
        double first = onsets.get(0);
        Line line = new Line(part);
        long number = 0;
        double before = first;
        for (double onset : onsets) {
            // From the one before: over long stretches a drift would count as another sixteenth.
            number += Math.round((onset - before) / line.slope());
            line.add((double) number, onset - first);
            before = onset;
        }
        double scatter = line.scatter(onsets, first, part);
        if (scatter > NO_TEMPO * part) {
            return nothing("Its beats do not lie on sixteenths of "
                    + Print.plain(beatsPerMinute)
                    + " beats a minute. Is it another tempo, or played freely?");
        }
        double ppm = Clocks.driftPpm(part, line.slope());
        double tempo = beatsPerMinute * part / line.slope();
        if (Math.abs(ppm) > ANOTHER_PPM) {
            return nothing("It was played at about " + Print.decimal(tempo, 1) + " beats a minute, not "
                    + Print.plain(beatsPerMinute) + ".");
        }
        double length = (double) number * part;
        double played = (double) number * line.slope();
        return new Reading(
                Optional.of(new BeatFit(
                        tempo,
                        ppm,
                        MILLI * (length - played),
                        MILLI * scatter,
                        onsets.size(),
                        onsets.get(onsets.size() - 1) - first,
                        first + line.start())),
                "");
    }

    private static Reading nothing(String why) {
        return new Reading(Optional.empty(), why);
    }

    /** A straight line of least squares that grows point by point; before it has enough it is the clock's own. */
    private static final class Line {
        private final double clock;
        private double count;
        private double sumX;
        private double sumY;
        private double sumXx;
        private double sumXy;
        private double lastX;

        Line(double clock) {
            this.clock = clock;
        }

        void add(double x, double y) {
            count++;
            sumX += x;
            sumY += y;
            sumXx += x * x;
            sumXy += x * y;
            lastX = x;
        }

        /** A short stretch says little about the tempo: up to there the clock's is believed. */
        double slope() {
            double spread = count * sumXx - sumX * sumX;
            return lastX < LEAST_BEATS * PARTS_OF_BEAT || spread == 0 ? clock : (count * sumXy - sumX * sumY) / spread;
        }

        private double start() {
            return (sumY - slope() * sumX) / count;
        }

        double scatter(List<Double> onsets, double first, double part) {
            double sum = 0;
            for (double onset : onsets) {
                double place = (onset - first - start()) / slope();
                double off = place - Math.rint(place);
                sum += off * off;
            }
            return part * Math.sqrt(sum / onsets.size());
        }
    }
}
