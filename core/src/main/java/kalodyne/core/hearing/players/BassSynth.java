package kalodyne.core.hearing.players;

/** A step-sequenced bass synth: a sawtooth through a low-pass that closes after each note, accents on some steps. */
public final class BassSynth implements Player {
    /** Sixteen steps; semitones above the lowest note, or a rest. */
    private static final int REST = -1;

    private static final int[] STEPS = {0, REST, 0, 12, REST, 0, 3, REST, 0, REST, 7, 12, REST, 5, 3, REST};
    private static final boolean[] ACCENTS = {
        true, false, false, false, false, false, true, false, false, false, false, true, false, false, false, false
    };
    private static final double LOWEST_NOTE_HZ = 55;
    private static final double STEP_SECONDS = 0.15;
    private static final double LEAD_IN_SECONDS = 0.8;
    private static final double SECONDS = 12;
    private static final int ROUND_STEPS = 96;
    private static final double ACCENT = 1.0;
    private static final double PLAIN = 0.5;

    @Override
    public double[] play(int sampleRateHz, double dynamics) {
        Playing playing = new Playing(sampleRateHz, dynamics);
        double[] round = new double[(int) (ROUND_STEPS * STEP_SECONDS * sampleRateHz)];
        for (int i = 0; i < round.length; i++) {
            round[i] = playing.step(i / (double) sampleRateHz);
        }
        return round;
    }

    /** A phrase of some seconds with silence before it and the filter ringing out behind it. */
    public static double[] phrase(int sampleRateHz) {
        Playing playing = new Playing(sampleRateHz, 1);
        double[] phrase = new double[(int) (SECONDS * sampleRateHz)];
        for (int i = 0; i < phrase.length; i++) {
            double at = i / (double) sampleRateHz - LEAD_IN_SECONDS;
            phrase[i] = at < 0 || i > phrase.length - sampleRateHz ? playing.fade(i, phrase.length) : playing.step(at);
        }
        return phrase;
    }

    /** The synth while it sounds. */
    private static final class Playing {
        private final double rate;
        private final double dynamics;
        private double phase;
        private double firstPole;
        private double secondPole;

        Playing(int sampleRateHz, double dynamics) {
            this.rate = sampleRateHz;
            this.dynamics = dynamics;
        }

        /** Silence before; after the last step the filter rings out. */
        private double fade(int i, int length) {
            return i > length - rate ? filtered(0, 80) : 0;
        }

        private double step(double at) {
            long count = (long) (at / STEP_SECONDS);
            int step = (int) (count % STEPS.length);
            double into = at - count * STEP_SECONDS;
            if (STEPS[step] == REST) {
                return filtered(0, 120);
            }
            phase = (phase + LOWEST_NOTE_HZ * Math.pow(2, STEPS[step] / 12.0) / rate) % 1;
            double swell = 0.75 + 0.25 * Math.sin(2 * Math.PI * at / 7.2);
            double size = Math.pow(ACCENTS[step] ? ACCENT : PLAIN, dynamics)
                    * swell
                    * Math.exp(-into * 5)
                    * Math.min(1, into * 200);
            return filtered((2 * phase - 1) * size, 200 + 1500 * Math.exp(-into * 18) * size);
        }

        /** Two one-pole low-passes in a row. */
        private double filtered(double in, double cornerHz) {
            double share = 1 - Math.exp(-2 * Math.PI * cornerHz / rate);
            firstPole += share * (in - firstPole);
            secondPole += share * (firstPole - secondPole);
            return secondPole;
        }
    }
}
