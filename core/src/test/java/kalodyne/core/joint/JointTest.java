package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Coded;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What touches what, and what comes of it, with gear of the catalogue. */
class JointTest {
    /** Two devices, and the leads between two of their sockets. */
    static Plugger plugger(String from, String to, String... leads) {
        Plugger plugger = new Plugger()
                .with("from", Catalogue.shipped().device(from).orElseThrow().gear())
                .with("to", Catalogue.shipped().device(to).orElseThrow().gear());
        for (String lead : leads) {
            plugger.with(lead, Catalogue.shipped().lead(lead).orElseThrow().gear());
        }
        return plugger;
    }

    static JointReading joined(String from, String socket, String leads, String to, String input) throws Exception {
        List<String> chain = Arrays.asList(leads.split(" "));
        return JointReading.of(JointCircuit.of(plugger(from, to, chain.toArray(String[]::new))
                .join(new Spot("from", socket), chain, new Spot("to", input))
                .patch()));
    }

    private static Transfer only(JointReading reading, Carries from, Carries to) {
        return reading.transfers().stream()
                .filter(transfer ->
                        transfer.from().channel() == from && transfer.to().channel() == to)
                .findFirst()
                .orElseThrow();
    }

    /** The places of the contacts along a plug are those of IEC 60603-11 (6.35 mm) and of its like in 3.5 mm, from memory. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            6.35 mm two-pole   | 6.35 mm two-pole   | T-T S-S
            6.35 mm two-pole   | 6.35 mm three-pole | T-T S-R S-S
            6.35 mm three-pole | 6.35 mm two-pole   | T-T S-S R-S / T-T S-S
            6.35 mm three-pole | 6.35 mm three-pole | T-T R-R S-S
            3.5 mm two-pole    | 3.5 mm four-pole   | T-T S-R1 S-R2 S-S
            3.5 mm three-pole  | 3.5 mm four-pole   | T-T R-R1 S-R2 S-S
            3.5 mm four-pole   | 3.5 mm four-pole   | T-T R1-R1 R2-R2 S-S
            3.5 mm four-pole   | 3.5 mm three-pole  | T-T R1-R R2-S / T-T R1-R S-S
            3.5 mm four-pole   | 3.5 mm two-pole    | T-T R2-S / T-T S-S
            3.5 mm two-pole    | 3.5 mm two-pole    | T-T S-S
            3.5 mm two-pole    | 3.5 mm three-pole  | T-T S-R S-S
            3.5 mm three-pole  | 3.5 mm two-pole    | T-T S-S R-S / T-T S-S
            3.5 mm three-pole  | 3.5 mm three-pole  | T-T R-R S-S
            6.35 mm two-pole   | 3.5 mm two-pole    | ''
            3.5 mm three-pole  | 6.35 mm three-pole | ''
            XLR three-pin      | XLR three-pin      | 1-1 2-2 3-3
            RCA                | RCA                | pin-pin shell-shell
            bare wire          | binding posts      | +-+ ---
            XLR three-pin      | 6.35 mm three-pole | ''
            """)
    void plugs_touch(String plug, String socket, String expected) {
        String found = Mating.of(Coded.read(Connector.class, plug), Coded.read(Connector.class, socket)).stream()
                .map(reading -> reading.touches().stream()
                        .map(touch -> touch.plug().word() + "-" + touch.socket().word())
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" / "));
        assertThat(found).isEqualTo(expected);
    }

    /** A synth of 1 kΩ into a line input of 10 kΩ: the divider of any handbook, 0.83 dB; the input's legs add a little. */
    @Test
    void an_unbalanced_line_loses_little() throws Exception {
        Transfer transfer =
                only(joined("synth-analogue", "out", "ts-ts", "interface-4", "line-3"), Carries.SIGNAL, Carries.HOT);
        assertThat(transfer.atMiddle().db()).isCloseTo(-0.9, within(0.1));
        assertThat(transfer.gain(20_000).db() - transfer.atMiddle().db()).isBetween(-0.1, 0.0);
        assertThat(transfer.highCorner()).isEmpty();
    }

