package kalodyne.core.testing.corpus;

import static kalodyne.core.testing.corpus.Phrase.RATE;
import static kalodyne.core.testing.corpus.Phrase.envelope;
import static kalodyne.core.testing.corpus.Phrase.hertz;
import static kalodyne.core.testing.corpus.Phrase.sine;

import java.util.List;

/** How those play that the thresholds were tuned on. */
final class PlayersForTuning {
    private PlayersForTuning() {}

    static void bassSynth(Phrase p) {
        double at = 0.7;
        while (at < p.seconds() - 1.2) {
            double hz = hertz(p.oneOf(28, 31, 33, 35, 36, 40, 43));
            double size = p.oneOf(5, 7, 10) / 10.0;
            double length = p.oneOf(1, 1, 2) * 0.16;
            p.add(
                    at,
                    length,
                    t -> size * envelope(t, 0.003, 0.2, length) * Phrase.saw(hz, t, 2 + 40 * Math.exp(-t * 15) * size));
            at += length + (p.random.nextInt(8) == 0 ? 0.9 : 0.02);
        }
    }

    static void pluckedString(Phrase p) {
        double at = 0.8;
        while (at < p.seconds() - 1.6) {
            pluck(p, at, hertz(p.oneOf(40, 45, 47, 50, 52, 55, 57, 59, 64)), p.between(0.25, 1));
            at += p.oneOf(1, 2, 2, 4) * 0.24 + (p.random.nextInt(9) == 0 ? 1.4 : 0);
        }
    }

    /** Noise going round a delay line that dulls it. */
    private static void pluck(Phrase p, double at, double hz, double size) {
        double[] line = new double[(int) Math.round(RATE / hz)];
        for (int i = 0; i < line.length; i++) {
            line[i] = size * p.between(-1, 1);
        }
        Phrase.lowPass(line, 2_500 + 6_000 * size);
        int first = (int) (at * RATE);
        int count = Math.min((int) (1.3 * RATE), p.samples.length - first);
        for (int i = 0; i < count; i++) {
            int k = i % line.length;
            double out = line[k];
            line[k] = 0.996 * 0.5 * (out + line[(k + 1) % line.length]);
            p.samples[first + i] += out * Math.min(1, (count - i) / 12_000.0);
        }
    }

    static void pad(Phrase p) {
        for (double at = 0.5; at < p.seconds() - 3; at += 2.4) {
            int root = p.oneOf(43, 45, 48, 50);
            for (int interval : List.of(0, 4, 7)) {
                double hz = hertz(root + interval);
                double detune = p.between(1.001, 1.004);
                p.add(
                        at,
                        2.6,
                        t -> 0.25
                                * Math.min(1, Math.min(t / 0.5, (2.6 - t) / 0.7))
                                * (Phrase.saw(hz, t, 12) + Phrase.saw(hz * detune, t, 12)));
            }
        }
    }

    static void drums(Phrase p) {
        double step = 0.17;
        for (int i = 0; 0.6 + i * step < p.seconds() - 0.6; i++) {
            double at = 0.6 + i * step;
            double size = p.between(0.6, 1);
            if (i % 8 == 0 || i % 8 == 5) {
                p.add(
                        at,
                        0.3,
                        t -> size * envelope(t, 0.001, 0.09, 0.3) * sine(45 * t + 3.5 * (1 - Math.exp(-t * 35))));
            }
            if (i % 8 == 4) {
                p.add(
                        at,
                        0.25,
                        t -> 0.6
                                * size
                                * envelope(t, 0.0005, 0.06, 0.25)
                                * (p.random.nextGaussian() * 0.5 + sine(185 * t)));
            }
            if (i % 2 == 0) {
                p.add(at, 0.08, t -> 0.12 * size * envelope(t, 0.0003, 0.02, 0.08) * p.random.nextGaussian());
            }
        }
    }

    static void closingSquare(Phrase p) {
        double at = 0.6;
        while (at < p.seconds() - 1.2) {
            double hz = hertz(p.oneOf(33, 36, 40, 45, 48));
            double size = p.oneOf(5, 7, 10) / 10.0;
            double length = p.oneOf(2, 3, 4) * 0.15;
            p.add(
                    at,
                    length,
                    t -> size
                            * envelope(t, 0.004, 0.35, length)
                            * Phrase.square(hz, t, 1 + 24 * Math.exp(-t * 9) * size));
            at += length + (p.random.nextInt(6) == 0 ? 0.9 : 0.02);
        }
    }

