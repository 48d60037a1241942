package kalodyne.core.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import kalodyne.core.recording.PairPlayback.Voice;
import org.junit.jupiter.api.Test;

/** What is given to the speakers while one goes from one recording to another. */
class PairPlaybackTest {
    private static final int RATE = 48_000;

    /** Keeps what it hears, and does something when it has heard so many frames. */
    private static final class Listening implements Speakers, Speakers.Ear {
        private final List<Float> heard = new ArrayList<>();
        private final List<Runnable> then;
        private final int each;

        Listening(int each, List<Runnable> then) {
            this.each = each;
            this.then = new ArrayList<>(then);
        }

        @Override
        public boolean isHeard() {
            return true;
        }

        @Override
        public Ear open(int sampleRateHz, double seconds) {
            return this;
        }

        @Override
        public void give(float[] left, float[] right, int count) {
            for (int i = 0; i < count; i++) {
                assertThat(right[i]).isEqualTo(left[i]);
                heard.add(left[i]);
            }
            if (!then.isEmpty() && heard.size() % each < count) {
                then.remove(0).run();
            }
        }

        @Override
        public long heard() {
            return heard.size();
        }

        @Override
        public void close() {
            // Nothing is open.
        }
    }

    private static float[][] level(float level) {
        float[] channel = new float[10 * RATE];
        Arrays.fill(channel, level);
        return new float[][] {channel, channel};
    }

    /** Steady levels of 0.4 and −0.2: a click would be a jump between them; a fade of 12 ms takes steps of a thousandth. */
    @Test
    void nothing_clicks_when_something_else_is_heard() throws InterruptedException {
        PairPlayback playback = new PairPlayback(RATE, level(0.4f), level(-0.2f), Voice.REFERENCE);
        Listening listening = new Listening(
                4096,
                List.of(
                        () -> playback.hear(Voice.OTHER),
                        () -> playback.hear(Voice.BOTH),
                        () -> playback.exchange(level(0.2f)),
                        playback::stop));
        playback.run(listening);
        List<Float> heard = listening.heard;
        for (int i = 1; i < heard.size(); i++) {
            assertThat(heard.get(i) - heard.get(i - 1)).isCloseTo(0, within(0.0016f));
        }
        assertThat(heard.get(4000)).isEqualTo(0.4f);
        assertThat(heard.get(2 * 4096 - 10)).isCloseTo(-0.2f, within(1e-6f));
        assertThat(heard.get(3 * 4096 - 10)).isCloseTo(0.1f, within(1e-6f));
        assertThat(heard.get(4 * 4096 - 10)).isCloseTo(0.3f, within(1e-6f));
    }
}
