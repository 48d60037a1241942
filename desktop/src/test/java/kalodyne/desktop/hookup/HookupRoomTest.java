package kalodyne.desktop.hookup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import kalodyne.core.gear.Fact;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.rigmap.MapLayout;
import kalodyne.desktop.control.ManyChooser;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The Hook-up room in a real window: what is plugged, what is wrong with it, and what follows when gear changes. */
class HookupRoomTest {
    @TempDir
    Path folder;

    private static void enter(Desk desk) {
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT2);
        if (!desk.find("#as-contacts").isDisabled()) {
            desk.press(KeyCode.CONTROL, KeyCode.J);
        }
    }

    private static void enterMap(Desk desk) {
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT2);
        Desk.until(() -> !desk.find("#rig-map").lookupAll(".map-line").isEmpty());
        desk.rest();
    }

    private static String focused(Desk desk) {
        return Desk.onScreen(() -> desk.stage().getScene().getFocusOwner().getId());
    }

    /** Where a socket of a card is on the screen. */
    private static Point2D socket(Desk desk, String card, String name) {
        MapCard shown = desk.find("#map-card-" + card);
        return Desk.onScreen(() -> shown.getParent()
                .localToScreen(shown.middle(shown.card().ports().stream()
                        .filter(port -> port.name().equals(name))
                        .findFirst()
                        .orElseThrow())));
    }

    /** The whole setup is what one sees first; a click on a lead opens its contacts, Escape leads back. */
    @Test
    void opens_on_a_map_of_the_setup() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enterMap(desk);
            assertThat(desk.find("#rig-map").lookupAll(".map-line")).hasSize(10);
            assertThat(desk.text("#map-chosen")).startsWith("Laptop → Interface · Lead 14. This lead only charges.");
            MapLine synth = desk.find("#map-line-1");
            assertThat(synth.getAccessibleText())
                    .startsWith("Bass synth to Interface, Lead 7, loudest peak ")
                    .endsWith(", nothing wrong");
            MapLayout.Corner start = synth.placed().corners().get(0);
            Point2D there = Desk.onScreen(() -> synth.localToScreen(start.x() + 12, start.y()));
            desk.robot().clickOn(there, MouseButton.PRIMARY);
            desk.rest();
            assertThat(desk.text("#joint-title")).isEqualTo("Bass synth → Interface · Lead 7");
            desk.press(KeyCode.ESCAPE);
            assertThat(desk.shows("#rig-map")).isTrue();
            assertThat(desk.text("#map-chosen"))
                    .startsWith("Bass synth → Interface · Lead 7. Nothing is wrong with it.");
        }
    }

    /** Arrows lead along the signal, and ribbon and list follow; the two leads to the subwoofer are told apart. */
    @Test
    void arrows_lead_along_the_signal() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enterMap(desk);
            desk.press(KeyCode.CONTROL, KeyCode.M);
            assertThat(focused(desk)).isEqualTo("map-line-5");
            desk.press(KeyCode.LEFT);
            assertThat(focused(desk)).isEqualTo("map-card-laptop");
            for (int i = 0; i < 4; i++) {
                desk.press(KeyCode.UP);
            }
            assertThat(focused(desk)).isEqualTo("map-card-bass-synth");
            desk.press(KeyCode.RIGHT);
            desk.press(KeyCode.RIGHT);
            assertThat(focused(desk)).isEqualTo("map-card-interface");
            ToggleButton station = desk.find("#station-2");
            assertThat(station.isSelected()).isTrue();
            desk.press(KeyCode.RIGHT);
            assertThat(desk.text("#map-chosen")).startsWith("Interface → Subwoofer, left · Lead 15");
            desk.press(KeyCode.DOWN);
            assertThat(desk.text("#map-chosen")).startsWith("Interface → Subwoofer, right · Lead 15");
            desk.press(KeyCode.ENTER);
            assertThat(desk.text("#joint-title")).isEqualTo("Interface → Subwoofer, right · Lead 15");
        }
    }

    /** Free sockets are there when they are wanted; a lead is drawn from one to another, whichever way round. */
    @ParameterizedTest
    @CsvSource({"mixer, Main out L, interface, Line in 3", "interface, Line in 3, mixer, Main out L"})
    void a_lead_is_drawn_from_socket_to_socket(String from, String out, String to, String in) throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            Desk.onScreen(() -> {
                desk.stage().setWidth(1900);
                desk.stage().setHeight(1150);
                return null;
            });
            enterMap(desk);
            desk.press(KeyCode.CONTROL, KeyCode.J);
            choose(desk, 0);
            desk.click("#unplug");
            desk.press(KeyCode.CONTROL, KeyCode.M);
            desk.click("#free-sockets");
            Desk.until(() -> !desk.find("#rig-map").lookupAll("#map-card-mixer").isEmpty());
            desk.rest();
            desk.robot()
                    .drag(socket(desk, from, out), MouseButton.PRIMARY)
                    .moveTo(socket(desk, to, in))
                    .drop();
            desk.rest();
            ComboBox<Object> giving = desk.find("#plug-from");
            assertThat(giving.getConverter().toString(giving.getValue())).startsWith("Mixer · Main out L");
            Desk.until(() -> !desk.find("#plug-in").isDisabled());
            desk.press(KeyCode.ESCAPE);
            desk.click("#only-run");
            Desk.until(() -> desk.find("#rig-map").lookupAll("#map-card-mixer").isEmpty());
        }
    }

    private static void choose(Desk desk, int index) {
        Desk.onScreen(() -> {
            ListView<Checked> list = desk.find("#joints");
            list.requestFocus();
            list.getSelectionModel().select(index);
            return null;
        });
        desk.rest();
    }

    @Test
    void shows_first_what_makes_all_else_useless() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            assertThat(desk.text("#hookup-sentence")).isEqualTo("10 joints, of which 2 cannot work as plugged");
            // No computer sees the interface, whatever else is wrong.
            assertThat(desk.text("#joint-title")).isEqualTo("Laptop → Interface · Lead 14");
            assertThat(desk.text("#next-step"))
                    .isEqualTo("Laptop → Interface: plug it into USB 2 of Laptop, with Lead 11");
            choose(desk, 3);
            assertThat(desk.text("#joint-title")).isEqualTo("Drum box → Interface · Lead 4, Little adapter");
            assertThat(desk.text("#joint-arrives")).contains("right → hot: 0.0 dB at 1 kHz, inverted");
            assertThat(desk.find("#joint-drawing").getAccessibleText())
                    .contains("Lead 4's 3.5 mm three-pole plug T touches Drum box, Headphones (3.5 mm three-pole) T.");
        }
    }

    @Test
    void a_joint_is_chosen_with_the_keyboard_and_from_a_finding() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, 0);
            assertThat(desk.text("#joint-title")).isEqualTo("Bass synth → Interface · Lead 7");
            desk.press(KeyCode.DOWN);
            assertThat(desk.text("#joint-title")).isEqualTo("Cello → Interface · Lead 2");
            assertThat(desk.text("#joint-arrives")).contains("3 dB down at 80 Hz");
            desk.click("#look-usb-charge-only");
            assertThat(desk.text("#joint-title")).isEqualTo("Laptop → Interface · Lead 14");
            // Nothing of it can be heard.
            assertThat(desk.shows("#response-curve")).isFalse();
        }
    }

    /** What is corrected on the shelf is computed anew; undo brings the old result back. */
    @Test
    void follows_the_shelf() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, 0);
            assertThat(desk.text("#joint-arrives")).contains("−0.8 dB");
            Desk.onScreen(() -> {
                desk.workbench().shelf().choose("interface");
                desk.workbench().shelf().value("socket line-3", Fact.LOAD_IMPEDANCE, "1 kΩ");
                return null;
            });
            desk.rest();
            assertThat(desk.text("#joint-title")).isEqualTo("Bass synth → Interface · Lead 7");
            assertThat(desk.text("#joint-arrives")).contains("−6");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#joint-arrives")).contains("−0.8 dB");
        }
    }

    @Test
    void says_where_nothing_is_plugged() {
        try (Desk desk = Desk.own(folder)) {
            enter(desk);
            assertThat(desk.text("#hookup-sentence")).isEqualTo("Nothing is plugged");
            assertThat(desk.shows("#nothing-plugged")).isTrue();
            assertThat(desk.text("#next-step")).isEqualTo("Add what you play or sing");
        }
    }

    private static void pick(Desk desk, String chooser, String words) {
        Desk.onScreen(() -> {
            ComboBox<Object> box = desk.find(chooser);
            box.setValue(box.getItems().stream()
                    .filter(item -> box.getConverter().toString(item).startsWith(words))
                    .findFirst()
                    .orElseThrow());
            return null;
        });
        desk.rest();
    }

    /** From two sockets to a lead that fits; kept over a restart, and taken back. */
    @Test
    void plugs_and_unplugs() throws IOException {
        Path file;
        try (Desk desk = Desk.demo(folder)) {
            file = desk.workbench().studio().file();
            enter(desk);
            choose(desk, 3);
            desk.click("#unplug");
            assertThat(desk.text("#hookup-sentence")).startsWith("9 joints");
            desk.press(KeyCode.CONTROL, KeyCode.P);
            pick(desk, "#plug-from", "Mixer · Main out L");
            pick(desk, "#plug-to", "Laptop · USB 2");
            ListView<?> offers = desk.find("#offers");
            assertThat(offers.getItems().size()).isZero();
            pick(desk, "#plug-to", "Interface · Line in 4");
            assertThat(offers.getItems().size()).isPositive();
            desk.click("#plug-in");
            assertThat(desk.text("#joint-title")).isEqualTo("Mixer → Interface · Lead 3");
            assertThat(desk.text("#hookup-sentence")).startsWith("10 joints");
        }
        try (Desk desk = Desk.on(folder, file)) {
            enter(desk);
            assertThat(desk.text("#hookup-sentence")).startsWith("10 joints, of which 1");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#hookup-sentence")).startsWith("10 joints, of which 2");
        }
    }

    private static void chooseAlternative(Desk desk, int index) {
        Desk.onScreen(() -> {
            ListView<Object> list = desk.find("#alternatives");
            list.requestFocus();
            list.getSelectionModel().select(index);
            return null;
        });
        desk.rest();
    }

    /** What would help is told, drawn beside what is, and done with a key; undo takes it back. */
    @Test
    void does_what_helps() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            desk.click("#look-usb-charge-only");
            assertThat(desk.text("#next-step")).startsWith("Laptop");
            chooseAlternative(desk, 0);
            desk.press(KeyCode.ENTER);
            assertThat(desk.text("#joint-title")).isEqualTo("Laptop → Interface · Lead 11");
            assertThat(desk.text("#next-step"))
                    .isEqualTo("Drum box → Interface: take left and right to two inputs, or use one of them");
            assertThat(desk.text("#hookup-sentence")).isEqualTo("10 joints, of which 1 cannot work as plugged");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#hookup-sentence")).isEqualTo("10 joints, of which 2 cannot work as plugged");
            // What is not owned can only be got.
            choose(desk, 3);
            chooseAlternative(desk, 0);
            assertThat(desk.find("#follow-alternative").isDisabled()).isTrue();
            // Another lead stands beside the present one.
            choose(desk, 1);
            chooseAlternative(desk, 0);
            assertThat(desk.find("#response-curve").getAccessibleText())
                    .contains("signal → signal: −4.3 dB", "Use Lead 3 instead of Lead 2: signal → signal: −1.4 dB");
        }
    }

    /** Phantom power that is known to be off is not drawn, and kept over a restart; the caution stays. */
    @Test
    void switches_count_as_they_stand() throws IOException {
        Path file;
        try (Desk desk = Desk.demo(folder)) {
            file = desk.workbench().studio().file();
            enter(desk);
            choose(desk, 2);
            Desk.onScreen(() -> {
                ComboBox<String> phantom = desk.find("#switch-interface-phantom");
                assertThat(phantom.getItems()).containsExactly("not known", "off", "on");
                phantom.setValue("off");
                return null;
            });
            desk.rest();
            assertThat(desk.workbench()
                            .joints()
                            .chosen()
                            .orElseThrow()
                            .reading()
                            .orElseThrow()
                            .atRest()
                            .values())
                    .allSatisfy(contacts ->
                            assertThat(contacts.values()).allMatch(direct -> Math.abs(direct.volts()) < 0.1));
            assertThat(desk.shows("#look-caution-phantom")).isTrue();
        }
        try (Desk desk = Desk.on(folder, file)) {
            enter(desk);
            choose(desk, 2);
            ComboBox<String> phantom = desk.find("#switch-interface-phantom");
            assertThat(phantom.getValue()).isEqualTo("off");
        }
    }

    /** The ribbon's run and the joint that is looked at go together. */
    @Test
    void follows_the_ribbon_and_leads_it() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            ToggleButton lead = desk.find("#station-1");
            assertThat(lead.isSelected()).isFalse();
            desk.click("#station-1");
            assertThat(desk.text("#joint-title")).isEqualTo("Bass synth → Interface · Lead 7");
            assertThat(lead.isSelected()).isTrue();
            choose(desk, 4);
            assertThat(lead.isSelected()).isFalse();
            desk.click("#station-1");
            assertThat(desk.text("#joint-title")).isEqualTo("Bass synth → Interface · Lead 7");
            choose(desk, 4);
            choose(desk, 0);
            assertThat(lead.isSelected()).isTrue();
        }
    }

    /** Keyboard alone: the sentence is filled, a way is used, and one step takes it back. */
    @Test
    void a_wish_becomes_what_is_plugged() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            wishFor(desk, "Mixer", "Camera");
            ListView<?> ways = desk.find("#ways");
            assertThat(ways.getItems().size()).isPositive();
            assertThat(detail(desk)).contains("Mixer – Lead 9 → Camera");
            tabTo(desk, "#use-way");
            desk.press(KeyCode.SPACE);
            assertThat(desk.text("#joint-title")).isEqualTo("Mixer → Camera · Lead 9");
            assertThat(desk.text("#hookup-sentence")).startsWith("11 joints");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#hookup-sentence")).startsWith("10 joints");
            // What was looked for is still there.
            desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
            assertThat(detail(desk)).contains("Mixer – Lead 9 → Camera");
        }
    }

    /** Nothing records it: the rows of the loudspeakers are the ways; a press tells what would change the place of one. */
    @Test
    void what_is_only_heard_has_its_ways() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            wishFor(desk, "Interface", "nothing, only hear it");
            turnAll(desk, "#wish-headphones", "Headphones");
            assertThat(desk.text("#wish-told")).startsWith("Nothing records it and nobody hears it.");
            desk.click("#wish-more");
            turnAll(desk, "#wish-speakers", "Left speaker", "Right speaker");
            assertThat(detail(desk)).contains("Interface – ").contains("Left speaker");
            assertThat(shown(desk, "#way-detail")).contains("300 m").doesNotContain("On the recorder");
            assertThat(desk.shows("#way-changes")).isFalse();
            desk.click("#way-change");
            assertThat(desk.shows("#way-changes")).isTrue();
            assertThat(shown(desk, "#way-changes")).contains("breaks in the line: 2 points.");
        }
    }

    /** What cannot be bought here is told by what to buy; what was obvious, by what would come of it; two sources go together. */
    @Test
    void ways_tell_what_is_missing_pulled_out_and_wrong() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            wishFor(desk, "Turntable", "Camera");
            // A cartridge needs its preamp, and there is none on the shelf.
            assertThat(detail(desk)).contains("Phono preamp");
            assertThat(desk.text("#use-way")).isEqualTo("I have these too: use this");
            // Beside each other on the same six facts; what is pressed there is what is used.
            Desk.until(() -> !desk.find("#compare-ways").isDisabled());
            desk.click("#compare-ways");
            assertThat(shown(desk, "#way-columns"))
                    .contains("Kept", "Sound", "To get", "Breaks", "Between", "Against it");
            desk.click("#way-column-2");
            desk.click("#compare-ways");
            ListView<?> listed = desk.find("#ways");
            assertThat(listed.getSelectionModel().getSelectedIndex()).isEqualTo(1);
            desk.click("#wish-more");
            pick(desk, "#wish-budget", "nothing");
            assertThat(desk.text("#wish-told")).startsWith("Nothing joins Turntable to Camera in a way that works.");
            // The two sockets of the sentence are chosen already.
            desk.click("#why-obvious");
            Desk.until(() -> shown(desk, "#obvious-pane").contains("No phono preamp on the way"));
            ComboBox<Object> implied = desk.find("#obvious-to");
            assertThat(implied.getConverter().toString(implied.getValue())).startsWith("Camera · Microphone in");
            pick(desk, "#obvious-from", "Turntable");
            pick(desk, "#obvious-to", "Camera");
            assertThat(shown(desk, "#obvious-pane")).contains("No phono preamp on the way");
            desk.click("#why-obvious");
            stepTo(desk, "#wish-recorder", "Tablet");
            turnAll(desk, "#wish-source", "Turntable", "Drum box", "Cello");
            assertThat(detail(desk)).contains("Drum box").contains("Cello").contains("Unplugs");
            desk.click("#use-way");
            // A run for each source that comes as a voltage; the first of them is looked at.
            assertThat(desk.text("#run-menu")).startsWith("Drum box, left → track");
        }
    }

    /** Opens the sentence, in which what was looked for last stands, and fills its first two blanks by the keyboard. */
    private static void wishFor(Desk desk, String source, String recorder) {
        desk.press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.P);
        turn(desk, "Drum box", "…");
        turn(desk, source, source);
        desk.press(KeyCode.TAB);
        stepTo(desk, "#wish-recorder", recorder);
    }

    /** Opens the list that has the focus, turns a line of it, and closes it. */
    private static void turn(Desk desk, String words, String said) {
        desk.press(KeyCode.DOWN);
        ManyChooser<?> chooser = desk.find("#wish-source");
        List<String> lines = Desk.onScreen(
                () -> chooser.getItems().stream().map(MenuItem::getText).toList());
        for (int i = 0; i <= lines.indexOf(words); i++) {
            desk.press(KeyCode.DOWN);
        }
        desk.press(KeyCode.ENTER);
        assertThat(desk.text("#wish-source")).isEqualTo(said);
    }

    /** Down or up until it says so. */
    private static void stepTo(Desk desk, String query, String words) {
        ComboBox<Object> box = desk.find(query);
        List<String> lines = Desk.onScreen(() -> {
            box.requestFocus();
            return box.getItems().stream().map(box.getConverter()::toString).toList();
        });
        int way = lines.indexOf(words) - box.getSelectionModel().getSelectedIndex();
        for (int i = 0; i < Math.abs(way); i++) {
            desk.press(way > 0 ? KeyCode.DOWN : KeyCode.UP);
        }
        desk.rest();
        assertThat(box.getConverter().toString(box.getValue())).isEqualTo(words);
    }

    private static void tabTo(Desk desk, String query) {
        Node wanted = desk.find(query);
        for (int i = 0; i < 40 && !wanted.isFocused(); i++) {
            desk.press(KeyCode.TAB);
        }
        assertThat(wanted.isFocused()).as(query).isTrue();
    }

    @SuppressWarnings("unchecked")
    private static void turnAll(Desk desk, String blank, String... words) {
        for (String each : words) {
            Desk.onScreen(() -> {
                ManyChooser<Object> chooser = desk.find(blank);
                chooser.getItems().stream()
                        .filter(item -> item.getText().equals(each))
                        .findFirst()
                        .orElseThrow()
                        .fire();
                return null;
            });
            desk.rest();
        }
    }

    private static String detail(Desk desk) {
        return desk.find("#way-detail").getAccessibleText() + "\n" + shown(desk, "#way-detail");
    }

    /** All words within something. */
    private static String shown(Desk desk, String query) {
        Node node = desk.find(query);
        return Desk.onScreen(() -> node.lookupAll(".label").stream()
                .map(label -> ((Label) label).getText())
                .collect(Collectors.joining("\n")));
    }
}
