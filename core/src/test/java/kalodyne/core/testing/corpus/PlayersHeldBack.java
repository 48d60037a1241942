package kalodyne.core.testing.corpus;

import static kalodyne.core.testing.corpus.Phrase.envelope;
import static kalodyne.core.testing.corpus.Phrase.hertz;
import static kalodyne.core.testing.corpus.Phrase.sine;

import java.util.List;

/** How those play that were held back. */
final class PlayersHeldBack {
    private PlayersHeldBack() {}

    static void fmBass(Phrase p) {
        double at = 0.9;
        while (at < p.seconds() - 1.4) {
            double hz = hertz(p.oneOf(26, 29, 32, 34, 38, 41));
            double size = p.between(0.35, 1);
            double length = p.between(0.2, 0.5);
            p.add(
                    at,
                    length,
                    t -> size
                            * envelope(t, 0.006, 0.25, length)
                            * sine(hz * t + 0.45 * Math.exp(-t * 6) * sine(2 * hz * t)));
            at += length + (p.random.nextInt(6) == 0 ? p.between(0.7, 1.3) : 0.03);
        }
    }

    static void struckStrings(Phrase p) {
        double at = 1;
        while (at < p.seconds() - 2) {
            for (int voice = 0; voice < p.oneOf(1, 2, 3); voice++) {
                double hz = hertz(p.oneOf(36, 43, 48, 52, 55, 60, 64, 67, 72));
                double size = p.between(0.15, 0.6);
                p.add(at, 1.8, t -> struck(hz, size, t));
            }
            at += p.oneOf(1, 2, 3) * 0.3 + (p.random.nextInt(7) == 0 ? 1.9 : 0);
        }
    }

    /** Partials a little too high, the higher ones dying sooner. */
    private static double struck(double hz, double size, double t) {
        double sum = 0;
        for (int k = 1; k <= 14; k++) {
            double partial = k * hz * Math.sqrt(1 + 0.0004 * k * k);
            if (partial < 16_000) {
                sum += Math.exp(-t * (1.2 + 0.35 * k)) * sine(partial * t) / Math.pow(k, 1.4 - 0.4 * size);
            }
        }
        return size * sum * Math.min(1, t / 0.002) * Math.min(1, (1.8 - t) / 0.1);
    }

    static void bowed(Phrase p) {
        double at = 0.8;
        while (at < p.seconds() - 2) {
            double hz = hertz(p.oneOf(36, 38, 43, 45, 50, 52, 57));
            double length = p.between(0.5, 1.6);
            double size = p.between(0.4, 1);
            p.add(
                    at,
                    length,
                    t -> size
                            * Math.min(1, Math.min(t / 0.12, (length - t) / 0.15))
                            * Phrase.saw(hz, t + 0.0006 / hz * 200 * sine(5.2 * t) / 10, 30)
                            * (1 + 0.05 * p.random.nextGaussian()));
            at += length + (p.random.nextInt(4) == 0 ? 0.9 : -0.05);
        }
        Phrase.resonate(Phrase.resonate(p.samples, 280, 60, 0.4), 520, 90, 0.4);
        Phrase.lowPass(p.samples, 4_000);
    }

    static void drumMachine(Phrase p) {
        double step = 0.125;
        for (int i = 0; 0.75 + i * step < p.seconds() - 0.9; i++) {
            double at = 0.75 + i * step;
            if (i % 32 >= 26) {
                continue;
            }
            if (i % 4 == 0) {
                p.add(at, 0.22, t -> envelope(t, 0.002, 0.07, 0.22) * sine(52 * t + 2.2 * (1 - Math.exp(-t * 50))));
            }
            if (i % 8 == 4) {
                p.add(
                        at,
                        0.16,
                        t -> 0.5 * envelope(t, 0.001, 0.04, 0.16) * (sine(220 * t) + p.random.nextGaussian() * 0.6));
            }
            if (i % 8 == 6) {
                p.add(at, 0.05, t -> 0.4 * envelope(t, 0.0008, 0.012, 0.05) * sine(2_400 * t));
            }
            p.add(at, 0.05, t -> 0.08 * envelope(t, 0.0008, 0.015, 0.05) * p.random.nextGaussian());
        }
    }

