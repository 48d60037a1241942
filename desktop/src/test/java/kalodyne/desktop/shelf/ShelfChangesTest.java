package kalodyne.desktop.shelf;

import static kalodyne.desktop.shelf.OnShelf.choose;
import static kalodyne.desktop.shelf.OnShelf.enter;
import static kalodyne.desktop.shelf.OnShelf.studio;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.Socket;
import kalodyne.core.units.Gain;
import kalodyne.desktop.testing.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Changing what gear is like: its sockets, its power, the ends and wires of leads. */
class ShelfChangesTest {
    @TempDir
    Path folder;

    /** The synth of this owner has a balanced XLR output that its profile does not know of. */
    @Test
    void a_socket_is_changed_added_and_removed() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "bass-synth");
            Device before = studio(desk).device("bass-synth").orElseThrow();
            desk.click("#change-item");
            desk.robot().clickOn("This socket…");
            desk.rest();
            desk.choose("#socket-connector", Connector.XLR);
            desk.choose("#socket-balance", Optional.of(Balance.BALANCED));
            assertThat(desk.shows("#contact-TWO")).isTrue();
            // With Enter behind it, which takes the whole form.
            desk.typeInto("#socket-name", "Main out");
            Socket changed =
                    studio(desk).device("bass-synth").orElseThrow().sockets().get(0);
            assertThat(changed.words()).isEqualTo("XLR three-pin, balanced line out");
            assertThat(changed.contacts())
                    .containsEntry(Contact.ONE, Carries.SHIELD)
                    .containsEntry(Contact.TWO, Carries.HOT);
            assertThat(changed.facts()).isEqualTo(before.sockets().get(0).facts());
            desk.click("#change-item");
            desk.robot().clickOn("Add a socket like this");
            desk.rest();
            assertThat(studio(desk).device("bass-synth").orElseThrow().sockets())
                    .extracting(Socket::name)
                    .startsWith("Main out", "Main out 2");
            desk.click("#change-item");
            desk.robot().clickOn("Remove this socket");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(studio(desk).device("bass-synth")).contains(before);
        }
    }

    @Test
    void a_leads_end_gets_another_plug_and_wires() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "lead-7");
            Lead before = studio(desk).lead("lead-7").orElseThrow();
            desk.click("#change-item");
            desk.robot().clickOn("Remove this end");
            desk.rest();
            assertThat(desk.text("#item-problem")).startsWith("A lead has two ends or more.");
            desk.click("#change-item");
            desk.robot().clickOn("This end and its wires…");
            desk.rest();
            desk.choose("#end-connector", Connector.RCA);
            desk.click("#form-done");
            assertThat(desk.text("#wiring")).isEqualTo("How end a is wired: pin → end b tip; shell → end b sleeve.");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(studio(desk).lead("lead-7")).contains(before);
        }
    }

    @Test
    void what_a_device_runs_on_and_its_sample_rates_are_changed() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "bass-synth");
            desk.click("#change-item");
            desk.robot().clickOn("Its kind, power and sample rates…");
            desk.rest();
            desk.typeInto("#device-rates", "fast");
            assertThat(desk.text("#form-problem")).startsWith("“fast” is not a list of sample rates.");
            desk.click("#runs-on-BATTERY");
            desk.choose("#usual-power", PowerSource.BATTERY);
            desk.typeInto("#device-rates", "44,1; 48");
            Device changed = studio(desk).device("bass-synth").orElseThrow();
            assertThat(changed.sampleRatesHz()).containsExactly(44100, 48000);
            assertThat(changed.powering())
                    .extracting(Powering::source)
                    .containsExactly(PowerSource.BATTERY, PowerSource.ADAPTER_UNEARTHED);
        }
    }

    @Test
    void a_controls_range_is_what_the_manual_prints() throws IOException {
        try (Desk desk = Desk.demo(folder)) {
            enter(desk);
            choose(desk, "interface");
            assertThat(desk.text("#range-gain-1")).isEqualTo("0.0 dB to +56.0 dB");
            assertThat(desk.shows("#range-gain-2")).isFalse();
            desk.typeInto("#range-gain-1", "56 dB");
            assertThat(desk.text("#item-problem")).startsWith("“56 dB” has not two ends.");
            desk.typeInto("#range-gain-1", "−3 dB to 62 dB");
            assertThat(desk.text("#range-gain-1")).isEqualTo("−3.0 dB to +62.0 dB");
            desk.press(KeyCode.CONTROL, KeyCode.Z);
            assertThat(desk.text("#range-gain-1")).isEqualTo("0.0 dB to +56.0 dB");
            choose(desk, "bass-synth");
            desk.typeInto("#range-volume", "shut to +6 dB");
            assertThat(studio(desk)
                            .device("bass-synth")
                            .orElseThrow()
                            .controls()
                            .get(0)
                            .taper())
                    .contains(new AudioTaper(new Gain(6)));
        }
    }
}
