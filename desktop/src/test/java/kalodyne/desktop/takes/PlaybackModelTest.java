package kalodyne.desktop.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.recording.Speakers;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.testing.Models;
import kalodyne.desktop.testing.Tones;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Hearing a take without a window, through speakers that count what they are given. */
class PlaybackModelTest {
    @TempDir
    Path folder;

    private Models models;
    private PlaybackModel playback;
    private final Counting speakers = new Counting();

    /** Takes everything at once, a little slower than it could. */
    private static final class Counting implements Speakers {
        private volatile boolean isHeard = true;
        private final AtomicLong frames = new AtomicLong();
        private volatile float loudest;

        @Override
        public boolean isHeard() {
            return isHeard;
        }

        @Override
        public Ear open(int sampleRateHz, double seconds) {
            return new Ear() {
                @Override
                public void give(float[] left, float[] right, int count) throws InterruptedException {
                    Thread.sleep(1);
                    for (int i = 0; i < count; i++) {
                        loudest = Math.max(loudest, Math.max(left[i], right[i]));
                    }
                    frames.addAndGet(count);
                }

                @Override
                public long heard() {
                    return frames.get();
                }

                @Override
                public void close() {
                    // Counted only.
                }
            };
        }
    }

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        playback = new PlaybackModel(models.studio(), speakers);
    }

    @AfterEach
    void close() {
        playback.close();
        models.close();
    }

    private Path tone() throws IOException {
        return Tones.sine(folder.resolve("tone.wav"), 3, 440, -6);
    }

    private Optional<String> told() {
        return models.studio().noticeProperty().get().map(Notice::title);
    }

    /** From 0.5 to 1.5 s at 48 kHz are 48,000 frames; −6 dBFS is half of full scale. */
    @Test
    void a_stretch_is_heard_once() throws Exception {
        playback.play(tone(), 0.5, 1.5, false);
        assertThat(playback.playingProperty().get()).isTrue();
        models.until(() -> !playback.playingProperty().get());
        assertThat(speakers.frames.get()).isEqualTo(48_000);
        assertThat(speakers.loudest).isCloseTo(0.501f, within(0.002f));
        assertThat(playback.position()).isEmpty();
        assertThat(told()).isEmpty();
    }

    @Test
    void a_loop_goes_on_until_it_is_stopped() throws Exception {
        playback.play(tone(), 1, 1.25, true);
        models.until(() -> speakers.frames.get() > 3 * 12_000);
        assertThat(playback.position()).hasValueSatisfying(at -> assertThat(at).isBetween(1.0, 1.25));
        playback.stop();
        assertThat(playback.playingProperty().get()).isFalse();
    }

    /** The end of what was stopped is not taken for the end of what plays now. */
    @Test
    void another_stretch_takes_the_place_of_the_first() throws Exception {
        Path file = tone();
        playback.play(file, 0, 3, true);
        models.until(() -> speakers.frames.get() > 0);
        playback.play(file, 2, 2.5, true);
        models.until(() -> playback.position().filter(at -> at >= 2).isPresent());
        Thread.sleep(100);
        models.tell();
        assertThat(playback.playingProperty().get()).isTrue();
    }

    @Test
    void what_cannot_be_read_is_told() throws Exception {
        playback.play(folder.resolve("gone.wav"), 0, 1, false);
        models.until(() -> !playback.playingProperty().get());
        assertThat(told()).contains("This take could not be played");
    }

    @Test
    void that_nothing_can_be_heard_is_told_once() throws Exception {
        speakers.isHeard = false;
        Path file = tone();
        playback.play(file, 0, 0.1, false);
        models.until(() -> told().isPresent());
        assertThat(told()).contains("Nothing can be heard");
        models.studio().noticeProperty().set(Optional.empty());
        playback.play(file, 0, 0.1, false);
        models.until(() -> !playback.playingProperty().get());
        assertThat(told()).isEmpty();
    }
}
