package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SocketPower;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.Wire;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Joints that make no sense, and values that nobody would measure: something is said, and no number is missing. */
class OddJointsTest {
    private static Lead lead(String id) {
        return Catalogue.shipped().lead(id).orElseThrow().gear();
    }

    private static Device device(String id) {
        return Catalogue.shipped().device(id).orElseThrow().gear();
    }

    private static Facts with(Facts facts, Fact<Impedance> fact, double ohms) {
        return facts.with(fact, new Value<>(new Impedance(ohms), Provenance.measured(LocalDate.of(2026, 1, 2))));
    }

    /** All numbers of all joints are numbers. */
    private static List<Finding> sound(Patch patch) {
        List<Finding> findings = new ArrayList<>();
        for (JointRules.Checked checked : JointRules.check(patch)) {
            checked.reading().ifPresent(reading -> {
                assertThat(reading.transfers())
                        .allSatisfy(transfer -> assertThat(transfer.values())
                                .allMatch(value -> Double.isFinite(value.re()) && Double.isFinite(value.im())));
                assertThat(reading.atRest().values())
                        .allSatisfy(contacts -> assertThat(contacts.values())
                                .allMatch(direct -> Double.isFinite(direct.volts() + direct.amperes())));
            });
            assertThat(checked.hum().values())
                    .noneMatch(hum -> Double.isNaN(
                            hum.least().dbu() + hum.likely().dbu() + hum.most().dbu()));
            findings.addAll(checked.findings());
        }
        assertThat(findings).allSatisfy(finding -> {
            assertThat(finding.figure().value()).isFinite();
            assertThat(finding.text()).doesNotContain("NaN", "Infinity", "null");
        });
        return findings;
    }

    private static Patch joined(Device from, String output, Lead lead, Device to, String input) {
        return new Plugger()
                .with("from", from)
                .with("to", to)
                .with("lead", lead)
                .join(new Spot("from", output), List.of("lead"), new Spot("to", input))
                .patch();
    }

    private static Lead rewired(String id, UnaryOperator<Stream<Wire>> wires) {
        return lead(id).withWires(wires.apply(lead(id).wires().stream()).toList());
    }

    /** Broken leads: no wire at all, the shield missing, the core missing, everything joined. */
    @ParameterizedTest
    @CsvSource({"0, signal.lost, wrong", "1, signal.lost, wrong", "2, signal.lost, wrong", "3, output.shorted, wrong"})
    void a_broken_lead_is_told(int way, String code, String severity) {
        List<UnaryOperator<Stream<Wire>>> ways = List.of(
                wires -> Stream.empty(),
                wires -> wires.filter(wire -> !wire.from().contact().word().equals("S")),
                wires -> wires.filter(wire -> wire.from().contact().word().equals("S")),
                wires -> Stream.concat(
                        lead("ts-ts").wires().stream(),
                        Stream.of(new Wire(
                                lead("ts-ts").wires().get(0).from(),
                                lead("ts-ts").wires().get(1).from(),
                                lead("ts-ts").wires().get(0).conductor(),
                                Facts.NONE))));
        List<Finding> found = sound(joined(
                device("synth-analogue"), "out", rewired("ts-ts", ways.get(way)), device("interface-2"), "line-1"));
        if (way == 1) {
            // Without its shield a lead finds its way back through mains and air: little arrives, and much hum.
            assertThat(found.stream().map(Finding::mark))
                    .containsAnyOf("signal.lost", "hum.leakage", "hum.ground-loop");
        } else {
            assertThat(found.stream()
                            .map(finding ->
                                    finding.mark() + ", " + finding.severity().word()))
                    .contains(code + ", " + severity);
        }
    }

