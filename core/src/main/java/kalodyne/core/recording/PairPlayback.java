package kalodyne.core.recording;

/**
 * Two recordings heard at the same place, over and over, the one, the other or both. Going from one to another fades over some
 * milliseconds, so that nothing clicks; the other one can be exchanged while it is heard.
 */
public final class PairPlayback {
    private static final int BLOCK = 512;
    private static final double FADE_SECONDS = 0.012;
    /** Both together must not be louder than each. */
    private static final float TOGETHER = 0.5f;

    /** What is heard. */
    public enum Voice {
        REFERENCE(1, 0),
        OTHER(0, 1),
        BOTH(TOGETHER, TOGETHER);

        private final float reference;
        private final float other;

        Voice(float reference, float other) {
            this.reference = reference;
            this.other = other;
        }
    }

    private final int sampleRateHz;
    private final float[][] reference;
    private final float step;
    private volatile float[][] other;
    private volatile Voice voice;
    private volatile boolean isStopped;
    private volatile double position;

    /**
     * Takes left and right of both, of one length.
     *
     * @param voice what is heard at first
     */
    public PairPlayback(int sampleRateHz, float[][] reference, float[][] other, Voice voice) {
        this.sampleRateHz = sampleRateHz;
        this.reference = reference.clone();
        this.other = other.clone();
        this.voice = voice;
        step = (float) (1 / (FADE_SECONDS * sampleRateHz));
    }

    /** Fades to something else. */
    public void hear(Voice wanted) {
        voice = wanted;
    }

    /** Fades to the other one as it is by another clock. */
    public void exchange(float[][] newOther) {
        other = newOther.clone();
    }

    /** Plays until it is stopped. */
    public void run(Speakers speakers) throws InterruptedException {
        try (Speakers.Ear ear = speakers.open(sampleRateHz, Speakers.USUAL_SECONDS)) {
            Mixer mixer = new Mixer();
            float[] left = new float[BLOCK];
            float[] right = new float[BLOCK];
            while (!isStopped) {
                mixer.fill(left, right);
                ear.give(left, right, BLOCK);
                position = (double) (ear.heard() % reference[0].length) / sampleRateHz;
            }
        }
    }

    /** Where every fade stands. */
    private final class Mixer {
        private float[][] present = other;
        private float[][] next = present;
        private float exchanged = 1;
        private float ofReference = voice.reference;
        private float ofOther = voice.other;
        private int at;

        void fill(float[] left, float[] right) {
            if (exchanged == 1 && next != other) {
                present = next;
                next = other;
                exchanged = 0;
            }
            Voice wanted = voice;
            int length = reference[0].length;
            int edge = Math.max(1, Math.min(length / 4, Math.round(1 / step)));
            for (int i = 0; i < left.length; i++) {
                ofReference = toward(ofReference, wanted.reference);
                ofOther = toward(ofOther, wanted.other);
                exchanged = toward(exchanged, 1);
                // Where the end meets the beginning, both fade.
                float size = Math.min(1, Math.min((float) at / edge, (float) (length - 1 - at) / edge));
                left[i] = size * mixed(0);
                right[i] = size * mixed(1);
                at = (at + 1) % length;
            }
        }

        private float mixed(int channel) {
            float heard = present[channel][at] + exchanged * (next[channel][at] - present[channel][at]);
            return ofReference * reference[channel][at] + ofOther * heard;
        }

        private float toward(float is, float to) {
            return is < to ? Math.min(to, is + step) : Math.max(to, is - step);
        }
    }

    /** Ends it soon. */
    public void stop() {
        isStopped = true;
    }

    /** Where it is, in seconds from the beginning of the place. */
    public double position() {
        return position;
    }
}
