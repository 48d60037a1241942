package kalodyne.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.units.LevelUnit;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people expect of every program on a desktop. */
class HabitsTest {
    private static final int MOST_STOPS = 400;

    @TempDir
    Path folder;

    private static void enter(Desk desk, String room) {
        Desk.onScreen(() -> {
            desk.workbench().window().enter(room);
            return null;
        });
        desk.rest();
    }

    private static Node focused(Desk desk) {
        return Desk.onScreen(() -> desk.stage().getScene().getFocusOwner());
    }

    /** Whatever lies over the window has one button for Enter, goes with Escape, and gives the focus back to where it was. */
    @ParameterizedTest
    @CsvSource({
        "shelf, 'Add gear…', add-page",
        "shelf, 'Add a lead…', add-page",
        "shelf, 'Which plug is this?', plug-finder",
        "hookup, 'Find a way to record…', wish-page",
        "hookup, 'Plug something…', plug-page",
        "runsheet, 'Plan format, space, power and places…', plan-page",
        "takes, 'Time in this take: round trip, tempo…', timing-page",
        "takes, 'Correct the gear from these takes…', calibration-page",
        "levels, 'Preferences…', preferences",
        "levels, 'Rename this setup…', name-page",
        "levels, 'Help on this room', help",
        "levels, 'Find anything', finder"
    })
    void dialogs_know_enter_and_escape(String room, String command, String page) throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk, room);
            desk.press(KeyCode.TAB);
            Node before = focused(desk);
            Desk.onScreen(() -> desk.workbench().window().perform(command));
            desk.rest();
            Node over = desk.find(".veil");
            List<Button> defaults = Desk.onScreen(() -> over.lookupAll(".button").stream()
                    .filter(Button.class::isInstance)
                    .map(Button.class::cast)
                    .filter(Button::isDefaultButton)
                    .toList());
            assertThat(defaults.size()).as("buttons for Enter in " + page).isLessThanOrEqualTo(1);
            assertThat(isIn(focused(desk), over)).as("the focus goes into it").isTrue();
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.shows(".veil")).isFalse();
            assertThat(focused(desk)).isSameAs(before);
        }
    }

    private static boolean isIn(Node node, Node over) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (each == over) {
                return true;
            }
        }
        return false;
    }

    /** Tab comes to everything once and back to where it began: nothing holds it. */
    @ParameterizedTest
    @CsvSource({"shelf", "hookup", "levels", "runsheet", "takes", "lineup", "log", "practise", "convert"})
    void tab_goes_round_every_room(String room) throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk, room);
            desk.press(KeyCode.TAB);
            Node first = focused(desk);
            Set<Node> seen = new LinkedHashSet<>();
            Node now = first;
            do {
                assertThat(seen.add(now)).as(now + " once").isTrue();
                desk.press(KeyCode.TAB);
                now = focused(desk);
            } while (now != first && seen.size() < MOST_STOPS);
            assertThat(now).isSameAs(first);
            assertThat(seen).containsAll(traversable(desk));
        }
    }

    /** Whatever can be seen and takes the keyboard; of a group of which one is on, that one: arrows go to the others. */
    private static List<Node> traversable(Desk desk) {
        return Desk.onScreen(() -> desk.stage().getScene().getRoot().lookupAll("*").stream()
                .filter(node -> node.isFocusTraversable() && !node.isDisabled() && isSeen(node))
                .filter(node -> !(node instanceof Toggle toggle) || isOfTurn(toggle))
                .toList());
    }

    private static boolean isOfTurn(Toggle toggle) {
        ToggleGroup group = toggle.getToggleGroup();
        return group == null || group.getSelectedToggle() == null || toggle.isSelected();
    }

    private static boolean isSeen(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return true;
    }

    /** One key copies what is most wanted from a room, such that a spreadsheet or a message takes it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            shelf    | device\\t
            hookup   | number\\tlead\\tcolour
            levels   | station\\tstage\\tloudest peak dBu
            runsheet | Make ready
            takes    | \\tpredicted\\tmeasured\\taim
            log      | take\\trun\\tfile
            convert  | dBu
            """)
    void what_a_room_shows_can_be_copied(String room, String copied) throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk, room);
            desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
            assertThat(Desk.onScreen(() -> Clipboard.getSystemClipboard().getString()))
                    .contains(copied.replace("\\t", "\t"));
        }
    }

    /** Chosen once, dBV stands everywhere, at once and after a restart; a new setup aims as preferred. */
    @Test
    void levels_are_told_in_the_preferred_unit() throws IOException {
        Path studio;
        try (Desk desk = Desk.demo(folder)) {
            studio = desk.workbench().studio().file();
            enter(desk, "levels");
            assertThat(told(desk)).anyMatch(words -> words.contains("dBu"));
            desk.press(KeyCode.CONTROL, KeyCode.COMMA);
            desk.choose("#preferred-levels", LevelUnit.DBV);
            desk.choose("#preferred-aim", AimSchool.UNEVEN);
            desk.press(KeyCode.ESCAPE);
            isInDbvEverywhere(desk);
            Desk.onScreen(() -> desk.workbench().window().perform("Add a setup"));
            assertThat(desk.workbench().studio().setup().settings().aim()).isEqualTo(AimSchool.UNEVEN);
        }
        try (Desk desk = Desk.on(folder, studio)) {
            isInDbvEverywhere(desk);
            desk.press(KeyCode.CONTROL, KeyCode.COMMA);
            desk.choose("#preferred-levels", LevelUnit.DBU);
        }
    }

    private static void isInDbvEverywhere(Desk desk) {
        for (String room : List.of("shelf", "hookup", "levels", "runsheet", "takes", "log")) {
            enter(desk, room);
            assertThat(told(desk)).as(room).noneMatch(words -> words.contains("dBu"));
        }
    }

    /** All words in the window. */
    private static List<String> told(Desk desk) {
        return Desk.onScreen(() -> {
            List<String> words = new ArrayList<>();
            for (Node node : desk.stage().getScene().getRoot().lookupAll("*")) {
                if (node instanceof Labeled labeled && labeled.getText() != null) {
                    words.add(labeled.getText());
                } else if (node instanceof Text text) {
                    words.add(text.getText());
                }
            }
            return words;
        });
    }
}
