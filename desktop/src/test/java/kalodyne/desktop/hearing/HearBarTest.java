package kalodyne.desktop.hearing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.HearModel.Hearing;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Hearing and comparing, from wherever it can be begun, in the demonstration studio. */
class HearBarTest {
    @TempDir
    Path folder;

    private Desk desk;
    private HearModel hear;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        hear = desk.workbench().hear();
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private Hearing heard() {
        return hear.hearing().orElseThrow();
    }

    private void untilMeasured() {
        Desk.until(() -> !heard().turnedDown().isEmpty());
        desk.rest();
    }

    /** The demonstration's synth is advised 6 dB less gain: that much quieter, and made equally loud by as much. */
    @Test
    void a_run_is_heard_as_it_stands_and_as_advised() {
        assertThat(desk.shows("#hear-bar")).isFalse();
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.H);
        assertThat(desk.text("#hear-title")).isEqualTo("Hearing: Bass synth → track 3");
        untilMeasured();
        assertThat(desk.text("#hear-matching")).isEqualTo("“As it stands” is turned down by 6.0 dB");
        desk.click("#hear-side-2");
        assertThat(heard().side()).isEqualTo(1);
        desk.click("#hear-match");
        assertThat(desk.shows("#hear-matching")).isFalse();
        desk.click("#set-all");
        assertThat(hear.isHearing()).as("what is turned is heard on").isTrue();
        desk.click("#hear-it");
        assertThat(desk.shows("#hear-bar")).isFalse();
        desk.click("#hear-it");
        Desk.onScreen(() -> {
            desk.workbench()
                    .studio()
                    .showRun(desk.workbench().studio().runs().get(1).key());
            return null;
        });
        desk.rest();
        assertThat(hear.isHearing()).as("another run is not heard").isFalse();
    }

    /** By keyboard: what the finding would change, five tries, all of them by one who hears everything, then by one who always says the same. */
    @Test
    void two_are_told_apart_blind() {
        desk.click("#hear-level-hot");
        assertThat(heard().sides()).hasSize(2);
        assertThat(heard().sides().get(1)).startsWith("Turn gain 3");
        untilMeasured();
        desk.choose("#hear-tries", 5);
        Desk.onScreen(() -> {
            desk.find("#hear-blind").requestFocus();
            return null;
        });
        desk.press(KeyCode.SPACE);
        assertThat(desk.text("#hear-progress")).isEqualTo("Try 1 of 5: which one is the unknown one?");
        assertThat(heard().isUnknownHeard()).isTrue();
        for (int i = 0; i < 5; i++) {
            boolean isSecond = heard().blind().orElseThrow().isSecond();
            desk.click("#hear-side-1");
            desk.click("#hear-unknown");
            desk.click(isSecond ? "#hear-answer-2" : "#hear-answer-1");
        }
        assertThat(desk.text("#hear-progress"))
                .isEqualTo("5 of 5 right. Mere guessing gets that far once in 32 times: you can tell them apart.");
        assertThat(desk.shows("#hear-answer-1")).isFalse();
        desk.click("#hear-leave");
        assertThat(desk.shows("#hear-blind")).isTrue();
        assertThat(heard().blind()).isEmpty();
        desk.click("#hear-stop");
        assertThat(hear.isHearing()).isFalse();
    }

    /** A joint by itself, against another lead, and a way that is not plugged yet. */
    @Test
    void joints_and_ways_are_heard() {
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT2);
        desk.press(KeyCode.CONTROL, KeyCode.J);
        Desk.onScreen(() -> {
            var joints = desk.workbench().joints();
            joints.choose(joints.joints().stream()
                    .filter(joint -> joint.title().contains("Cello"))
                    .findFirst()
                    .orElseThrow());
            return null;
        });
        desk.rest();
        desk.click("#hear-joint");
        assertThat(desk.text("#hear-title")).contains("Cello");
        untilMeasured();
        assertThat(desk.text("#hear-matching"))
                .as("the input takes 4.3 dB")
                .startsWith("“Before it” is turned down by ");
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
        Desk.until(() -> desk.shows("#hear-way") && !desk.find("#hear-way").isDisabled());
        desk.click("#wish-page #hear-way");
        untilMeasured();
        assertThat(heard().sides()).hasSize(2);
        assertThat(desk.shows("#wish-page #hear-bar")).isTrue();
        desk.press(KeyCode.ESCAPE);
        desk.click("#hear-stop");
    }

    /** An own take plays in place of the made-up player; one that is gone is told, and nothing goes on. */
    @Test
    void an_own_take_is_heard_through_the_run() throws IOException {
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.H);
        Path take = hear.takes().stream().filter(Files::exists).findFirst().orElseThrow();
        desk.choose("#hear-player", Optional.of(take));
        untilMeasured();
        assertThat(hear.take()).contains(take);
        desk.click("#hear-stop");
        Files.delete(take);
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.H);
        Desk.until(() -> !hear.isHearing());
        desk.rest();
        assertThat(desk.text("#notice-title")).isEqualTo("This cannot be heard");
        assertThat(hear.take()).isEmpty();
    }
}
