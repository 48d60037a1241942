package kalodyne.core.testing.corpus;

import static kalodyne.core.testing.corpus.Phrase.RATE;
import static kalodyne.core.testing.corpus.Phrase.envelope;
import static kalodyne.core.testing.corpus.Phrase.hertz;
import static kalodyne.core.testing.corpus.Phrase.sine;

import java.util.List;
import java.util.Random;

/** The players of both halves. Each plays a phrase with a rest at its beginning and others between. */
enum Instruments {
    BASS_SYNTH(true, 0) {
        @Override
        void play(Phrase p) {
            double at = 0.7;
            while (at < p.seconds() - 1.2) {
                double hz = hertz(p.oneOf(28, 31, 33, 35, 36, 40, 43));
                double size = p.oneOf(5, 7, 10) / 10.0;
                double length = p.oneOf(1, 1, 2) * 0.16;
                p.add(
                        at,
                        length,
                        t -> size
                                * envelope(t, 0.003, 0.2, length)
                                * Phrase.saw(hz, t, 2 + 40 * Math.exp(-t * 15) * size));
                at += length + (p.random.nextInt(8) == 0 ? 0.9 : 0.02);
            }
        }
    },
    PLUCKED_STRING(true, 0) {
        @Override
        void play(Phrase p) {
            double at = 0.8;
            while (at < p.seconds() - 1.6) {
                pluck(p, at, hertz(p.oneOf(40, 45, 47, 50, 52, 55, 57, 59, 64)), p.between(0.25, 1));
                at += p.oneOf(1, 2, 2, 4) * 0.24 + (p.random.nextInt(9) == 0 ? 1.4 : 0);
            }
        }

        /** Noise going round a delay line that dulls it. */
        private void pluck(Phrase p, double at, double hz, double size) {
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
    },
    PAD(true, 1) {
        @Override
        void play(Phrase p) {
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
    },
    DRUMS(true, 0) {
        @Override
        void play(Phrase p) {
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
    },
    CLOSING_SQUARE(true, 0) {
        @Override
        void play(Phrase p) {
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
    },
    SQUARE_LEAD(true, 0) {
        @Override
        void play(Phrase p) {
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
    },
    VOICE(true, 0) {
        @Override
        void play(Phrase p) {
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
    },
    LOW_ORGAN(true, 0) {
        @Override
        void play(Phrase p) {
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
    },
    DRIVEN_GUITAR(true, 0) {
        @Override
        void play(Phrase p) {
            PLUCKED_STRING.play(p);
            for (int i = 0; i < p.samples.length; i++) {
                p.samples[i] = Math.tanh(12 * p.samples[i]);
            }
            // The loudspeaker that such a sound is made for.
            Phrase.highPass(Phrase.lowPass(Phrase.lowPass(Phrase.lowPass(p.samples, 3_800), 4_200), 5_000), 90);
        }
    },
    METRONOME_AND_FLUTE(true, 0) {
        @Override
        void play(Phrase p) {
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
    },
    SHAKER(true, 0) {
        @Override
        void play(Phrase p) {
            for (double at = 0.6; at < p.seconds() - 1; at += 0.15 + (p.random.nextInt(12) == 0 ? 0.9 : 0)) {
                double size = p.between(0.3, 1);
                p.add(at, 0.14, t -> 0.3 * size * envelope(t, 0.02, 0.03, 0.14) * p.random.nextGaussian());
            }
            Phrase.highPass(p.samples, 2_500);
        }
    },

    FM_BASS(false, 0) {
        @Override
        void play(Phrase p) {
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
    },
    STRUCK_STRINGS(false, 1) {
        @Override
        void play(Phrase p) {
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
        private double struck(double hz, double size, double t) {
            double sum = 0;
            for (int k = 1; k <= 14; k++) {
                double partial = k * hz * Math.sqrt(1 + 0.0004 * k * k);
                if (partial < 16_000) {
                    sum += Math.exp(-t * (1.2 + 0.35 * k)) * sine(partial * t) / Math.pow(k, 1.4 - 0.4 * size);
                }
            }
            return size * sum * Math.min(1, t / 0.002) * Math.min(1, (1.8 - t) / 0.1);
        }
    },
    BOWED(false, 0) {
        @Override
        void play(Phrase p) {
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
    },
    DRUM_MACHINE(false, 1) {
        @Override
        void play(Phrase p) {
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
                            t -> 0.5
                                    * envelope(t, 0.001, 0.04, 0.16)
                                    * (sine(220 * t) + p.random.nextGaussian() * 0.6));
                }
                if (i % 8 == 6) {
                    p.add(at, 0.05, t -> 0.4 * envelope(t, 0.0008, 0.012, 0.05) * sine(2_400 * t));
                }
                p.add(at, 0.05, t -> 0.08 * envelope(t, 0.0008, 0.015, 0.05) * p.random.nextGaussian());
            }
        }
    },
    PULSE_LEAD(false, 0) {
        @Override
        void play(Phrase p) {
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
    },
    SPEECH(false, 0) {
        @Override
        void play(Phrase p) {
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
        private double glottal(double hz, double formant, double second, double t) {
            double sum = 0;
            for (int k = 1; k * hz < 5_000; k++) {
                double at = k * hz;
                double height = 1 / (1 + Math.pow((at - formant) / 120, 2))
                        + 0.4 / (1 + Math.pow((at - second) / 160, 2))
                        + 0.02;
                sum += height * sine(at * (t + 0.001 * sine(3 * t)) + 0.1 * k * k);
            }
            return 0.5 * sum;
        }
    },
    REEDS(false, 1) {
        @Override
        void play(Phrase p) {
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
    },
    FUZZ(false, 0) {
        @Override
        void play(Phrase p) {
            STRUCK_STRINGS.play(p);
            for (int i = 0; i < p.samples.length; i++) {
                double x = 14 * p.samples[i];
                p.samples[i] = x / Math.sqrt(1 + x * x) + 0.1 * Math.abs(x) / (1 + Math.abs(x));
            }
            Phrase.highPass(Phrase.lowPass(Phrase.lowPass(Phrase.lowPass(p.samples, 3_000), 3_500), 4_500), 110);
        }
    },
    TINES(false, 0) {
        @Override
        void play(Phrase p) {
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
    },
    BREATHY_PIPE(false, 0) {
        @Override
        void play(Phrase p) {
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
    };

    /** Whether it plays in the half that the thresholds were tuned on. */
    final boolean isForTuning;

    /** Whether it comes out in stereo by itself. */
    final boolean isStereo;

    Instruments(boolean isForTuning, int stereo) {
        this.isForTuning = isForTuning;
        this.isStereo = stereo == 1;
    }

    abstract void play(Phrase phrase);

    /** A phrase whose highest sample is 1. */
    double[] phrase(double seconds, Random random) {
        Phrase phrase = new Phrase(seconds, random);
        play(phrase);
        double peak = 0;
        for (double sample : phrase.samples) {
            peak = Math.max(peak, Math.abs(sample));
        }
        for (int i = 0; i < phrase.samples.length; i++) {
            phrase.samples[i] /= peak;
        }
        return phrase.samples;
    }
}