    /** Sources and loads of nothing, and of more than anything has. */
    @ParameterizedTest
    @CsvSource({"0, 0", "0, 1e12", "1e12, 0", "1e12, 1e12", "1e-9, 1e-9"})
    void impedances_of_nothing_and_of_everything_are_computed(double source, double load) {
        Device from = device("synth-analogue");
        Device to = device("interface-2");
        sound(joined(
                from.withSockets(from.sockets().stream()
                        .map(socket -> socket.withFacts(with(socket.facts(), Fact.SOURCE_IMPEDANCE, source)))
                        .toList()),
                "out",
                lead("ts-ts"),
                to.withSockets(to.sockets().stream()
                        .map(socket -> socket.withFacts(with(socket.facts(), Fact.LOAD_IMPEDANCE, load)))
                        .toList()),
                "line-1"));
    }

    /** Supplies without resistance on shorted contacts have no solution, or one that is told. */
    @Test
    void phantom_power_without_resistors_on_a_short_is_told() {
        Device preamp = device("preamp-xlr");
        Device hard = preamp.withSockets(preamp.sockets().stream()
                .map(socket -> socket.withPower(socket.power().stream()
                        .map(power -> new SocketPower(
                                power.kind(),
                                power.role(),
                                power.control(),
                                with(power.facts(), Fact.SUPPLY_RESISTANCE, 0)))
                        .toList()))
                .toList());
        List<Finding> found = sound(joined(device("synth-analogue"), "out", lead("ts-xlr"), hard, "mic"));
        assertThat(found).anyMatch(finding -> finding.severity() == Severity.HARM);
    }

    /** Rings of devices, of leads, a device in itself, and a lead that comes back to its own end. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "mixer-small.main-left ts-ts mixer-small.line-3",
                "mixer-small.main-left ts-ts mixer-rack.in-1-left; mixer-rack.main-left ts-ts mixer-small.line-3",
                "ts-y#1.a ts-ts#1.a; ts-y#1.b ts-y#2.a; ts-ts#1.b interface-2.line-1",
                "di-passive.in ts-ts#1.a; ts-ts#1.b di-passive.thru; di-passive.out xlr-xlr interface-2.mic-1",
                "ts-ts#1.a interface-2.line-1",
                "xlr-y-join#1.a xlr-y-join#2.a",
                "pad-xlr.in xlr-xlr pad-xlr.out",
                "pad-xlr.in pad-xlr.out",
                "isolator-rca.out-left rca-rca#1.a; rca-rca#1.b isolator-rca.in-right; isolator-rca.out-right rca-rca#1.c; rca-rca#1.d isolator-rca.in-left",
                "power-bank.out usb-a-c charger-usb.out"
            })
    void rings_and_loose_ends_are_computed(String rig) {
        sound(Plugged.of(rig));
    }

    /** Left and right through one thin ground: the divider of the wire and one earphone. */
    @ParameterizedTest
    @CsvSource({"0.2, false", "8, true"})
    void a_thin_shared_ground_mixes_left_and_right(double shieldOhms, boolean isTold) {
        Lead thin = lead("mini-extension");
        Lead lead = thin.withFacts(with(
                with(
                        thin.facts()
                                .with(
                                        Fact.LENGTH,
                                        new Value<>(new Length(1), Provenance.measured(LocalDate.of(2026, 1, 2)))),
                        Fact.SHIELD_RESISTANCE,
                        shieldOhms),
                Fact.CORE_RESISTANCE,
                0));
        Patch patch = new Plugger()
                .with("from", device("piano-headphone"))
                .with("to", device("headphones-32"))
                .with("adapter", lead("635-plug-35-socket"))
                .with("lead", lead)
                .join(new Spot("from", "phones"), List.of("adapter", "lead"), new Spot("to", "plug"))
                .patch();
        List<Finding> found = sound(patch);
        Map<String, Finding> byCode =
                found.stream().collect(Collectors.toMap(Finding::mark, finding -> finding, (a, b) -> a));
        assertThat(byCode.containsKey("stereo.crosstalk")).isEqualTo(isTold);
        if (isTold) {
            // Two equal dividers with one foot g in common part the sides by (Z + g) / g, with Z of source, wire and
            // earphone.
            double loop = 22 + 32;
            double expected = 20 * Math.log10((loop + shieldOhms) / shieldOhms);
            assertThat(byCode.get("stereo.crosstalk").figure().value()).isCloseTo(expected, within(0.1));
        }
    }
}
