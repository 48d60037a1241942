package kalodyne.desktop.takes;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import kalodyne.core.files.Progress;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recording from the simulated interface, and what is done with a take afterwards. */
class RecordingRoomTest {
    @TempDir
    Path folder;

    @TempDir
    Path elsewhere;

    private Desk desk;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private RecordingModel.State state() {
        return Desk.onScreen(() -> desk.workbench().recording().state());
    }

    private double recordedSeconds() {
        return Desk.onScreen(() -> {
            RecordingModel recording = desk.workbench().recording();
            return recording.meter().map(recording::seconds).orElse(0.0);
        });
    }

    /** As a user does: record, wait for the countdown, play on for some seconds, stop. */
    private void record(double seconds) {
        desk.click("#record-take");
        Desk.until(() -> state() == RecordingModel.State.LISTENING);
        desk.click("#record-start");
        assertThat(desk.text("#record-instruction")).isEqualTo("Get ready");
        Desk.until(() -> state() == RecordingModel.State.RECORDING);
        Desk.until(() -> recordedSeconds() > seconds);
        desk.click("#record-start");
        Desk.until(() -> state() == RecordingModel.State.IDLE);
        desk.rest();
    }

    private List<Take> log() {
        return desk.workbench().studio().setup().takes();
    }

    /** Too hot, as predicted; turned as advised; recorded again; right. Nothing is plugged into this computer. */
    @Test
    void records_is_told_what_to_turn_and_records_again() throws IOException {
        record(5);
        assertThat(desk.text("#takes-sentence")).matches("Peaks at −[23]\\.\\d dBFS: [34]\\.\\d dB too hot");
        assertThat(desk.shows("#remedy-level-hot")).isTrue();
        desk.click("#remedy-level-hot");
        record(5);
        assertThat(desk.text("#takes-sentence")).endsWith("right in the aim");
        assertThat(desk.text("#next-step")).isEqualTo("Leave every knob where it is: record the real take");

        assertThat(log()).hasSize(4);
        assertThat(log().get(2).positions().get(Spot.read("interface.gain-3")))
                .isGreaterThan(log().get(3).positions().get(Spot.read("interface.gain-3")));
        Path file = folder.resolve(log().get(3).file());
        assertThat(file).hasFileName("bass-synth-track-3-take-4.wav");
        assertThat(TakeReader.read(file, Progress.NONE).header().seconds()).isBetween(4.5, 8.0);
    }

