package kalodyne.core.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is given to the speakers of a part of a take. */
class PlaybackTest {
    private static final int RATE = 8000;

    @TempDir
    Path folder;

    /** Keeps all that it is given; stops after so many frames. */
    private static final class Keeping implements Speakers, Speakers.Ear {
        private final List<Float> left = new ArrayList<>();
        private final List<Float> right = new ArrayList<>();
        private final int most;
        private Playback stopped;
        private boolean isClosed;
        private int rate;

        Keeping(int most) {
            this.most = most;
        }

        @Override
        public boolean isHeard() {
            return true;
        }

        @Override
        public Ear open(int sampleRateHz, double seconds) {
            rate = sampleRateHz;
            return this;
        }

        @Override
        public void give(float[] givenLeft, float[] givenRight, int count) {
            for (int i = 0; i < count; i++) {
                left.add(givenLeft[i]);
                right.add(givenRight[i]);
            }
            if (left.size() >= most) {
                stopped.stop();
            }
        }

        @Override
        public long heard() {
            return left.size();
        }

        @Override
        public void close() {
            isClosed = true;
        }
    }

    /** Ten seconds: each second its own level, 0.05, 0.10 …; on the right the same upside down. */
    private Path stairs(int channels) throws IOException {
        double[] stairs = new double[10 * RATE];
        for (int i = 0; i < stairs.length; i++) {
            stairs[i] = 0.05 * (1 + i / RATE);
        }
        double[] down = Arrays.stream(stairs).map(sample -> -sample).toArray();
        WavBytes wav = channels == 1 ? WavBytes.floats(stairs) : WavBytes.floats(stairs, down);
        wav.rate = RATE;
        return wav.write(folder.resolve("stairs.wav"));
    }

    private static Keeping played(Path file, double from, double to, boolean isLooped, int most)
            throws IOException, InterruptedException {
        Playback playback = new Playback(file, from, to, isLooped);
        assertThat(playback.position()).isEqualTo(from);
        Keeping keeping = new Keeping(most);
        keeping.stopped = playback;
        playback.run(keeping);
        assertThat(keeping.isClosed).isTrue();
        assertThat(keeping.rate).isEqualTo(RATE);
        assertThat(playback.position()).isBetween(from, to);
        return keeping;
    }

    @ParameterizedTest
    @CsvSource({"1, 2.25, 3.75, 0.15, 0.2", "2, 4, 6, 0.25, 0.3", "2, 9.5, 12, 0.5, 0.5"})
    void plays_the_part_that_is_wanted(int channels, double from, double to, float first, float last) throws Exception {
        Keeping keeping = played(stairs(channels), from, to, false, Integer.MAX_VALUE);
        assertThat(keeping.left).hasSize((int) Math.round((Math.min(10, to) - from) * RATE));
        assertThat(keeping.left.get(100)).isCloseTo(first, within(1e-6f));
        assertThat(keeping.left.get(keeping.left.size() - 100)).isCloseTo(last, within(1e-6f));
        float side = channels == 1 ? 1 : -1;
        assertThat(keeping.right.get(100)).isCloseTo(side * first, within(1e-6f));
    }

    /** It fades in from nothing over 8 ms, 64 frames here, and out again: no click at either end, nor where it begins anew. */
    @Test
    void begins_and_ends_without_a_click() throws Exception {
        Keeping keeping = played(stairs(1), 3, 3.5, true, 3 * RATE / 2);
        for (int i = 1; i < keeping.left.size(); i++) {
            assertThat(Math.abs(keeping.left.get(i) - keeping.left.get(i - 1))).isLessThan(0.2f / 60);
        }
        assertThat(keeping.left.get(0)).isZero();
        assertThat(keeping.left.get(32)).isCloseTo(0.1f, within(1e-6f));
        // Once more from the beginning after half a second.
        assertThat(keeping.left.get(RATE / 2)).isZero();
        assertThat(keeping.left.get(RATE / 2 + 200)).isCloseTo(0.2f, within(1e-6f));
    }

    @Test
    void stops_soon_when_it_is_told_to() throws Exception {
        Keeping keeping = played(stairs(2), 0, 10, true, 2000);
        assertThat(keeping.left).hasSizeBetween(2000, 2000 + 1024);
    }
}
