package kalodyne.desktop.convert;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Labeled;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ConvertRoomTest {
    @TempDir
    Path folder;

    private static List<String> values(Desk desk) {
        return desk.robot().lookup("#convert-answers .convert-value").queryAllAs(Labeled.class).stream()
                .map(Labeled::getText)
                .toList();
    }

    @Test
    void a_question_is_answered_as_one_types() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT9);
            assertThat(desk.text("#convert-sentence")).isEqualTo("What is a level in other units?");
            desk.typeInto("#field-level", "-10 dBV");
            assertThat(values(desk)).startsWith("−7.78 dBu");
            desk.typeInto("#field-level", "loud");
            assertThat(values(desk)).isEmpty();
            assertThat(desk.robot().lookup(".convert-known .problem").queryAllAs(Labeled.class))
                    .anyMatch(label -> label.getText().contains("dBu"));
            desk.click("#sum-together");
            desk.typeInto("#field-one", "0 dBu");
            desk.typeInto("#field-other", "0 dBu");
            assertThat(values(desk)).containsExactly("+3.0 dBu", "+6.0 dBu", "nothing is left");
            desk.click("#copy-answers");
            assertThat(Desk.onScreen(() -> Clipboard.getSystemClipboard().getString()))
                    .endsWith(
                            "Of two players: +3.0 dBu\nOf the same signal: +6.0 dBu\nThe same, one inverted: nothing is left");
            desk.click("#sum-divider");
            assertThat(desk.robot().lookup(".sum-sketch").queryAllAs(SketchView.class))
                    .extracting(SketchView::getAccessibleText)
                    .containsExactly(
                            "L pad: in series 14.85 kΩ, across 150 Ω",
                            "U pad, balanced: in series 7.425 kΩ in each wire, across 150 Ω");
            // What was typed before is still there.
            desk.click("#sum-level");
            assertThat(desk.text("#field-level")).isEqualTo("loud");
        }
    }

    @Test
    void a_question_is_found_by_its_words() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            desk.press(KeyCode.CONTROL, KeyCode.K);
            desk.typeInto("#finder-query", "MIDI clock tick");
            assertThat(desk.text("#convert-sentence")).isEqualTo("How fast does a MIDI clock tick?");
        }
    }
}
