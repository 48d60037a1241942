package kalodyne.core.testing.corpus;

import static kalodyne.core.testing.corpus.Phrase.RATE;

import java.util.Random;
import kalodyne.core.testing.Ringing;

/** What goes wrong on the way from an instrument to a file, done to samples. Levels are in dB re full scale 1. */
final class Faults {
    private Faults() {}

    static double ratio(double db) {
        return Math.pow(10, db / 20);
    }

    static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    static double peak(double[] samples) {
        double peak = 0;
        for (double sample : samples) {
            peak = Math.max(peak, Math.abs(sample));
        }
        return peak;
    }

    static void scale(double[] samples, double by) {
        for (int i = 0; i < samples.length; i++) {
            samples[i] *= by;
        }
    }

    /** A stage that goes no higher, on one side or on both. */
    static void cut(double[] samples, double underPeakDb, boolean oneSide) {
        double ceiling = peak(samples) * ratio(-underPeakDb);
        for (int i = 0; i < samples.length; i++) {
            samples[i] = Math.min(ceiling, oneSide ? samples[i] : Math.max(-ceiling, samples[i]));
        }
    }

    /** The same with a rounded corner: within a decibel below its ceiling it gives way. */
    static void cutWithKnee(double[] samples, double underPeakDb, boolean oneSide) {
        double ceiling = peak(samples) * ratio(-underPeakDb);
        double knee = ceiling * ratio(-1);
        for (int i = 0; i < samples.length; i++) {
            double size = Math.abs(samples[i]);
            if (size > knee && (!oneSide || samples[i] > 0)) {
                double over = (size - knee) / (ceiling - knee);
                samples[i] = Math.signum(samples[i]) * (knee + (ceiling - knee) * Math.tanh(over));
            }
        }
    }

    /** Walls: early echoes, and a tail that dies away by 60 dB in some time. In place. */
    static void inRoom(double[] samples, double reverberationSeconds, Random random) {
        double[] dry = samples.clone();
        for (int wall = 0; wall < 6; wall++) {
            int delay = (int) (RATE * between(random, 0.006, 0.03));
            double share = between(random, -0.12, 0.12);
            for (int i = delay; i < samples.length; i++) {
                samples[i] += share * dry[i - delay];
            }
        }
        for (int comb = 0; comb < 4; comb++) {
            int delay = (int) (RATE * between(random, 0.029, 0.047));
            double back = Math.pow(10, -3.0 * delay / RATE / reverberationSeconds);
            double[] tail = new double[samples.length];
            for (int i = delay; i < samples.length; i++) {
                tail[i] = dry[i - delay] + back * tail[i - delay];
                samples[i] += 0.04 * tail[i];
            }
        }
    }

    /** A stage that gives way softly. */
    static void saturate(double[] samples, double drive) {
        double peak = peak(samples);
        for (int i = 0; i < samples.length; i++) {
            samples[i] = peak * Math.tanh(drive * samples[i] / peak) / Math.tanh(drive);
        }
    }

    static void addNoise(double[] samples, double rmsDb, Random random) {
        double rms = ratio(rmsDb);
        for (int i = 0; i < samples.length; i++) {
            samples[i] += rms * random.nextGaussian();
        }
    }

    /** Mains as it is induced: mostly odd harmonics, falling. */
    static void addHum(double[] samples, double mainsHz, double peakDb, Random random) {
        for (int h = 1; h <= 15; h++) {
            double even = h % 2 == 0 ? 0.15 : 1;
            addTone(samples, h * mainsHz, ratio(peakDb) * even * between(random, 0.5, 1) / Math.pow(h, 0.8), random);
        }
    }

    /** A rectifier's charging pulses: harmonics of twice the mains, far up. */
    static void addBuzz(double[] samples, double mainsHz, double peakDb, Random random) {
        for (int h = 1; h <= 20; h++) {
            addTone(samples, 2 * h * mainsHz, ratio(peakDb) * between(random, 0.5, 1) / Math.pow(h, 0.6), random);
        }
        addTone(samples, mainsHz, ratio(peakDb) * 0.1, random);
    }

    /** What leaks from a computer's data cable: its thousand frames a second. */
    static void addWhine(double[] samples, double peakDb, Random random) {
        double clock = between(random, 0.99995, 1.00005);
        for (int k = 1; k <= 10; k++) {
            addTone(samples, 1_000 * k * clock, ratio(peakDb) * between(random, 0.3, 1), random);
        }
    }

