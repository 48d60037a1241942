package kalodyne.desktop.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.recording.InputDevice;
import kalodyne.core.recording.InputFormat;
import kalodyne.core.recording.InputLine;
import kalodyne.core.recording.LiveMeter;
import kalodyne.core.recording.LostInput;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.testing.Studios;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.takes.RecordingModel.State;
import kalodyne.desktop.testing.Models;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recording without a window, from an input whose samples are known, that is pulled out or taken when a test says so. */
class RecordingModelTest {
    private static final String BASS = "bass-synth.out>interface.adc-3";
    private static final double LEFT = 0.25;
    private static final double RIGHT = 0.125;
    private static final int HALF_A_SECOND = 24_000 * 3;

    @TempDir
    Path folder;

    private Models models;
    private TakesModel takes;
    private RecordingModel recording;
    private final Plugged input = new Plugged();

    /** Two channels of a steady value each, as fast as they are asked for. */
    private static final class Plugged implements InputDevice {
        private volatile boolean isBusy;
        private volatile boolean isPulled;
        private volatile boolean isOpen;

        @Override
        public String name() {
            return "Two-input interface";
        }

        @Override
        public boolean isSimulated() {
            return false;
        }

        @Override
        public int channels() {
            return 2;
        }

        @Override
        public InputLine open(int sampleRateHz) throws LostInput {
            if (isBusy) {
                throw new LostInput("The input is in use.", "Close the program that uses it.");
            }
            isOpen = true;
            return new InputLine() {
                @Override
                public InputFormat format() {
                    return new InputFormat(sampleRateHz, 2, 24);
                }

                @Override
                public int read(float[][] samples) throws LostInput, InterruptedException {
                    if (isPulled) {
                        throw new LostInput("The interface is gone.", "Plug it in again.");
                    }
                    Thread.sleep(1);
                    Arrays.fill(samples[0], (float) LEFT);
                    Arrays.fill(samples[1], (float) RIGHT);
                    return samples[0].length;
                }

                @Override
                public void close() {
                    isOpen = false;
                }
            };
        }
    }

