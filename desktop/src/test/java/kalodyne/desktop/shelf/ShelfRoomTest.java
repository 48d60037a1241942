package kalodyne.desktop.shelf;

import static kalodyne.desktop.shelf.OnShelf.choose;
import static kalodyne.desktop.shelf.OnShelf.enter;
import static kalodyne.desktop.shelf.OnShelf.studio;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The Shelf room in a real window: adding, finding, correcting, taking back. */
class ShelfRoomTest {
    @TempDir
    Path folder;

    /** From an empty shelf to a device and a lead, corrected, undone, closed, opened, undone again. */
    @Test
    void what_is_added_and_edited_survives_a_restart_and_can_be_undone_after_it() {
        try (Desk desk = Desk.own(folder)) {
            enter(desk);
            assertThat(desk.text("#shelf-sentence")).isEqualTo("Your shelf is empty");
            desk.click("#first-gear");
            desk.typeInto("#profile-search", "drum box");
            // Enter in the search put the first hit on the shelf, with its typical values; the next can be typed.
            assertThat(desk.text("#added")).isEqualTo("On the shelf: Drum box with a headphone socket only.");
            assertThat(desk.text("#profile-search")).isEmpty();
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.text("#shelf-sentence")).isEqualTo("1 device and 0 kinds of leads");
            assertThat(desk.text("#item-name")).isEqualTo("Drum box with a headphone socket only");
            desk.typeInto("#item-name", "Little drum");
            desk.typeInto("#value-socket-phones-loudestPeak", "2,4 Vpp");
            assertThat(desk.text("#value-socket-phones-loudestPeak")).isEqualTo("+0.8 dBu");
            assertThat(desk.text("#from-socket-phones-loudestPeak")).isEqualTo("datasheet");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#value-socket-phones-loudestPeak")).isEqualTo("+2.0 dBu");
            desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        }
        try (Desk desk = Desk.own(folder)) {
            enter(desk);
            assertThat(desk.text("#item-name")).isEqualTo("Little drum");
            assertThat(desk.text("#value-socket-phones-loudestPeak")).isEqualTo("+0.8 dBu");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#item-name")).isEqualTo("Drum box with a headphone socket only");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.shows("#empty-shelf")).isTrue();
            desk.press(KeyCode.CONTROL, KeyCode.Y);
        }
        try (Desk desk = Desk.own(folder)) {
            enter(desk);
            assertThat(desk.text("#item-name")).isEqualTo("Drum box with a headphone socket only");
            assertThat(desk.workbench().studio().redoable()).isPresent();
        }
    }

    @Test
    void asks_what_matters_when_something_is_added() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            desk.click("#add-lead");
            desk.typeInto("#add-name", "Purple one");
            desk.typeInto("#ask-length", "4,5 m");
            desk.typeInto("#add-colour", "purple");
            desk.typeInto("#add-owned", "3");
            desk.click("#put-on-shelf");
            Lead lead = studio(desk).leads().get(studio(desk).leads().size() - 1);
            assertThat(lead.name()).isEqualTo("Purple one");
            assertThat(lead.colour()).isEqualTo("purple");
            assertThat(lead.owned()).isEqualTo(3);
            assertThat(lead.facts().printed(Fact.LENGTH)).contains("4.5 m");
            assertThat(lead.facts().get(Fact.LENGTH).orElseThrow().from().origin())
                    .isEqualTo(Provenance.Origin.DATASHEET);
            assertThat(lead.facts()
                            .get(Fact.CAPACITANCE_PER_METRE)
                            .orElseThrow()
                            .from()
                            .origin())
                    .isEqualTo(Provenance.Origin.TYPICAL);
        }
    }

    /** What cannot be read stays in its field with the reason, and nothing is put on the shelf meanwhile. */
    @Test
    void does_not_add_what_cannot_be_read() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            int before = studio(desk).leads().size();
            desk.click("#add-lead");
            desk.typeInto("#ask-length", "10 dB");
            assertThat(desk.text("#add-problem")).startsWith("“dB” is not a unit of length.");
            desk.click("#put-on-shelf");
            assertThat(desk.shows("#add-page")).isTrue();
            assertThat(studio(desk).leads()).hasSize(before);
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.shows("#add-page")).isFalse();
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            10 dB     | “dB” is not a unit of impedance. Write for example 10 kΩ or 1M.
            lots      | “lots” does not begin with a number. Write for example 10 kΩ or 1M.
            -5 kΩ     | “-5 kΩ” is below zero, and there is no negative impedance.
            """)
    void refuses_nonsense_and_keeps_the_value(String typed, String reason) throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "interface");
            Studio before = studio(desk);
            desk.typeInto("#value-socket-mic-1-loadImpedance", typed);
            assertThat(desk.text("#item-problem")).startsWith(reason);
            assertThat(desk.text("#value-socket-mic-1-loadImpedance")).isEqualTo(typed);
            assertThat(studio(desk)).isEqualTo(before);
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.text("#value-socket-mic-1-loadImpedance")).isEqualTo("3 kΩ");
        }
    }

    @Test
    void doubts_the_unusual_but_keeps_it() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "interface");
            desk.typeInto("#value-socket-mic-1-loadImpedance", "3 Ω");
            assertThat(desk.shows("#finding-gear-unusual")).isTrue();
            assertThat(studio(desk)
                            .device("interface")
                            .flatMap(device -> device.socket("mic-1"))
                            .orElseThrow()
                            .facts()
                            .printed(Fact.LOAD_IMPEDANCE))
                    .contains("3 Ω");
            choose(desk, "lead-7");
            desk.click("#look-gear-unusual");
            assertThat(desk.text("#item-name")).isEqualTo("Interface");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.shows("#finding-gear-unusual")).isFalse();
        }
    }

    @Test
    void ten_megabytes_of_text_are_refused_with_a_reason() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "lead-7");
            desk.typeInto("#item-name", "x".repeat(10_000_000));
            assertThat(desk.text("#item-problem"))
                    .isEqualTo("A name has 1 to 120 letters, this has 10000000. Shorten it.");
            assertThat(studio(desk).lead("lead-7").orElseThrow().name()).isEqualTo("Lead 7");
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.text("#item-name")).isEqualTo("Lead 7");
        }
    }

    @Test
    void finds_while_typing() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            desk.click("#shelf-search");
            desk.robot().write("balanced mic");
            desk.rest();
            ListView<Device> devices = desk.find("#devices");
            assertThat(Desk.onScreen(
                            () -> devices.getItems().stream().map(Device::name).toList()))
                    .contains("Mixer", "Interface")
                    .doesNotContain("Drum box", "Bass synth");
            assertThat(desk.text("#shelf-gear")).startsWith("Gear · ").endsWith(" of 15");
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.text("#shelf-gear")).isEqualTo("Gear · 15");
            desk.robot().write("stereo lead 9");
            desk.rest();
            assertThat(desk.shows("#leads")).as("only leads were found").isTrue();
        }
    }

    /** From the thing in the hand to the place where it is plugged. */
    @Test
    void leads_to_where_something_is_plugged() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "lead-7");
            desk.click("#where-plugged .action-link");
            assertThat(desk.text("#joint-title")).isEqualTo("Bass synth → Interface · Lead 7");
        }
    }

    @Test
    void says_where_a_value_is_from_and_lets_it_be_changed() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "lead-7");
            assertThat(desk.text("#from-lead-length")).isEqualTo("measured");
            assertThat(desk.text("#from-lead-capacitancePerMetre")).isEqualTo("typical");
            MenuButton from = desk.find("#from-lead-capacitancePerMetre");
            assertThat(Desk.onScreen(() -> from.getTooltip().getText()))
                    .isEqualTo("Typical, common practice. Instrument leads: 80 to 160 pF/m between core and screen.");
            desk.click("#from-lead-capacitancePerMetre");
            desk.robot().clickOn("I measured it");
            desk.rest();
            assertThat(desk.text("#from-lead-capacitancePerMetre")).isEqualTo("measured");
            desk.click("#from-lead-capacitancePerMetre");
            desk.robot().clickOn("Say more about it…");
            desk.rest();
            desk.typeInto("#name-field", "with a bridge at 1 kHz");
            assertThat(studio(desk)
                            .lead("lead-7")
                            .orElseThrow()
                            .facts()
                            .get(Fact.CAPACITANCE_PER_METRE)
                            .orElseThrow()
                            .from()
                            .source())
                    .isEqualTo("with a bridge at 1 kHz");
        }
    }

    @Test
    void duplicates_and_takes_away() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "drum-box");
            desk.click("#duplicate");
            assertThat(desk.text("#item-name")).isEqualTo("Drum box 2");
            desk.click("#remove-item");
            assertThat(studio(desk).devices()).extracting(Device::name).doesNotContain("Drum box 2");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(studio(desk).devices()).extracting(Device::name).contains("Drum box 2");
        }
    }

    @Test
    void tells_which_plug_it_is() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            desk.click("#which-plug");
            desk.click("#answer-BANDED");
            assertThat(desk.text("#plug-verdict")).isEqualTo("It is one of 5");
            desk.click("#answer-THREE");
            assertThat(desk.text("#plug-verdict")).isEqualTo("It is 3.5 mm four-pole");
            desk.click("#plug-done");
            assertThat(desk.shows("#plug-finder")).isFalse();
        }
    }

    /** A table shows what it would change, changes it when told to, and is taken back with one step. */
    @Test
    void brings_a_table_in_and_takes_it_back() throws IOException {
        Path table = Files.writeString(
                folder.resolve("drawer.csv"),
                "lead;profile;colour;length\nLead 7;ts-ts;pink;2,5 m\nNew;xlr-xlr;;4 m\n");
        Path bad = Files.writeString(folder.resolve("bad.csv"), "lead;profile;length\nLead 7;ts-ts;2,5 dB\n");
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            Studio before = studio(desk);
            Desk.onScreen(() -> {
                desk.workbench().window().bringIn(bad);
                return null;
            });
            desk.rest();
            assertThat(desk.text("#notice-text")).contains("bad.csv, line 2").contains("“dB” is not a unit of length.");
            Desk.onScreen(() -> {
                desk.workbench().window().bringIn(table);
                return null;
            });
            desk.rest();
            assertThat(desk.text("#import-summary")).isEqualTo("1 new, 1 changed, 0 the same");
            desk.click("#import-copy");
            assertThat(desk.text("#import-summary")).isEqualTo("2 new, 0 changed, 0 the same");
            desk.click("#import-merge");
            assertThat(studio(desk)).isEqualTo(before);
            desk.click("#bring-in");
            assertThat(studio(desk).leads()).hasSize(before.leads().size() + 1);
            assertThat(studio(desk).lead("lead-7").orElseThrow().colour()).isEqualTo("pink");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(studio(desk)).isEqualTo(before);
        }
        assertThat(StudioFile.read(folder.resolve("boathouse.kalodyne"))
                        .lead("lead-7")
                        .orElseThrow()
                        .colour())
                .isEqualTo("blue");
    }

    /** What is chosen from a list when gear is added: which plug its output has, what it runs on. */
    @Test
    void asks_which_plug_and_what_it_runs_on() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            desk.click("#add-gear");
            desk.click("#profile-search");
            desk.robot().write("desktop synth");
            desk.rest();
            List<ComboBox<?>> boxes = List.copyOf(desk
                    .robot()
                    .lookup((Node node) -> node instanceof ComboBox && node.getParent() instanceof Questions)
                    .queryAllAs(ComboBox.class)
                    .stream()
                    .map(box -> (ComboBox<?>) box)
                    .toList());
            assertThat(boxes).hasSize(2);
            Desk.onScreen(() -> {
                boxes.get(0).getSelectionModel().select(2);
                return null;
            });
            desk.click("#put-on-shelf");
            Device added = studio(desk).devices().get(studio(desk).devices().size() - 1);
            assertThat(added.socket("out-left").orElseThrow().connector()).isEqualTo(Connector.RCA);
            assertThat(added.socket("out-right").orElseThrow().connector()).isEqualTo(Connector.RCA);
            assertThat(added.socket("phones").orElseThrow().connector()).isEqualTo(Connector.JACK_635_TRS);
            assertThat(added.profile()).contains("synth-desktop");
        }
    }

    @Test
    void a_value_that_was_not_known_can_be_added_and_made_unknown_again() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "bass-synth");
            desk.click("#more-socket-out");
            desk.robot().clickOn("Nominal level…");
            desk.rest();
            desk.typeInto("#name-field", "4 kΩ");
            assertThat(desk.text("#name-problem")).startsWith("“kΩ” is not a unit of level.");
            desk.typeInto("#name-field", "+4 dBu");
            assertThat(desk.text("#value-socket-out-nominalLevel")).isEqualTo("+4.0 dBu");
            desk.typeInto("#value-socket-out-nominalLevel", " ");
            assertThat(desk.shows("#value-socket-out-nominalLevel")).isFalse();
        }
    }

    @Test
    void gear_is_found_from_any_room() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            desk.press(KeyCode.CONTROL, KeyCode.K);
            desk.robot().write("shelf splitter b");
            desk.press(KeyCode.ENTER);
            assertThat(desk.text("#item-name")).isEqualTo("Splitter B");
            assertThat(desk.text("#wiring"))
                    .isEqualTo("How end a is wired: tip → headphones tip; ring 1 → headphones ring; ring 2 → microphone"
                            + " tip; sleeve → microphone sleeve and headphones sleeve.");
        }
    }

    /** A note of several lines, a colour, a number: kept when the field is left; what cannot be is told. */
    @Test
    void notes_colours_and_numbers_are_kept() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "lead-7");
            Desk.onScreen(() -> {
                desk.find("#item-note").requestFocus();
                return null;
            });
            desk.click("#item-note");
            desk.robot().push(KeyCode.CONTROL, KeyCode.A);
            desk.robot().write("Crackles");
            desk.robot().push(KeyCode.CONTROL, KeyCode.ENTER);
            desk.typeInto("#item-colour", "sky blue");
            desk.typeInto("#item-owned", "many");
            Lead lead = studio(desk).lead("lead-7").orElseThrow();
            assertThat(lead.note()).isEqualTo("Crackles");
            assertThat(lead.colour()).isEqualTo("sky blue");
            assertThat(lead.owned()).isEqualTo(1);
            desk.typeInto("#item-owned", "4");
            assertThat(studio(desk).lead("lead-7").orElseThrow().owned()).isEqualTo(4);
        }
    }

    /** The room is built again and again without keeping what was dropped from changing. */
    @Test
    void a_shelf_of_another_studio_is_shown_when_it_is_opened() throws IOException {
        Path other = folder.resolve("other.kalodyne");
        StudioFile.write(other, Studio.empty().with(studioLead()));
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            Desk.onScreen(() -> {
                desk.workbench().opener().open(other);
                return null;
            });
            Desk.until(() -> desk.text("#shelf-sentence").equals("0 devices and 1 kind of lead"));
            assertThat(desk.text("#item-name")).isEqualTo("Only one");
            desk.typeInto("#item-name", "Still one");
        }
        assertThat(StudioFile.read(other).leads()).extracting(Lead::name).containsExactly("Still one");
    }

    private static Lead studioLead() {
        return Catalogue.shipped().lead("rca-y").orElseThrow().gear().withName("Only one");
    }
}
