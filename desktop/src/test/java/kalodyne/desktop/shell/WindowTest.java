package kalodyne.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Dial;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.testing.Runs;
import kalodyne.desktop.OpenedStudio;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WindowTest {
    @TempDir
    Path folder;

    private static boolean hasStyle(Desk desk, String style) {
        return desk.stage().getScene().getRoot().getStyleClass().contains(style);
    }

    @Test
    void everything_can_be_reached_with_the_keyboard() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT5);
            assertThat(desk.shows("#takes-sentence")).isTrue();
            desk.press(KeyCode.F1);
            assertThat(desk.shows("#help")).isTrue();
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.shows("#help")).isFalse();
            desk.press(KeyCode.CONTROL, KeyCode.K);
            desk.robot().write("go lev");
            assertThat(desk.<ListView<?>>find("#finder-hits").getItems()).hasSize(1);
            desk.press(KeyCode.ENTER);
            assertThat(desk.shows("#levels-sentence")).isTrue();
            desk.press(KeyCode.CONTROL, KeyCode.K);
            desk.robot().write("nothing has this name");
            desk.press(KeyCode.ENTER);
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.shows("#finder")).isFalse();
            desk.press(KeyCode.CONTROL, KeyCode.L);
            assertThat(hasStyle(desk, "dark")).isTrue();
            desk.press(KeyCode.CONTROL, KeyCode.ADD);
            desk.press(KeyCode.CONTROL, KeyCode.ADD);
            assertThat(hasStyle(desk, "text-125")).isTrue();
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT0);
            assertThat(hasStyle(desk, "text-100")).isTrue();
            desk.press(KeyCode.CONTROL, KeyCode.ENTER);
            assertThat(desk.text("#levels-sentence")).contains("right in the aim");
        }
    }

    /** Tab goes through everything that can be done; arrows go along the rooms and the run. */
    @Test
    void tab_and_arrows_reach_every_control() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            Set<String> reached = new LinkedHashSet<>();
            for (int i = 0; i < 40; i++) {
                desk.press(KeyCode.TAB);
                String id = Desk.onScreen(
                        () -> desk.stage().getScene().getFocusOwner().getId());
                reached.add(String.valueOf(id));
                Node focused = desk.stage().getScene().getFocusOwner();
                Bounds place = Desk.onScreen(() -> focused.localToScene(focused.getLayoutBounds()));
                assertThat(place.getMinY()).as(id).isGreaterThanOrEqualTo(0);
                assertThat(place.getMaxY()).as(id).isLessThanOrEqualTo(800);
                if (i > 0 && "station-2".equals(id)) {
                    desk.press(KeyCode.LEFT);
                    desk.press(KeyCode.LEFT);
                    desk.press(KeyCode.SPACE);
                }
            }
            assertThat(reached)
                    .contains(
                            "room-levels",
                            "aim",
                            "set-all",
                            "bass-synth-volume-face",
                            "interface-gain-3-face",
                            "interface-gain-3-field",
                            "remedy-level-hot")
                    // The source was chosen with the arrows.
                    .contains("field-socket-out-loudestPeak");
        }
    }

    @Test
    void every_edit_is_in_the_file_when_the_window_is_opened_again() throws IOException {
        Path file;
        try (Desk desk = Desk.demo(folder)) {
            file = desk.workbench().studio().file();
            desk.typeInto("#interface-gain-3-field", "9:00");
            Desk.until(() -> desk.text("#kept").startsWith("All changes kept · "));
            assertThat(gain(StudioFile.read(file))).isEqualTo("9:00");
        }
        try (Desk desk = Desk.on(folder, file)) {
            assertThat(desk.text("#interface-gain-3-field")).isEqualTo("0.0 dB · 9:00");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+12.0 dB · 12:00");
        }
        try (Desk desk = Desk.on(folder, file)) {
            assertThat(desk.text("#interface-gain-3-field")).isEqualTo("+12.0 dB · 12:00");
            desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
            assertThat(desk.text("#interface-gain-3-field")).isEqualTo("0.0 dB · 9:00");
        }
    }

    private static String gain(Studio studio) {
        Spot gain = Spot.read("interface.gain-3");
        return Dial.USUAL.clock(studio.setups().get(0).settings().positions().get(gain));
    }

    /** The same studio in a second window: it can be looked at, and says why it cannot be changed. */
    @Test
    void a_second_window_on_a_studio_only_reads() throws IOException {
        Path file = folder.resolve("twice.kalodyne");
        StudioFile.write(file, Boathouse.studio());
        try (OpenStudio elsewhere = StudioFile.open(file, Studio.empty(), Clock.system(ZoneId.systemDefault()));
                Desk desk = Desk.on(folder, file)) {
            assertThat(desk.text("#notice-title")).isEqualTo("You can look, but not change anything");
            assertThat(desk.text("#notice-text")).startsWith("It is already open: process ");
            assertThat(desk.text("#kept")).isEqualTo("Read only");
            desk.typeInto("#interface-gain-3-field", "9:00");
            assertThat(desk.text("#notice-title")).isEqualTo("You can look, but not change anything");
            assertThat(gain(desk.workbench().studio().studio())).isEqualTo("12:00");
            assertThat(elsewhere.studio()).isEqualTo(Boathouse.studio());
        }
    }

    /** A large studio takes longer to read than the window takes to appear. */
    @Test
    void the_window_waits_for_its_studio() throws IOException {
        Path file = folder.resolve("large.kalodyne");
        StudioFile.write(file, Boathouse.studio());
        try (Desk desk = Desk.awaiting(folder)) {
            assertThat(desk.text("#waiting")).isEqualTo("Opening your studio…");
            assertThat(desk.text("#kept")).isEqualTo("Opening…");
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT1);
            assertThat(desk.shows("#waiting")).isTrue();
            Desk.onScreen(() -> {
                desk.workbench().studio().setups().add();
                return null;
            });
            assertThat(desk.text("#notice-text")).isEqualTo("It is still being opened. Try again in a moment.");
            OpenedStudio opened = OpenedStudio.named(file, Clock.system(ZoneId.systemDefault()));
            Desk.onScreen(() -> {
                desk.workbench().show(opened);
                return null;
            });
            assertThat(desk.shows("#waiting")).isFalse();
            assertThat(desk.shows("#notice-text")).isFalse();
            assertThat(desk.shows("#shelf-search")).isTrue();
            assertThat(desk.text("#kept")).isEqualTo("All changes kept");
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT3);
            desk.typeInto("#interface-gain-3-field", "9:00");
            assertThat(gain(desk.workbench().studio().studio())).isEqualTo("9:00");
        }
        assertThat(gain(StudioFile.read(file))).isEqualTo("9:00");
        assertThat(Files.exists(folder.resolve("studio.kalodyne"))).isFalse();
    }

    @Test
    void setups_can_be_added_chosen_and_removed() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            desk.click("#studio-menu");
            desk.robot().clickOn("Duplicate this setup");
            desk.rest();
            assertThat(desk.text("#studio-menu")).isEqualTo("The Boathouse / Sunday trio 2");
            assertThat(desk.text("#run-menu")).isEqualTo("Bass synth → track 3");
            assertThat(desk.workbench().studio().setup().takes()).isEmpty();
            desk.click("#studio-menu");
            desk.robot().clickOn("Sunday trio");
            desk.rest();
            assertThat(desk.workbench().studio().setup().takes()).hasSize(2);
            desk.click("#studio-menu");
            desk.robot().clickOn("Remove this setup");
            desk.rest();
            assertThat(desk.text("#studio-menu")).isEqualTo("The Boathouse / Through the mixer");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.workbench().studio().studio().setups()).hasSize(3);
        }
    }

    @Test
    void an_empty_studio_says_what_to_do_first() {
        try (Desk desk = Desk.own(folder)) {
            assertThat(desk.shows("#welcome")).isTrue();
            assertThat(desk.text("#next-step")).isEqualTo("Choose what you play or sing");
            assertThat(desk.shows("#start-demo")).isTrue();
        }
    }

    /** The line at the bottom follows the job from room to room, and its button goes where it goes on. */
    @Test
    void next_means_next() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT1);
            assertThat(desk.text("#next-step")).isEqualTo("Read what the newest take says, and turn what it advises");
            desk.click("#next-go");
            assertThat(desk.shows("#takes-sentence")).isTrue();
            assertThat(desk.shows("#next-go")).isFalse();
            desk.click("#studio-menu");
            desk.robot().clickOn("Add a setup");
            desk.rest();
            desk.press(KeyCode.CONTROL, KeyCode.DIGIT1);
            assertThat(desk.text("#next-step")).startsWith("Say what you want to record");
            desk.click("#next-go");
            assertThat(desk.shows("#wish-page")).isTrue();
        }
    }

    /** Names of any length bend nothing out of the window. */
    @Test
    void long_names_give_way() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            String longName =
                    "A name of many words ".repeat(6).substring(0, 120).strip();
            Desk.onScreen(() -> {
                desk.workbench().studio().setups().renameStudio(longName);
                StudioModel studio = desk.workbench().studio();
                studio.change(
                        null,
                        "rename",
                        studio.studio()
                                .withDevices(studio.studio().devices().stream()
                                        .map(device -> device.withName(longName))
                                        .toList()));
                desk.stage().setWidth(1100);
                return null;
            });
            desk.rest();
            Desk.until(() -> desk.stage().getScene().getWidth() <= 1100);
            for (String id : List.of("#room-levels", "#undo", "#set-all", "#findings", "#kept")) {
                Bounds bounds = Desk.onScreen(
                        () -> desk.find(id).localToScene(desk.find(id).getLayoutBounds()));
                assertThat(bounds.getMinX()).as(id).isGreaterThanOrEqualTo(0);
                assertThat(bounds.getMaxX()).as(id).isLessThanOrEqualTo(1100);
            }
        }
    }

    /** Your studio's file is something else: it stays as it is, work goes on beside it, and nothing is thrown away. */
    @Test
    void a_file_that_is_no_studio_stays_as_it_is() throws IOException {
        Path file = Files.writeString(folder.resolve("studio.kalodyne"), "dear diary");
        try (Desk desk = Desk.own(folder)) {
            assertThat(desk.text("#notice-title")).isEqualTo("Your studio could not be read");
            assertThat(desk.text("#notice-text"))
                    .contains("It is not a studio.")
                    .contains("studio-2.kalodyne");
            desk.click("#start-voice");
        }
        assertThat(file).hasContent("dear diary");
        assertThat(StudioFile.read(folder.resolve("studio-2.kalodyne")).devices())
                .hasSize(1);
    }

    /** What an earlier version kept as one JSON file is where a new studio begins. */
    @Test
    void begins_with_the_setup_of_an_earlier_version() throws IOException {
        Path json = folder.resolve("studio.json");
        try (var in = Runs.class.getResourceAsStream("described-run.json")) {
            Files.copy(in, json);
        }
        byte[] before = Files.readAllBytes(json);
        try (Desk desk = Desk.own(folder)) {
            assertThat(desk.text("#studio-menu")).isEqualTo("The Boathouse / Sunday trio");
            desk.typeInto("#interface-gain-1-field", "9:00");
        }
        Setup setup =
                StudioFile.read(folder.resolve("studio.kalodyne")).setups().get(0);
        // Two of the ten hours from 7:00 to 5:00.
        assertThat(setup.settings().positions()).containsEntry(Spot.read("interface.gain-1"), 0.2);
        assertThat(Files.readAllBytes(json)).isEqualTo(before);
    }

    @Test
    void another_studio_that_cannot_be_read_leaves_this_one_open() throws IOException {
        Path bad = Files.writeString(folder.resolve("bad.kalodyne"), "dear diary");
        try (Desk desk = Desk.demo(folder)) {
            Desk.onScreen(() -> {
                desk.workbench().opener().open(bad);
                return null;
            });
            Desk.until(() -> desk.shows("#notice-text"));
            assertThat(desk.text("#notice-text")).contains("bad.kalodyne, the whole of it: It is not a studio.");
            assertThat(desk.text("#levels-sentence")).startsWith("Loudest peaks reach −2.8 dBFS");
        }
    }

    @Test
    void a_folder_that_cannot_be_written_is_told_and_the_work_goes_on() throws IOException {
        Path blocked = Files.writeString(folder.resolve("blocked"), "a file where the folder should be");
        try (Desk desk = Desk.own(blocked)) {
            desk.click("#start-synth");
            Desk.until(() -> desk.shows("#notice-title"));
            assertThat(desk.text("#notice-title")).isEqualTo("Your changes cannot be kept");
            assertThat(desk.text("#kept")).isEqualTo("Changes are not kept");
            desk.click("#start-phone");
            assertThat(desk.workbench().studio().studio().devices()).hasSize(2);
        }
    }
}