    /** What lies on the disk while a take is recorded is what the next start finds after a power cut. */
    @Test
    void a_take_is_there_when_the_program_dies_while_recording() throws IOException {
        desk.click("#record-take");
        Desk.until(() -> state() == RecordingModel.State.LISTENING);
        desk.click("#record-start");
        Desk.until(() -> state() == RecordingModel.State.RECORDING);
        Desk.until(() -> recordedSeconds() > 1);
        Desk.until(() -> StudioFile.read(folder.resolve("boathouse.kalodyne"))
                        .setups()
                        .get(0)
                        .takes()
                        .size()
                == 3);
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Path copy = elsewhere.resolve(folder.relativize(file));
                Files.createDirectories(copy.getParent());
                Files.copy(file, copy);
            }
        }
        desk.click("#record-close");
        Desk.until(() -> state() == RecordingModel.State.IDLE);
        desk.close();
        desk = Desk.on(elsewhere, elsewhere.resolve("boathouse.kalodyne"));
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
        assertThat(desk.<ComboBox<?>>find("#take-chooser").getItems()).hasSize(3);
        assertThat(desk.shows("#notice-title")).isFalse();
        assertThat(desk.shows("#waveform")).isTrue();
    }

    @Test
    void listening_leaves_nothing_behind() {
        desk.press(KeyCode.CONTROL, KeyCode.R);
        Desk.until(() -> state() == RecordingModel.State.LISTENING);
        assertThat(desk.text("#takes-sentence")).isEqualTo("Record a take of Bass synth → track 3");
        assertThat(desk.text("#next-step")).startsWith("Play, and see whether the meter moves");
        desk.click("#record-close");
        assertThat(state()).isEqualTo(RecordingModel.State.IDLE);
        assertThat(log()).hasSize(2);
        assertThat(desk.text("#takes-sentence")).startsWith("Cut off at 7 places");
        assertThat(folder.resolve("takes")).isDirectoryContaining("glob:**bass-take-*.wav");
    }

    private void addHum() throws IOException {
        double[] hum = Signals.sine(50, 0.004, 480_000, 48_000);
        double[] second = Signals.sine(150, 0.002, 480_000, 48_000);
        double[] music = Signals.sine(440, 0.3, 480_000, 48_000);
        for (int i = 0; i < hum.length; i++) {
            boolean isPlayed = i % 96_000 > 36_000;
            hum[i] += second[i] + (isPlayed ? music[i] : 0);
        }
        Path file = WavBytes.integers(24, hum).write(elsewhere.resolve("hum.wav"));
        Desk.onScreen(() -> {
            desk.workbench().takes().add(file);
            return null;
        });
        desk.rest();
    }

    /** The search is led from test to test, kept with the take, and can begin anew. */
    @Test
    void answers_rank_the_causes_and_are_kept_in_the_log() throws IOException {
        addHum();
        assertThat(desk.text("#takes-sentence")).startsWith("Hum of the mains, 50 Hz");
        String first = desk.text("#next-test");
        assertThat(desk.text("#next-step")).isEqualTo(first);
        desk.click("#answer-0");
        assertThat(desk.text("#tried")).contains(first);
        assertThat(log().get(2).tried()).hasSize(1);
        for (int more = 0; more < 4 && desk.shows("#answer-0"); more++) {
            desk.click("#answer-0");
        }
        assertThat(desk.text("#cure")).isNotBlank();
        int tried = log().get(2).tried().size();
        Desk.until(() -> StudioFile.read(folder.resolve("boathouse.kalodyne"))
                        .setups()
                        .get(0)
                        .takes()
                        .get(2)
                        .tried()
                        .size()
                == tried);
        desk.click("#search-anew");
        assertThat(desk.text("#next-test")).isEqualTo(first);
    }

    @Test
    void two_takes_are_compared_and_a_note_is_kept() throws IOException {
        Desk.onScreen(() -> {
            desk.workbench().takes().compareWith(Optional.of(log().get(0)));
            return null;
        });
        desk.rest();
        assertThat(desk.robot()
                        .from(desk.<Node>find("#comparison"))
                        .lookup(".cell")
                        .queryAllAs(Labeled.class))
                .extracting(Labeled::getText)
                .containsSubsequence("measured in", "Take 2", "Take 1", "aim", "loudest peak, dBFS", "0.0", "−8.8");
        assertThat(desk.text("#hear-other")).isEqualTo("Hear Take 1");
        desk.click("#hear-other");
        assertThat(desk.text("#play-take")).isEqualTo("Stop");
        desk.click("#play-take");
        desk.click("#take-note");
        Desk.onScreen(() -> {
            desk.<TextArea>find("#take-note").replaceSelection("filter open");
            return null;
        });
        desk.click("#places");
        desk.robot().clickOn("#waveform");
        desk.rest();
        assertThat(log().get(1).note()).isEqualTo("filter open");
    }

    /** From the whole down to single samples, from place to place, and back. */
    @Test
    void the_waveform_goes_to_its_places_and_down_to_samples() {
        Waveform waveform = desk.find("#waveform");
        desk.click("#next-place");
        assertThat(desk.text("#places")).startsWith("place 1 of 7, cut off at full scale at 0:01.7");
        assertThat(waveform.view().isWhole()).isFalse();
        desk.click("#previous-place");
        assertThat(desk.text("#places")).startsWith("place 7 of 7");
        desk.robot().clickOn("#waveform");
        for (int i = 0; i < 40; i++) {
            desk.robot().press(KeyCode.UP).release(KeyCode.UP);
        }
        desk.rest();
        assertThat(waveform.view().frames()).isLessThanOrEqualTo(30);
        Desk.until(() -> Desk.onScreen(waveform::showsSamples));
        desk.robot().drag("#waveform", MouseButton.PRIMARY).moveBy(200, 0).drop();
        assertThat(waveform.view().frames()).isLessThanOrEqualTo(30);
        desk.click("#wave-whole");
        assertThat(waveform.view().isWhole()).isTrue();
    }

    @Test
    void the_spectrum_is_shown_over_time_of_what_the_waveform_shows() {
        desk.click("#spectrum-switch");
        SpectrumTimeView overTime = desk.find("#spectrum-over-time");
        Desk.until(() -> Desk.onScreen(overTime::isDrawn));
        desk.click("#next-place");
        Desk.until(() -> Desk.onScreen(overTime::isDrawn));
        desk.click("#spectrum-switch");
        assertThat(overTime.isVisible()).isFalse();
    }

    @Test
    void a_place_is_looped_until_it_is_stopped() {
        desk.click("#loop-place");
        assertThat(desk.text("#play-take")).isEqualTo("Stop");
        assertThat(desk.text("#places")).startsWith("place 1 of 7");
        desk.click("#play-take");
        assertThat(desk.text("#play-take")).isEqualTo("Play");
    }
}