    static void addTone(double[] samples, double hertz, double peak, Random random) {
        double phase = 2 * Math.PI * random.nextDouble();
        Ringing.add(samples, 0, samples.length, peak, phase, 1, 2 * Math.PI * hertz / RATE);
    }

    static void addRumble(double[] samples, double rmsDb, Random random) {
        double[] noise = new double[samples.length];
        for (int i = 0; i < noise.length; i++) {
            noise[i] = random.nextGaussian();
        }
        Phrase.highPass(Phrase.lowPass(Phrase.lowPass(Phrase.lowPass(noise, 22), 25), 28), 6);
        double squares = 0;
        for (double sample : noise) {
            squares += sample * sample;
        }
        double scale = ratio(rmsDb) / Math.sqrt(squares / noise.length);
        for (int i = 0; i < noise.length; i++) {
            samples[i] += scale * noise[i];
        }
    }

    /** Holes of one or more buffers, where there is sound. */
    static int dropOut(double[] samples, int holes, Random random) {
        int made = 0;
        for (int tries = 0; tries < 400 && made < holes; tries++) {
            int length = 64 << random.nextInt(5);
            int at = RATE / 2 + random.nextInt(samples.length - RATE);
            if (rms(samples, at - 480, at) > 0.02 && rms(samples, at + length, at + length + 480) > 0.02) {
                for (int i = at; i < at + length; i++) {
                    samples[i] = 0;
                }
                made++;
            }
        }
        return made;
    }

    static double rms(double[] samples, int from, int to) {
        double sum = 0;
        double squares = 0;
        for (int i = from; i < to; i++) {
            sum += samples[i];
            squares += samples[i] * samples[i];
        }
        double mean = sum / (to - from);
        return Math.sqrt(squares / (to - from) - mean * mean);
    }

    /** Jumps that leak away within a millisecond, and single odd samples. */
    static void click(double[] samples, int clicks, double heightDb, Random random) {
        for (int n = 0; n < clicks; n++) {
            int at = RATE / 2 + random.nextInt(samples.length - RATE);
            double height = ratio(heightDb) * (random.nextBoolean() ? 1 : -1);
            double leak = random.nextBoolean() ? 0 : 0.95;
            for (int i = 0; i < 200; i++) {
                samples[at + i] += height * Math.pow(leak, i);
            }
        }
    }

    /** An automatic level control: fast down, slow up. */
    static void rideGain(double[] samples, double target, double mostDb, double releaseSeconds) {
        double attack = Math.exp(-1 / (0.01 * RATE));
        double release = Math.exp(-1 / (releaseSeconds * RATE));
        double level = target;
        for (int i = 0; i < samples.length; i++) {
            double size = Math.abs(samples[i]) * 1.4;
            level = size > level ? attack * level + (1 - attack) * size : release * level + (1 - release) * size;
            samples[i] *= Math.min(ratio(mostDb), target / Math.max(level, 1e-9));
        }
    }

    /** A gate: shut where nothing exceeds its threshold for a while. */
    static void gate(double[] samples, double thresholdDb, double holdSeconds, double shutDb) {
        double threshold = ratio(thresholdDb);
        int hold = 0;
        double gain = 0;
        for (int i = 0; i < samples.length; i++) {
            hold = Math.abs(samples[i]) > threshold ? (int) (holdSeconds * RATE) : hold - 1;
            double aim = hold > 0 ? 1 : ratio(shutDb);
            gain += (aim - gain) * (aim > gain ? 0.05 : 0.01);
            samples[i] *= gain;
        }
    }

    /** A telephone's path: nothing above a frequency, by a steep filter. */
    static double[] limitBand(double[] samples, double highHz, double lowHz) {
        int reach = 200;
        double[] weights = new double[2 * reach + 1];
        for (int k = -reach; k <= reach; k++) {
            double x = 2 * highHz / RATE;
            double shape = 0.42 + 0.5 * Math.cos(Math.PI * k / reach) + 0.08 * Math.cos(2 * Math.PI * k / reach);
            weights[k + reach] = shape * (k == 0 ? x : Math.sin(Math.PI * x * k) / (Math.PI * k));
        }
        double[] limited = new double[samples.length];
        for (int i = 0; i < samples.length; i++) {
            double sum = 0;
            for (int k = Math.max(0, i - samples.length + 1 + reach);
                    k < Math.min(weights.length, i + reach + 1);
                    k++) {
                sum += weights[k] * samples[i + reach - k];
            }
            limited[i] = sum;
        }
        return Phrase.highPass(Phrase.highPass(limited, lowHz), lowHz);
    }
}
