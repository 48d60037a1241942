package kalodyne.desktop.practise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import kalodyne.core.practice.Exercise;
import kalodyne.core.studio.practised.Answer;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PractiseRoomTest {
    private static final List<KeyCode> DIGITS = List.of(KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.DIGIT4);

    @TempDir
    Path folder;

    private Desk desk;
    private PractiseModel model;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        model = desk.workbench().practise();
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT8);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private Exercise asked() {
        Desk.until(() -> model.state().exercise().isPresent() && !model.state().isAnswered());
        desk.rest();
        return model.state().exercise().orElseThrow();
    }

    private List<Answer> kept() {
        return desk.workbench().studio().studio().practised();
    }

    /** A sitting by keyboard alone: played, answered rightly and wrongly, explained, kept, taken back in one step. */
    @Test
    void a_sitting_by_keyboard() {
        assertThat(desk.text("#practise-sentence")).startsWith("Learn to hear what goes wrong");
        desk.press(KeyCode.CONTROL, KeyCode.ENTER);
        Exercise first = asked();
        assertThat(desk.text("#practise-ask")).isEqualTo(first.ask());
        if (first.sound().isPresent()) {
            desk.press(KeyCode.P);
            assertThat(desk.workbench().hear().isHearing()).isTrue();
            assertThat(desk.text("#hear-title")).isEqualTo("Hearing: this exercise");
        }
        desk.press(DIGITS.get(first.right()));
        assertThat(desk.text("#practise-verdict")).startsWith("Right: ");
        assertThat(desk.text("#practise-why")).isEqualTo(first.why());
        assertThat(kept()).hasSize(1);
        desk.press(DIGITS.get(first.right() == 0 ? 1 : 0));
        assertThat(kept()).as("an answer counts once").hasSize(1);
        desk.press(KeyCode.ENTER);
        assertThat(desk.workbench().hear().isHearing()).isFalse();
        Exercise second = asked();
        assertThat(second.topic()).isNotEqualTo(first.topic());
        desk.press(DIGITS.get(second.right() == 3 ? 0 : second.right() + 1));
        assertThat(desk.text("#practise-verdict"))
                .isEqualTo("No. " + second.choices().get(second.right()) + ".");
        assertThat(desk.text("#practise-sentence")).isEqualTo("1 of 2 right");
        desk.press(KeyCode.ESCAPE);
        assertThat(desk.text("#practise-sentence")).isEqualTo("1 of 2 right in this sitting");
        assertThat(kept())
                .extracting(Answer::topic, Answer::isRight)
                .containsExactly(tuple(first.topic(), true), tuple(second.topic(), false));
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(kept()).isEmpty();
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(kept()).hasSize(2);
    }

    /** By mouse; what was answered is there at the next start. */
    @Test
    void answers_are_there_at_the_next_start() throws IOException {
        desk.click("#practise-begin");
        Exercise first = asked();
        desk.click("#practise-choice-" + (first.right() + 1));
        desk.click("#practise-next");
        asked();
        desk.click("#practise-leave");
        Path file = desk.workbench().studio().file();
        desk.close();
        desk = Desk.on(folder, file);
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT8);
        assertThat(kept()).extracting(Answer::topic).containsExactly(first.topic());
        assertThat(desk.text("#practise-sentence")).isEqualTo("You are sure of 0 of 17");
    }

    /** The demonstration's log knows of clipped takes: from there one comes to hear what that is. */
    @Test
    void what_keeps_going_wrong_is_practised_from_the_log() {
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.L);
        Desk.until(() -> desk.shows("#practise-clip-digital"));
        desk.click("#practise-clip-digital");
        assertThat(asked().topic()).isEqualTo("fault.clip.digital");
        assertThat(desk.shows("#practise-ask")).isTrue();
    }
}