    /** A balanced source gives a balanced input all it has; half of it where the cold is lost on the way. */
    @Test
    void a_balanced_line_gives_twice_what_one_leg_gives() throws Exception {
        double whole = only(
                        joined("synth-digital", "out-left", "trs-trs", "interface-4", "line-3"),
                        Carries.HOT,
                        Carries.HOT)
                .atMiddle()
                .db();
        double half = only(
                        joined("synth-digital", "out-left", "trs-ts", "interface-4", "line-3"),
                        Carries.HOT,
                        Carries.HOT)
                .atMiddle()
                .db();
        // 75 Ω in each leg before 10 kΩ: 20 log (10,000 / 10,075).
        assertThat(whole).isCloseTo(-0.065, within(0.01));
        assertThat(whole - half).isCloseTo(6.02, within(0.15));
    }

    /** Left and right in the two legs of a balanced input: what is alike in both cancels. */
    @Test
    void stereo_in_a_balanced_input_loses_its_middle() throws Exception {
        JointReading reading = joined("drum-box-headphone", "phones", "mini-trs", "interface-4", "line-3");
        double left = only(reading, Carries.LEFT, Carries.HOT).at(1000).re();
        double right = only(reading, Carries.RIGHT, Carries.HOT).at(1000).re();
        assertThat(left).isCloseTo(1, within(0.02));
        assertThat(right).isCloseTo(-1, within(0.02));
    }

    /** A pickup on its lead resonates where 1/(2π√LC) says; C is that of windings, lead and input. */
    @Test
    void a_pickup_resonates_with_its_lead() throws Exception {
        Transfer transfer = only(
                joined("guitar-single-coil", "out", "ts-ts", "interface-2", "inst-1"), Carries.SIGNAL, Carries.SIGNAL);
        double farads = 120e-12 + 3 * 120e-12 + 50e-12;
        // Pots and input damp it: the peak of a second-order low-pass lies at √(1 − 1/2Q²) of its resonance.
        double q = 1 / (2 / 250e3 + 1 / 1e6) / Math.sqrt(2.4 / farads);
        double peak = Math.sqrt(1 - 1 / (2 * q * q)) / (2 * Math.PI * Math.sqrt(2.4 * farads));
        assertThat(transfer.resonance().hertz()).isCloseTo(peak, within(0.03 * peak));
        assertThat(transfer.resonance().above().db()).isBetween(3.0, 12.0);
        Transfer intoLine = only(
                joined("guitar-single-coil", "out", "ts-ts", "interface-2", "line-1"), Carries.SIGNAL, Carries.HOT);
        assertThat(intoLine.atMiddle().db()).isLessThan(-5);
        assertThat(intoLine.resonance().above().db()).isLessThan(0.5);
    }

    /** IEC 61938: a microphone of 3 mA at 48 V through 6.8 kΩ a leg finds 37.8 V on both legs. */
    @Test
    void phantom_reaches_a_condenser() throws Exception {
        JointReading reading = joined("mic-condenser-large", "out", "xlr-xlr", "interface-2", "mic-1");
        Map<Contact, JointReading.Direct> at = reading.atRest().get(new Spot("from", "out"));
        assertThat(at.get(Contact.TWO).volts()).isCloseTo(37.8, within(0.1));
        assertThat(at.get(Contact.TWO).amperes()).isCloseTo(1.5e-3, within(2e-5));
        assertThat(at.get(Contact.THREE).volts()).isCloseTo(37.8, within(0.1));
    }

    /** No current flows through a ribbon that is wired as it should be; a two-pole plug sends some through it. */
    @Test
    void phantom_and_a_ribbon() throws Exception {
        JointReading good = joined("mic-ribbon-passive", "out", "xlr-xlr", "interface-2", "mic-1");
        assertThat(good.atRest().get(new Spot("from", "out")).get(Contact.TWO).amperes())
                .isCloseTo(0, within(1e-5));
        JointReading bad = joined("mic-ribbon-passive", "out", "xlr-ts trs-socket-xlr-plug", "interface-2", "mic-1");
        assertThat(Math.abs(bad.atRest()
                        .get(new Spot("from", "out"))
                        .get(Contact.TWO)
                        .amperes()))
                .isGreaterThan(3e-3);
    }

