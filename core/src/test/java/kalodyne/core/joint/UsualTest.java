package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What is taken where nobody told: as hand-books of studio technique give it. Line outputs 50 to 1000 Ω into 10 kΩ and more,
 * microphones 150 to 250 Ω into 1.5 to 3 kΩ, magnetic pickups around 10 kΩ into 1 MΩ, cartridges into 47 kΩ (IEC 61938),
 * headphones 16 to 600 Ω.
 */
class UsualTest {
    private static Device device(String id) {
        return Catalogue.shipped().device(id).orElseThrow().gear();
    }

    /** Without anything told of its impedances. */
    private static Socket untold(Device device, String socket) {
        Socket told = device.socket(socket).orElseThrow();
        return told.withFacts(told.facts().without(Fact.SOURCE_IMPEDANCE).without(Fact.LOAD_IMPEDANCE));
    }

    @ParameterizedTest
    @CsvSource({
        "mic-condenser-large, out, 100, 300",
        "mic-dynamic-voice, out, 100, 600",
        "guitar-humbucker, out, 4000, 20000",
        "turntable-mm, out-left, 300, 2000",
        "interface-2, phones, 10, 100",
        "amplifier-hifi, speaker-left, 0.01, 1",
        "headset-ctia, out, 1000, 3000",
        "phone-ctia, headset, 1, 100",
        "interface-2, out-1, 50, 600",
        "synth-analogue, out, 300, 2000",
    })
    void an_output_has_what_its_kind_has(String id, String socket, double least, double most) {
        Device device = device(id);
        double ohms = Usual.sourceOhms(device, untold(device, socket));
        assertThat(ohms).isBetween(least, most);
        // What is told goes before what is usual.
        device.socket(socket)
                .orElseThrow()
                .facts()
                .quantity(Fact.SOURCE_IMPEDANCE)
                .ifPresent(told -> assertThat(
                                Usual.sourceOhms(device, device.socket(socket).orElseThrow()))
                        .isEqualTo(told.ohms()));
    }

    @ParameterizedTest
    @CsvSource({
        "interface-2, mic-1, 1000, 5000",
        "interface-2, inst-1, 500000, 2000000",
        "interface-2, line-1, 10000, 50000",
        "phono-preamp, in-left, 47000, 47000",
        "phone-ctia, headset, 1000, 5000",
        "speaker-passive, in, 4, 8",
        "headphones-80, plug, 80, 80",
    })
    void an_input_has_what_its_kind_has(String id, String socket, double least, double most) {
        Device device = device(id);
        assertThat(Usual.loadOhms(device, untold(device, socket))).isBetween(least, most);
    }

    @ParameterizedTest
    @CsvSource(nullValues = "none", textBlock = """
            none, false, false
            UNBALANCED, false, false
            IMPEDANCE_BALANCED, true, false
            TRANSFORMER, true, true
            FLOATING, true, true
            """)
    void a_winding_floats_and_a_driver_does_not(Balance balance, boolean isBalanced, boolean isFloating) {
        Socket socket = device("interface-2").socket("out-1").orElseThrow().withBalance(Optional.ofNullable(balance));
        assertThat(Map.of("balanced", Usual.isBalanced(socket), "floating", Usual.isFloating(socket)))
                .isEqualTo(new LinkedHashMap<>(Map.of("balanced", isBalanced, "floating", isFloating)));
    }
}