    static void squareLead(Phrase p) {
        double at = 0.6;
        while (at < p.seconds() - 1.2) {
            double hz = hertz(p.oneOf(48, 52, 55, 57, 60, 62, 64));
            double size = p.oneOf(4, 6, 8, 10) / 10.0;
            double length = p.oneOf(2, 3, 4) * 0.12;
            int most = p.oneOf(9, 25, 99);
            p.add(at, length, t -> size * envelope(t, 0.004, 0.6, length) * Phrase.square(hz, t, most));
            at += length + (p.random.nextInt(7) == 0 ? 0.8 : 0.01);
        }
    }

    static void voice(Phrase p) {
        double[] source = new double[p.samples.length];
        double at = 0.9;
        double phase = 0;
        double[] loud = new double[source.length];
        while (at < p.seconds() - 1) {
            double length = p.between(0.15, 0.4);
            double size = p.between(0.3, 1);
            double hz = p.between(95, 180);
            for (int i = (int) (at * RATE); i < (at + length) * RATE && i < source.length; i++) {
                double t = (double) i / RATE - at;
                phase += (hz - 20 * t) / RATE;
                loud[i] = size * Math.sin(Math.PI * t / length);
                source[i] = phase % 1 < 0.1 ? 1 - 10 * (phase % 1) : 0;
                source[i] += 0.02 * p.random.nextGaussian();
            }
            at += length + (p.random.nextInt(5) == 0 ? p.between(0.7, 1.4) : p.between(0.02, 0.12));
        }
        double first = p.between(450, 750);
        Phrase.resonate(Phrase.resonate(Phrase.resonate(source, first, 80, 0.8), 1_250, 110, 0.6), 2_600, 160, 0.5);
        for (int i = 0; i < source.length; i++) {
            p.samples[i] = source[i] * loud[i];
        }
    }

    static void lowOrgan(Phrase p) {
        double at = 0.5;
        while (at < p.seconds() - 1.5) {
            double hz = hertz(p.oneOf(29, 31, 33, 34, 36, 41)) * p.between(0.998, 1.002);
            double length = p.between(0.8, 2.2);
            p.add(
                    at,
                    length,
                    t -> 0.5
                            * envelope(t, 0.03, 60, length)
                            * (sine(hz * t)
                                    + 0.6 * sine(2 * hz * t)
                                    + 0.4 * sine(3 * hz * t)
                                    + 0.2 * sine(8 * hz * t)));
            at += length + (p.random.nextInt(4) == 0 ? 1.3 : 0.02);
        }
    }

    static void drivenGuitar(Phrase p) {
        pluckedString(p);
        for (int i = 0; i < p.samples.length; i++) {
            p.samples[i] = Math.tanh(12 * p.samples[i]);
        }
        // The loudspeaker that such a sound is made for.
        Phrase.highPass(Phrase.lowPass(Phrase.lowPass(Phrase.lowPass(p.samples, 3_800), 4_200), 5_000), 90);
    }

    static void metronomeAndFlute(Phrase p) {
        for (double at = 0.5; at < p.seconds() - 0.4; at += 0.5) {
            p.add(at, 0.03, t -> 0.5 * envelope(t, 0.0005, 0.006, 0.03) * sine(1_800 * t));
        }
        for (double at = 1; at < p.seconds() - 1.6; at += p.oneOf(1, 2, 3) * 0.5) {
            double hz = hertz(p.oneOf(72, 74, 76, 79));
            p.add(
                    at,
                    0.45,
                    t -> 0.4
                            * Math.min(1, Math.min(t / 0.06, (0.45 - t) / 0.08))
                            * (sine(hz * t) + 0.2 * sine(2 * hz * t) + 0.02 * p.random.nextGaussian()));
        }
    }

    static void shaker(Phrase p) {
        for (double at = 0.6; at < p.seconds() - 1; at += 0.15 + (p.random.nextInt(12) == 0 ? 0.9 : 0)) {
            double size = p.between(0.3, 1);
            p.add(at, 0.14, t -> 0.3 * size * envelope(t, 0.02, 0.03, 0.14) * p.random.nextGaussian());
        }
        Phrase.highPass(p.samples, 2_500);
    }
}
