package kalodyne.desktop.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import kalodyne.core.findings.Severity;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.recording.PairPlayback.Voice;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The Line-up room in a real window, on the demonstration's song: the camera began 9.284 s after the interface and counts 35 ppm slower, so
 * that the interface's recording is ahead by that and its clock is fast.
 */
class LineupRoomTest {
    private static final double SAMPLE = 1.0 / 48_000;

    @TempDir
    private Path folder;

    private Desk desk;
    private LineupModel model;
    private Path film;
    private Path song;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        model = desk.workbench().lineup();
        film = folder.resolve("takes/trio-film.wav");
        song = folder.resolve("takes/trio-interface.wav");
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT6);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private void drop(Path... files) {
        Desk.onScreen(() -> {
            model.drop(List.of(files));
            return null;
        });
    }

    private void lineUp() {
        drop(film, song);
        Desk.until(() -> model.start().seen().isPresent() && model.end().seen().isPresent());
        desk.rest();
    }

    private ClockLine clock() {
        return Desk.onScreen(() -> model.state().clock().orElseThrow());
    }

    @Test
    void finds_where_they_belong_and_what_is_moved_by_hand_goes_back() {
        // The film and its sound lie beside each other: that is where one begins.
        Desk.until(() -> model.start().seen().isPresent() && model.end().seen().isPresent());
        desk.rest();
        assertThat(desk.text("#lineup-sentence"))
                .matches(
                        "The other recording begins 9\\.284 s before the reference\\. Its clock ran 35\\.\\d ppm fast: 126 ms an hour\\.");
        ClockLine found = clock();
        assertThat(found.offsetSeconds()).isCloseTo(9.284, within(2e-5));
        assertThat(desk.text("#lineup-offset")).startsWith("9.284").endsWith(" s");
        assertThat(desk.text("#lineup-facts"))
                .matches(
                        "(\\d\\d) of \\1 places agree, to 1\\d µs and 0\\.\\d\\d ppm\\. What both have is 7\\.\\d dB louder.*");
        focus("#pair-start");
        desk.press(KeyCode.PERIOD);
        assertThat(clock().offsetSeconds()).isCloseTo(found.offsetSeconds() - SAMPLE, within(1e-9));
        desk.press(KeyCode.SHIFT, KeyCode.COMMA);
        assertThat(clock().offsetSeconds()).isCloseTo(found.offsetSeconds() - SAMPLE + 1e-3, within(1e-9));
        desk.click("#nudge-earlier");
        assertThat(clock().offsetSeconds()).isCloseTo(found.offsetSeconds() + 1e-3, within(1e-9));
        desk.typeInto("#lineup-offset", "9,5 s");
        assertThat(clock().offsetSeconds()).isEqualTo(9.5);
        desk.typeInto("#lineup-offset", "soon");
        assertThat(clock().offsetSeconds()).isEqualTo(9.5);
        desk.click("#lineup-as-found");
        assertThat(clock()).isEqualTo(found);
        desk.typeInto("#lineup-drift", "-20");
        assertThat(clock().drift()).isEqualTo(-20e-6);
        double middle = 6;
        assertThat(clock().inOther(middle)).isCloseTo(found.inOther(middle), within(1e-9));
        desk.click("#lineup-copy-words");
        assertThat(Desk.onScreen(() -> Clipboard.getSystemClipboard().getString()))
                .startsWith("In a film editor: play the other recording at 99.9980 % speed");
    }

    private void focus(String query) {
        Node node = desk.find(query);
        Desk.onScreen(() -> {
            node.requestFocus();
            return null;
        });
    }

    /** What is dragged at the beginning moves all; at the end it turns the clock, and the beginning stays. */
    @Test
    void the_line_is_dragged_by_hand() {
        lineUp();
        ClockLine found = clock();
        double before = 6;
        double after = 44;
        desk.robot().drag("#pair-start", MouseButton.PRIMARY).moveBy(40, 0).drop();
        desk.rest();
        double moved = found.offsetSeconds() - clock().offsetSeconds();
        // Forty of the pixels that show 0.09 s.
        double width = Desk.onScreen(() -> desk.<PairWave>find("#pair-start").getWidth());
        assertThat(moved).isCloseTo(40 / width * 0.1, within(0.01));
        assertThat(clock().drift()).isEqualTo(found.drift());
        ClockLine once = clock();
        desk.robot().drag("#pair-end", MouseButton.PRIMARY).moveBy(-30, 0).drop();
        desk.rest();
        assertThat(clock().inOther(before)).isCloseTo(once.inOther(before), within(1e-6));
        assertThat(clock().inOther(after)).isGreaterThan(once.inOther(after) + 1e-3);
    }

    @Test
    void one_hears_the_one_the_other_and_both() {
        lineUp();
        focus("#pair-end");
        desk.press(KeyCode.B);
        assertThat(heard()).contains(Voice.BOTH);
        ToggleButton both = desk.find("#pair-start-hear-both");
        assertThat(both.isSelected()).isTrue();
        desk.click("#pair-end-hear-reference");
        assertThat(heard()).contains(Voice.REFERENCE);
        assertThat(both.isSelected()).isFalse();
        desk.press(KeyCode.O);
        assertThat(heard()).contains(Voice.OTHER);
        Desk.until(() ->
                model.sound().position(model.end()).filter(at -> at > 0.05).isPresent());
        desk.press(KeyCode.D);
        assertThat(Desk.onScreen(() -> model.state().isDriftCorrected())).isFalse();
        assertThat(heard()).contains(Voice.OTHER);
        desk.press(KeyCode.O);
        assertThat(heard()).isEmpty();
    }

    private Optional<Voice> heard() {
        return Desk.onScreen(() -> model.sound().heardProperty().get().map(each -> each.voice()));
    }

    @Test
    void the_copy_is_as_long_as_the_film_and_nothing_is_overwritten() throws IOException {
        lineUp();
        Path copy = folder.resolve("copy.flac");
        Desk.onScreen(() -> {
            model.write(copy, CopyFormat.FLAC_24, false);
            return null;
        });
        Desk.until(() -> desk.shows("#notice-title"));
        assertThat(desk.text("#notice-title")).isEqualTo("copy.flac is written");
        assertThat(desk.workbench().studio().noticeProperty().get().map(Notice::severity))
                .contains(Severity.NOTE);
        try (SoundStream stream = SoundFiles.open(copy)) {
            assertThat(stream.header().seconds()).isCloseTo(50, within(1e-3));
            assertThat(stream.header().channels()).isEqualTo(2);
        }
        desk.click("#notice-dismiss");
        Desk.onScreen(() -> {
            model.write(film, CopyFormat.WAV_24, false);
            return null;
        });
        Desk.until(() -> desk.shows("#notice-title"));
        assertThat(desk.text("#notice-title")).isEqualTo("The copy was not written");
        assertThat(desk.text("#notice-text")).contains("There is a file of this name already. It was left as it is.");
    }

    @Test
    void what_does_not_belong_or_cannot_be_read_is_told() throws IOException {
        drop(film, folder.resolve("takes/bass-take-1.wav"));
        Desk.until(() -> !model.state().problem().isEmpty());
        assertThat(desk.text("#lineup-sentence")).isEqualTo("These two do not belong together");
        assertThat(desk.text("#lineup-problem")).contains("nothing in common");
        assertThat(desk.text("#next-step")).isEqualTo("Choose another recording");
        Path text = Files.writeString(folder.resolve("notes.txt"), "Sunday");
        drop(text);
        Desk.until(() -> model.state().problem().contains("notes.txt"));
        assertThat(desk.text("#lineup-sentence")).isEqualTo("They could not be lined up");
        assertThat(desk.text("#lineup-problem")).contains("This is not a sound file that can be read.");
        Desk.onScreen(() -> {
            model.chooseOther(song);
            desk.workbench().jobs().cancel();
            return null;
        });
        Desk.until(() -> !model.state().isSearching());
        desk.rest();
        assertThat(desk.text("#lineup-problem")).isEqualTo("It was stopped.");
    }
}