    private static Transfer way(String rig, String to) throws Exception {
        List<Patch> parts = Plugged.of(rig).parted();
        assertThat(parts).hasSize(1);
        return JointReading.of(JointCircuit.of(parts.get(0))).ways().stream()
                .filter(way -> way.to().socket().item().equals(to))
                .findFirst()
                .orElseThrow();
    }

    /**
     * A transformer shows its source the load behind it times the square of its turns ratio, as any handbook has it: a synth of
     * 1 kΩ at 12 : 1 with 3 kΩ behind, and the resistances before and behind divide.
     */
    @ParameterizedTest
    @CsvSource({"interface-2.mic-1, 3000", "mixer-small.line-1, 10000"})
    void a_transformer_reflects_its_load(String input, double load) throws Exception {
        Transfer way = way(
                "synth-analogue.out ts-ts di-passive.in; di-passive.out " + (load > 5000 ? "xlr-trs " : "xlr-xlr ")
                        + input,
                input.substring(0, input.indexOf('.')));
        double square = Math.pow(10, 21.6 / 10);
        // Its own share: so that it shows 140 kΩ with a mic input of 3 kΩ behind it.
        double own = 1 / (1 / 140e3 - 1 / (square * 3150));
        double seen = 1 / (1 / own + 1 / (square * (150 + load)));
        double expected = -21.6 + 20 * Math.log10(seen / (seen + 1000)) + 20 * Math.log10(load / (load + 150));
        assertThat(way.atMiddle().db()).isCloseTo(expected, within(0.1));
    }

    /** A pad of 1.2 kΩ, 20 dB and 150 Ω: with 3 kΩ behind it, 20 dB and what 150 Ω lose there; the source's own 150 Ω before. */
    @Test
    void a_pad_takes_what_it_says() throws Exception {
        Transfer way =
                way("preamp-xlr.out-xlr xlr-xlr pad-xlr.in; pad-xlr.out xlr-xlr interface-2.mic-1", "interface-2");
        double divided = 20 * Math.log10(3000.0 / 3150) + 20 * Math.log10(1200.0 / (1200 + 150));
        assertThat(way.atMiddle().db()).isCloseTo(-20 + divided, within(0.15));
    }

    /** The switches of a box: a pad, and a lift that keeps the ground loop out of the shield. */
    @Test
    void switches_of_a_box_count() throws Exception {
        String rig = "mixer-rack.main-left ts-ts di-passive.in; di-passive.out xlr-xlr mixer-multitrack-usb.mic-1";
        double without = way(rig, "mixer-multitrack-usb").atMiddle().db();
        double padded = way(rig + "; di-passive.pad=-20 dB", "mixer-multitrack-usb")
                .atMiddle()
                .db();
        assertThat(without - padded).isCloseTo(20, within(0.2));
    }

    /** Nothing in the right socket: it hears the left one, both inputs in parallel. */
    @Test
    void a_normalled_socket_hears_the_one_beside_it() throws Exception {
        JointReading alone =
                JointReading.of(JointCircuit.of(Plugged.of("synth-desktop.out-left ts-ts mixer-rack.in-1-left")));
        assertThat(alone.ways())
                .extracting(way -> way.to().socket().part())
                .containsExactlyInAnyOrder("in-1-left", "in-1-right");
        assertThat(alone.ways().get(0).atMiddle().db())
                .isCloseTo(alone.ways().get(1).atMiddle().db(), within(0.01));
        List<Patch> both = Plugged.of(
                        "synth-desktop.out-left ts-ts mixer-rack.in-1-left; synth-desktop.out-right ts-ts mixer-rack.in-1-right")
                .parted();
        assertThat(both).hasSize(2);
        assertThat(JointReading.of(JointCircuit.of(both.get(0))).ways()).hasSize(1);
    }
}
