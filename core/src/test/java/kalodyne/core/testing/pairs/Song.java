package kalodyne.core.testing.pairs;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.testing.Ringing;

/**
 * Made-up music as a formula: partials that begin, ring and die. It can be evaluated at any moment, so that two recorders with
 * different clocks are exact to a small part of a sample.
 */
public final class Song {
    private static final double MOST_OF_RATE = 0.45;
    /** A partial is over when it is so much softer: 100 dB. */
    private static final double OVER = 1e-5;

    /** So many time constants, −240 dB. */
    private static final double RISEN = 28;

    private final List<Partial> partials;

    private Song(List<Partial> partials) {
        this.partials = List.copyOf(partials);
    }

    /** A sine that rises with one time constant and dies with another. */
    private record Partial(double at, double hertz, double phase, double size, double rise, double fall) {
        double lasts() {
            return -fall * Math.log(OVER);
        }
    }

    /** What is played. */
    public enum Style {
        /** Chords, a tune and drums at an even beat, with small human faults. */
        BAND,
        /** Single words of voice, with pauses. */
        SPEECH,
        /** One bar of a machine, over and over, to the bit. */
        LOOP
    }

    /**
     * Makes one up.
     *
     * @param tune which notes
     * @param performance how they are played: in time and in strength
     */
    public static Song of(Style style, double seconds, long tune, long performance) {
        Maker maker = new Maker(new Random(tune), new Random(performance));
        switch (style) {
            case BAND -> maker.band(seconds);
            case SPEECH -> maker.speech(seconds);
            case LOOP -> maker.loop(seconds);
        }
        return new Song(maker.partials);
    }

    private static final class Maker {
        private static final double BEAT = 0.52;
        private final Random tune;
        private final Random hands;
        private final List<Partial> partials = new ArrayList<>();

        Maker(Random tune, Random hands) {
            this.tune = tune;
            this.hands = hands;
        }

        void band(double seconds) {
            int[] scale = {0, 2, 3, 5, 7, 8, 10, 12, 14, 15};
            for (double beat = 0.3; beat < seconds; beat += BEAT) {
                int chord = scale[tune.nextInt(6)];
                double at = beat + 0.008 * hands.nextGaussian();
                note(at, 110 * semitones(chord), 0.25, 0.9, 6);
                note(at + 0.01, 110 * semitones(chord + 7), 0.15, 0.9, 5);
                if (tune.nextInt(3) > 0) {
                    double late = tune.nextInt(2) * BEAT / 2 + 0.01 * hands.nextGaussian();
                    note(
                            beat + late,
                            440 * semitones(scale[tune.nextInt(10)]),
                            0.3 + 0.1 * hands.nextGaussian(),
                            0.35,
                            9);
                }
                drum(beat + 0.006 * hands.nextGaussian(), 0.2 + 0.05 * hands.nextGaussian());
            }
        }

        void speech(double seconds) {
            double at = 0.4;
            while (at < seconds) {
                int syllables = 2 + tune.nextInt(6);
                for (int i = 0; i < syllables && at < seconds; i++) {
                    note(at, 120 * (1 + 0.3 * tune.nextDouble()), 0.3, 0.08, 18);
                    drum(at - 0.04, 0.05);
                    at += 0.14 + 0.08 * tune.nextDouble() + 0.02 * hands.nextGaussian();
                }
                at += 0.3 + 2.5 * tune.nextDouble();
            }
        }

        void loop(double seconds) {
            double bar = 2;
            Maker one = new Maker(tune, hands);
            for (int step = 0; step < 8; step++) {
                double at = step * bar / 8;
                one.drum(at, 0.2);
                one.note(at, 110 * semitones(tune.nextInt(12)), 0.3, 0.15, 8);
            }
            for (double at = 0; at < seconds; at += bar) {
                for (Partial each : one.partials) {
                    partials.add(new Partial(
                            at + each.at(), each.hertz(), each.phase(), each.size(), each.rise(), each.fall()));
                }
            }
        }

        private static double semitones(int count) {
            return Math.pow(2, count / 12.0);
        }

        private void note(double at, double hertz, double size, double fall, int harmonics) {
            double touch = 1 + 0.1 * hands.nextGaussian();
            for (int n = 1; n <= harmonics; n++) {
                partials.add(new Partial(
                        at,
                        hertz * n * Math.sqrt(1 + 4e-4 * n * n),
                        2 * Math.PI * hands.nextDouble(),
                        size * touch / Math.pow(n, 1.1),
                        0.004,
                        fall / Math.sqrt(n)));
            }
        }

        private void drum(double at, double size) {
            for (int i = 0; i < 24; i++) {
                partials.add(new Partial(
                        at,
                        150 * Math.pow(90, hands.nextDouble()),
                        2 * Math.PI * hands.nextDouble(),
                        size * 0.4,
                        0.0005,
                        0.015 + 0.02 * hands.nextDouble()));
            }
        }
    }

    /**
     * What a recorder hears.
     *
     * @param clock of the recorder, against the song's own time
     */
    public float[] heard(ClockLine clock, double seconds, int rate) {
        int frames = (int) Math.round(seconds * rate);
        int parts = 8;
        float[] whole = new float[frames];
        // Each in a stretch of its own, so that they do not meet.
        IntStream.range(0, parts).parallel().forEach(part -> {
            int from = (int) ((long) frames * part / parts);
            int to = (int) ((long) frames * (part + 1) / parts);
            double[] line = new double[to - from];
            for (Partial each : partials) {
                add(each, clock, rate, from, line);
            }
            for (int i = 0; i < line.length; i++) {
                whole[from + i] = (float) line[i];
            }
        });
        return whole;
    }

    private static void add(Partial partial, ClockLine clock, int rate, int from, double[] line) {
        if (partial.hertz() > MOST_OF_RATE * rate) {
            return;
        }
        double start = clock.inOther(partial.at()) * rate;
        double end = clock.inOther(partial.at() + partial.lasts()) * rate;
        int first = (int) Math.max(from, Math.ceil(start));
        int last = (int) Math.min(from + (double) line.length, end);
        if (first >= last) {
            return;
        }
        double step = 1 / (rate * (1 + clock.drift()));
        double since = clock.inReference((double) first / rate) - partial.at();
        double turn = 2 * Math.PI * partial.hertz() * step;
        double phase = partial.phase() + 2 * Math.PI * partial.hertz() * since;
        double falling = partial.size() * Math.exp(-since / partial.fall());
        double fall = Math.exp(-step / partial.fall());
        Ringing.add(line, first - from, last - from, falling, phase, fall, turn);
        // It has risen when what is missing is out of the reach of any recording.
        int risen = (int) Math.min(last, first + Math.max(0, RISEN * partial.rise() - since) / step);
        double rising = falling * Math.exp(-since / partial.rise());
        double rise = fall * Math.exp(-step / partial.rise());
        Ringing.add(line, first - from, risen - from, -rising, phase, rise, turn);
    }
}
