package kalodyne.desktop.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import kalodyne.core.run.Run;
import kalodyne.core.testing.Runs;
import kalodyne.desktop.control.ClockFace;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelsRoomTest {
    private static final String TOO_HOT = "Loudest peaks reach −2.9 dBFS: 3.1 dB too hot";

    @TempDir
    Path folder;

    private Desk desk;

    @BeforeEach
    void open() throws IOException {
        desk = Desk.demo(folder);
        assertThat(desk.text("#levels-sentence")).isEqualTo(TOO_HOT);
    }

    @AfterEach
    void close() {
        desk.close();
    }

    private double gainDb() {
        return desk.workbench()
                .studio()
                .reading()
                .orElseThrow()
                .plan()
                .flow()
                .knob("interface.gain-3")
                .orElseThrow()
                .gain()
                .db();
    }

    /** The thick line behind the gain, pulled down by 8 dB's height: verdict, field, next step follow; undo is one step. */
    @Test
    void dragging_the_line_in_the_corridor_turns_the_gain() {
        Corridor corridor = desk.find("#corridor");
        double fromDbu = corridor.plan().stages().get(3).peak().dbu();
        Point2D from = desk.point(corridor, corridor.centre(3), corridor.y(fromDbu));
        Point2D to = desk.point(corridor, corridor.centre(3), corridor.y(fromDbu - 8));
        desk.robot().drag(from, MouseButton.PRIMARY).moveTo(to).drop();
        desk.rest();
        assertThat(gainDb()).isCloseTo(4, within(0.51));
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        assertThat(desk.text("#interface-gain-3-field")).startsWith("+4.0 dB · 10:00");
        assertThat(desk.text("#undo")).isEqualTo("Undo");
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.text("#levels-sentence")).isEqualTo(TOO_HOT);
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(gainDb()).isCloseTo(4, within(0.51));
    }

    @Test
    void escape_takes_a_drag_back() {
        Corridor corridor = desk.find("#corridor");
        double dbu = corridor.plan().stages().get(3).peak().dbu();
        desk.robot()
                .drag(desk.point(corridor, corridor.centre(3), corridor.y(dbu)), MouseButton.PRIMARY)
                .moveTo(desk.point(corridor, corridor.centre(3), corridor.y(dbu - 15)));
        desk.rest();
        double dragged = gainDb();
        desk.robot().push(KeyCode.ESCAPE);
        desk.robot().drop();
        desk.rest();
        assertThat(dragged).isCloseTo(-3, within(0.51));
        assertThat(desk.text("#levels-sentence")).isEqualTo(TOO_HOT);
        assertThat(desk.find("#undo").isDisabled()).isTrue();
    }

    @Test
    void dragging_the_hand_of_a_clock_turns_it() {
        ClockFace face = desk.find("#interface-gain-3-face");
        double centre = face.getWidth() / 2;
        // Nine o'clock is to the left of the centre.
        desk.robot()
                .drag(desk.point(face, centre, centre - 15), MouseButton.PRIMARY)
                .moveTo(desk.point(face, centre - 12, centre - 12))
                .moveTo(desk.point(face, centre - 20, centre))
                .drop();
        desk.rest();
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("0.0 dB · 9:00");
    }

    @ParameterizedTest
    @CsvSource({"10:30, +6.0 dB · 10:30", "+6 dB, +6.0 dB · 10:30", "'6,5', +6.5 dB · 10:38", "7:00, −8.0 dB · 7:00"})
    void typing_turns_too(String typed, String shown) {
        desk.typeInto("#interface-gain-3-field", typed);
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo(shown);
    }

    @Test
    void what_cannot_be_read_stays_with_the_reason_and_changes_nothing() {
        desk.typeInto("#interface-gain-3-field", "a bit less");
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("a bit less");
        assertThat(desk.text("#interface-gain-3-problem")).startsWith("“a bit less” does not begin with a number.");
        assertThat(desk.find("#interface-gain-3-field").getPseudoClassStates())
                .contains(PseudoClass.getPseudoClass("refused"));
        assertThat(desk.text("#levels-sentence")).isEqualTo(TOO_HOT);
        desk.press(KeyCode.ESCAPE);
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+12.0 dB · 12:00");
        assertThat(desk.text("#interface-gain-3-problem")).isEmpty();
    }

    @Test
    void the_keyboard_turns_by_quarter_hours_and_sets_as_advised() {
        Node face = desk.find("#interface-gain-3-face");
        Desk.onScreen(() -> {
            face.requestFocus();
            return null;
        });
        desk.press(KeyCode.DOWN);
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+11.0 dB · 11:45");
        desk.press(KeyCode.END);
        assertThat(desk.text("#levels-sentence"))
                .isEqualTo("Interface, line stage 3 distorts: 13.1 dB too loud for it");
        desk.press(KeyCode.ENTER);
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        assertThat(desk.text("#next-step")).isEqualTo("Record a test take of the loudest part");
    }

    @Test
    void one_button_and_each_finding_set_as_advised() {
        desk.click("#remedy-level-hot");
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        assertThat(desk.shows("#finding-level-hot")).isFalse();
        assertThat(desk.find("#set-all").isDisabled()).isTrue();
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        desk.click("#set-all");
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+6.0 dB · 10:30");
    }

    @Test
    void values_of_the_chosen_station_are_corrected_in_place() {
        assertThat(desk.text("#station-levels"))
                .isEqualTo(
                        "Loudest peak +17.2 dBu, average +5.2 dBu, noise −68.8 dBu. 6.8 dB are left above the peak.");
        desk.click("#station-0");
        desk.typeInto("#field-impedance", "10k");
        assertThat(desk.text("#levels-sentence")).isEqualTo("Loudest peaks reach −8.0 dBFS: right in the aim");
        assertThat(desk.shows("#finding-joint-loading")).isTrue();
        desk.typeInto("#field-average", "+20 dBu");
        assertThat(desk.text("#field-problem"))
                .isEqualTo("The average (+20.0 dBu) cannot be above the loudest peak (+6.0 dBu).");
        desk.typeInto("#field-average", "4");
        assertThat(desk.text("#field-problem")).contains("“4” has no unit.");
        desk.click("#station-1");
        desk.typeInto("#field-length", "-3 m");
        assertThat(desk.text("#field-problem")).contains("there is no negative length");
        assertThat(desk.text("#levels-sentence")).isEqualTo("Loudest peaks reach −8.0 dBFS: right in the aim");
    }

    /** Whatever run is shown: no exception, no number that is none, no text beyond its place. */
    @Test
    void shows_any_run() {
        Random random = new Random(71);
        for (int i = 0; i < 25; i++) {
            Run run = Runs.any(random);
            Desk.onScreen(() -> {
                desk.workbench().studio().addRun(run);
                if (run.source().volume().isPresent()) {
                    desk.workbench().studio().turn(null, Run.VOLUME, 0);
                }
                desk.stage().getScene().snapshot(null);
                return null;
            });
            for (Node node :
                    desk.robot().lookup(node -> node instanceof Labeled).queryAll()) {
                assertThat(String.valueOf(((Labeled) node).getText())).doesNotContain("NaN", "Infinity", "Optional");
            }
        }
    }
}