    private void on(Studio studio) throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), studio);
        takes = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
        recording = new RecordingModel(models.studio(), takes, () -> List.of(input));
    }

    private void onDemo() throws IOException {
        on(Boathouse.studio());
        models.studio().showRun(BASS);
    }

    @AfterEach
    void close() {
        recording.close();
        models.close();
    }

    private void listen(OptionalInt channel) throws InterruptedException {
        recording.open();
        recording.choose(input, channel);
        models.until(() -> recording.state() == State.LISTENING);
    }

    private void record(OptionalInt channel) throws InterruptedException {
        listen(channel);
        recording.record();
        Path file = takes.fileOf(takes.selection().take().orElseThrow());
        models.until(() -> file.toFile().length() > HALF_A_SECOND);
    }

    private Optional<String> told() {
        return models.studio().noticeProperty().get().map(Notice::title);
    }

    @Test
    void what_the_system_has_stands_behind_the_simulated_one() throws Exception {
        onDemo();
        assertThat(recording.isPossible()).isTrue();
        assertThat(recording.inputsProperty().get())
                .extracting(InputDevice::isSimulated)
                .containsExactly(true);
        recording.open();
        assertThat(recording.state()).isEqualTo(State.OPENING);
        models.until(() -> recording.inputsProperty().get().size() == 2);
        assertThat(recording.inputsProperty().get().get(1)).isSameAs(input);
        models.until(() -> recording.state() == State.LISTENING);
        assertThat(recording.device().isSimulated()).isTrue();
        recording.stop();
        assertThat(recording.state()).isEqualTo(State.IDLE);
        assertThat(models.studio().setup().takes()).isEmpty();
    }

    /** 0.25 of full scale is −12.04 dBFS on the left, half of it 6 dB less on the right; one channel alone is a mono file. */
    @Test
    void the_channel_that_is_chosen_becomes_a_take() throws Exception {
        onDemo();
        listen(OptionalInt.empty());
        LiveMeter.Reading meter = recording.meter().orElseThrow();
        assertThat(meter.bars()).hasSize(2);
        assertThat(recording.plan().trace().key()).isEqualTo(BASS);
        recording.stop();
        models.tell();

        record(OptionalInt.of(1));
        assertThat(recording.state()).isEqualTo(State.RECORDING);
        assertThat(recording.meter().orElseThrow().loudest()).isCloseTo(RIGHT, within(1e-6));
        Take growing = takes.selection().take().orElseThrow();
        assertThat(growing.name()).isEqualTo("Take 1");
        assertThat(growing.judged()).isEmpty();
        recording.choose(recording.inputsProperty().get().get(0), OptionalInt.empty());
        assertThat(recording.state()).as("a choice meanwhile is for the next").isEqualTo(State.RECORDING);
        recording.stop();
        models.until(() -> recording.state() == State.IDLE);
        models.tell();
        Take take = takes.selection().take().orElseThrow();
        assertThat(take.judged().orElseThrow().peakDbfs().orElseThrow()).isCloseTo(-18.06, within(0.01));
        SoundHeader header =
                TakeReader.read(folder.resolve(take.file()), Progress.NONE).header();
        assertThat(header.channels()).isEqualTo(1);
        assertThat(header.seconds()).isGreaterThan(0.4);
        models.studio().undo();
        assertThat(models.studio().setup().takes())
                .as("recording and judging are one edit")
                .isEmpty();
    }

    @Test
    void what_came_before_the_plug_was_pulled_is_kept() throws Exception {
        onDemo();
        record(OptionalInt.of(0));
        input.isPulled = true;
        models.until(() -> recording.state() == State.IDLE);
        assertThat(told()).contains("The recording ended early; what came was kept");
        Take take = takes.selection().take().orElseThrow();
        assertThat(TakeReader.read(folder.resolve(take.file()), Progress.NONE)
                        .header()
                        .seconds())
                .isGreaterThan(0.4);
    }

    @Test
    void an_input_that_is_in_use_is_told_and_leaves_nothing() throws Exception {
        onDemo();
        input.isBusy = true;
        recording.open();
        recording.choose(input, OptionalInt.of(0));
        models.until(() -> recording.state() == State.IDLE && told().isPresent());
        assertThat(told()).contains("Nothing was recorded");
        assertThat(models.studio().noticeProperty().get().orElseThrow().text())
                .isEqualTo("The input is in use. Close the program that uses it.");
        recording.record();
        assertThat(recording.state()).as("nobody listens").isEqualTo(State.IDLE);
        assertThat(models.studio().setup().takes()).isEmpty();
    }

    /** Who looks at another run meanwhile does not record the first one's sound as a take of the second. */
    @Test
    void another_run_ends_the_listening_and_lets_go_of_the_input() throws Exception {
        onDemo();
        listen(OptionalInt.of(0));
        String other = models.studio().runs().stream()
                .map(run -> run.key())
                .filter(key -> !key.equals(BASS))
                .findFirst()
                .orElseThrow();
        models.studio().showRun(other);
        assertThat(recording.state()).isEqualTo(State.IDLE);
        models.until(() -> !input.isOpen);
        assertThat(models.studio().setup().takes()).isEmpty();
    }

    @Test
    void a_window_that_closes_gives_the_input_back_and_keeps_the_take() throws Exception {
        onDemo();
        record(OptionalInt.of(0));
        recording.close();
        models.until(() -> !input.isOpen);
        Take take = models.studio().setup().takes().get(0);
        assertThat(Files.size(folder.resolve(take.file()))).isGreaterThan(HALF_A_SECOND);
    }

    @Test
    void without_a_run_that_is_recorded_there_is_nothing_to_record() throws Exception {
        on(Studios.of("Ears", "interface-2.phones headphones-80.plug"));
        assertThat(recording.isPossible()).isFalse();
        recording.open();
        assertThat(told()).contains("There is nothing to record");
        assertThat(recording.state()).isEqualTo(State.IDLE);
    }
}
