package kalodyne.desktop.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Runs.Run;
import kalodyne.core.testing.Studios;
import kalodyne.desktop.control.ClockFace;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LevelsRoomTest {
    private static final String TOO_HOT = "Loudest peaks reach −2.8 dBFS: 3.2 dB too hot";

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
                .knob(Spot.read("interface.gain-3"))
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
                .isEqualTo("Interface, line stage 3 distorts: 15.2 dB too loud for it");
        desk.press(KeyCode.ENTER);
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        assertThat(desk.text("#next-step")).isEqualTo("Record a test take of the loudest part");
    }

    @Test
    void one_button_and_each_finding_set_as_advised() {
        desk.click("#remedy-level-hot");
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        assertThat(desk.shows("#finding-level-hot")).isFalse();
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        desk.click("#set-all");
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+6.0 dB · 10:30");
        assertThat(desk.find("#set-all").isDisabled()).isTrue();
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.text("#levels-sentence")).isEqualTo(TOO_HOT);
    }

    @Test
    void values_of_the_chosen_station_are_corrected_in_place() {
        assertThat(desk.text("#station-levels"))
                .isEqualTo(
                        "Loudest peak +15.2 dBu, average +5.2 dBu, noise −68.8 dBu. 4.8 dB are left above the peak.");
        desk.click("#station-0");
        desk.typeInto("#field-socket-out-sourceImpedance", "10k");
        assertThat(desk.text("#levels-sentence")).isEqualTo("Loudest peaks reach −8.0 dBFS: right in the aim");
        desk.typeInto("#field-socket-out-averageLevel", "4");
        assertThat(desk.text("#field-problem")).contains("“4” has no unit.");
        desk.typeInto("#field-socket-out-averageLevel", "+20 dBu");
        assertThat(desk.shows("#finding-value-contradiction")).isTrue();
        desk.typeInto("#field-socket-out-loudestPeak", "");
        assertThat(desk.shows("#finding-value-unknown")).isTrue();
        assertThat(desk.text("#levels-sentence")).doesNotContain("NaN", "Infinity");
    }

    @Test
    void keys_turn_by_a_decibel_too() {
        Node face = desk.find("#interface-gain-3-face");
        Desk.onScreen(() -> {
            face.requestFocus();
            return null;
        });
        desk.press(KeyCode.CONTROL, KeyCode.UP);
        desk.press(KeyCode.CONTROL, KeyCode.UP);
        assertThat(desk.text("#interface-gain-3-field")).startsWith("+14.0 dB");
        desk.press(KeyCode.CONTROL, KeyCode.DOWN);
        assertThat(desk.text("#interface-gain-3-field")).startsWith("+13.0 dB");
    }

    /** What is locked stays while all else is set around it; locking is an edit like others. */
    @Test
    void a_locked_knob_stays() {
        Node face = desk.find("#interface-gain-3-face");
        Desk.onScreen(() -> {
            face.requestFocus();
            return null;
        });
        desk.press(KeyCode.L);
        assertThat(desk.text("#interface-gain-3-lock")).isEqualTo("Locked");
        assertThat(desk.text("#interface-gain-3-advice")).isEqualTo("stays, locked");
        assertThat(desk.text("#bass-synth-volume-advice")).startsWith("→ −");
        desk.click("#set-all");
        assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+12.0 dB · 12:00");
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.text("#interface-gain-3-lock")).isEqualTo("Lock");
        assertThat(desk.text("#levels-sentence")).isEqualTo(TOO_HOT);
    }

    @Test
    void a_school_is_chosen_and_tells_what_it_costs() {
        desk.choose("#gain-school", GainSchool.WORK_UP);
        assertThat(desk.text("#school-reason"))
                .contains("12 dB kept free at every stage")
                .containsPattern("No other setting is quieter|dB less noise");
        assertThat(desk.workbench().studio().setup().settings().school()).isEqualTo(GainSchool.WORK_UP);
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.text("#school-reason")).contains("Loud from the source on");
    }

    /** A run of many stations: every knob is reached by the keyboard, columns widen, the whole is set in one step. */
    @Test
    void a_long_run_is_scrolled_and_set() throws IOException {
        reopen("long", Studios.LONG);
        Corridor corridor = desk.find("#corridor");
        assertThat(corridor.plan().stages()).hasSizeGreaterThan(14);
        double before = corridor.getWidth();
        desk.click("#zoom-in");
        assertThat(corridor.getWidth()).isGreaterThan(before);
        desk.click("#set-all");
        assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        // What is scrolled away comes into sight with the focus, as by Tab.
        Desk.onScreen(() -> {
            desk.find("#station-0").requestFocus();
            return null;
        });
        desk.rest();
        desk.click("#station-0");
        assertThat(desk.workbench().studio().focus()).isZero();
    }

    /** Where two synths meet: both are listed with their levels, a wish is typed, and the advice follows it. */
    @Test
    void where_runs_meet_is_balanced() throws IOException {
        reopen("rack", Studios.RACK);
        desk.click("#overlay-runs");
        desk.click("#show-meetings");
        assertThat(desk.shows("#balance-synth-semi-modular")).isTrue();
        desk.typeInto("#balance-synth-semi-modular", "much");
        assertThat(desk.workbench().studio().setup().settings().balanceDb()).isEmpty();
        desk.typeInto("#balance-synth-semi-modular", "-7");
        assertThat(desk.workbench().studio().setup().settings().balanceDb()).containsEntry("synth-semi-modular", -7.0);
        desk.click("#set-all");
        assertThat(desk.find("#set-all").isDisabled()).isTrue();
    }

    /** Separate tracks have no bus: the wish is typed all the same, and the fader in the mix follows it. */
    @Test
    void separate_tracks_are_told_their_faders() {
        desk.click("#show-meetings");
        assertThat(desk.text("#later-cello")).isEqualTo("0.0 dB");
        desk.typeInto("#balance-bass-synth", "20");
        assertThat(desk.text("#later-bass-synth")).isEqualTo("0.0 dB");
        assertThat(desk.text("#later-cello")).matches("−1\\d\\.\\d dB");
    }

    /** A pan pot is a knob: its side is read and typed, the advice leaves it, one step undoes it; a loudspeaker is moved. */
    @Test
    void a_pan_pot_is_turned() throws IOException {
        reopen(
                "panned",
                "mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small.main-left trs-trs interface-2.line-1;"
                        + " mixer-small.main-right trs-trs interface-2.line-2");
        assertThat(desk.text("#mixer-small-pan-1-field")).isEqualTo("centre · 12:00");
        assertThat(desk.text("#mixer-small-pan-1-advice")).isEqualTo("stays");
        assertThat(desk.shows("#mixer-small-pan-1-lock")).isFalse();
        desk.typeInto("#mixer-small-pan-1-field", "nowhere");
        assertThat(desk.text("#mixer-small-pan-1-problem")).isNotEmpty();
        desk.typeInto("#mixer-small-pan-1-field", "10:00");
        assertThat(desk.text("#mixer-small-pan-1-field")).isEqualTo("left · 10:00");
        assertThat(desk.workbench().studio().setup().settings().positions())
                .containsEntry(Spot.read("mixer-small.pan-1"), 0.3);
        desk.press(KeyCode.CONTROL, KeyCode.Z);
        assertThat(desk.text("#mixer-small-pan-1-field")).isEqualTo("centre · 12:00");
    }

    private void reopen(String name, String line) throws IOException {
        desk.close();
        Path file = folder.resolve(name + ".kalodyne");
        StudioFile.write(file, Studios.of(name, line));
        desk = Desk.on(folder, file);
    }

    /** Whatever run is shown: no exception, no number that is none, no text beyond its place. */
    @Test
    void shows_any_run() {
        Random random = new Random(71);
        for (int i = 0; i < 25; i++) {
            Run run = Runs.any(random);
            Desk.onScreen(() -> {
                desk.workbench().studio().change(null, "any run", run.studio());
                if (run.source().volume().isPresent()) {
                    desk.workbench().studio().turn(null, Runs.VOLUME, 0);
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

    /** At twice the text there is no room for corridor and controls: the room scrolls, and nothing in it is squeezed. */
    @Test
    void with_large_text_the_room_scrolls_to_what_is_turned() {
        Desk.onScreen(() -> {
            desk.workbench().appearance().lookProperty().set(new Look(Theme.LIGHT, 200));
            return null;
        });
        desk.rest();
        Corridor corridor = desk.find("#corridor");
        assertThat(corridor.getHeight()).isGreaterThan(500);
        Node field = desk.find("#interface-gain-3-field");
        Desk.onScreen(() -> {
            field.requestFocus();
            return null;
        });
        desk.rest();
        Bounds seen = field.localToScene(field.getLayoutBounds());
        assertThat(seen.getMaxY())
                .isLessThan(desk.find("#next-step").localToScene(0, 0).getY());
        assertThat(seen.getMinY()).isPositive();
    }
}