    static void pulseLead(Phrase p) {
        double at = 0.8;
        while (at < p.seconds() - 1) {
            double hz = hertz(p.oneOf(50, 53, 57, 60, 62, 65));
            double width = p.between(0.15, 0.4);
            double size = p.between(0.3, 1);
            double length = p.between(0.12, 0.5);
            double bright = p.between(4, 30);
            p.add(
                    at,
                    length,
                    t -> 0.5
                            * size
                            * envelope(t, 0.005, 0.5, length)
                            * (Phrase.saw(hz, t, (int) bright) - Phrase.saw(hz, t + width / hz, (int) bright)));
            at += length + (p.random.nextInt(6) == 0 ? 0.8 : 0.02);
        }
    }

    static void speech(Phrase p) {
        double at = 1;
        while (at < p.seconds() - 1) {
            boolean voiced = p.random.nextInt(4) > 0;
            double length = voiced ? p.between(0.12, 0.3) : p.between(0.06, 0.12);
            double size = p.between(0.3, 1);
            double hz = p.between(140, 240);
            double formant = p.oneOf(350, 500, 700, 850);
            double second = p.oneOf(1_000, 1_500, 2_100);
            p.add(
                    at,
                    length,
                    t -> size
                            * Math.sin(Math.PI * t / length)
                            * (voiced ? glottal(hz, formant, second, t) : 0.12 * p.random.nextGaussian()));
            at += length + (p.random.nextInt(5) == 0 ? p.between(0.6, 1.5) : 0.01);
        }
    }

    /** Partials as high as two formants let them be. */
    private static double glottal(double hz, double formant, double second, double t) {
        double sum = 0;
        for (int k = 1; k * hz < 5_000; k++) {
            double at = k * hz;
            double height =
                    1 / (1 + Math.pow((at - formant) / 120, 2)) + 0.4 / (1 + Math.pow((at - second) / 160, 2)) + 0.02;
            sum += height * sine(at * (t + 0.001 * sine(3 * t)) + 0.1 * k * k);
        }
        return 0.5 * sum;
    }

    static void reeds(Phrase p) {
        double at = 0.7;
        while (at < p.seconds() - 2) {
            double length = p.between(0.4, 1.3);
            for (int interval : List.of(0, p.oneOf(3, 4), 7)) {
                double hz = hertz(p.oneOf(50, 52, 55, 57) + interval);
                p.add(
                        at,
                        length,
                        t -> 0.2
                                * Math.min(1, Math.min(t / 0.05, (length - t) / 0.06))
                                * (Phrase.saw(hz, t, 25) + Phrase.saw(hz * 1.003, t, 25)));
            }
            at += length + (p.random.nextInt(4) == 0 ? 0.9 : 0.03);
        }
    }

    static void fuzz(Phrase p) {
        struckStrings(p);
        for (int i = 0; i < p.samples.length; i++) {
            double x = 14 * p.samples[i];
            p.samples[i] = x / Math.sqrt(1 + x * x) + 0.1 * Math.abs(x) / (1 + Math.abs(x));
        }
        Phrase.highPass(Phrase.lowPass(Phrase.lowPass(Phrase.lowPass(p.samples, 3_000), 3_500), 4_500), 110);
    }

    static void tines(Phrase p) {
        double at = 0.8;
        while (at < p.seconds() - 1.2) {
            double hz = hertz(p.oneOf(60, 62, 64, 67, 69, 72));
            double size = p.between(0.3, 1);
            p.add(
                    at,
                    1.1,
                    t -> size * envelope(t, 0.0015, 0.3, 1.1) * sine(hz * t)
                            + 0.25 * size * envelope(t, 0.0008, 0.012, 1.1) * sine(5.4 * hz * t));
            at += p.oneOf(1, 1, 2, 3) * 0.21 + (p.random.nextInt(10) == 0 ? 1.2 : 0);
        }
    }

    static void breathyPipe(Phrase p) {
        double at = 0.9;
        while (at < p.seconds() - 1.6) {
            double hz = hertz(p.oneOf(62, 64, 67, 69, 71, 74));
            double length = p.between(0.3, 1);
            double size = p.between(0.4, 1);
            p.add(
                    at,
                    length,
                    t -> size
                            * Math.min(1, Math.min(t / 0.07, (length - t) / 0.09))
                            * (sine(hz * t + 0.03 * sine(5 * t))
                                    + 0.3 * sine(3 * hz * t)
                                    + 0.08 * p.random.nextGaussian()));
            at += length + (p.random.nextInt(4) == 0 ? 0.8 : 0.04);
        }
    }
}
