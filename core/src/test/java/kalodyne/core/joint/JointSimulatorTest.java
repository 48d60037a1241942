package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.joint.circuit.Netlist;
import kalodyne.core.joint.circuit.NetlistWriter;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.studio.Studio;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Simulator;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Joints of the catalogue's gear, right and wrong ones, solved here and by a general circuit simulator. */
class JointSimulatorTest {
    @TempDir
    Path folder;

    private static Stream<Device> devices() {
        return Catalogue.shipped().devices().stream().map(Profile::gear);
    }

    private static List<Lead> leads() {
        return Catalogue.shipped().leads().stream().map(Profile::gear).toList();
    }

    /** Whatever goes into whatever, of two devices and a lead taken at random; each kind of output with each kind of input once. */
    static List<String> joints() {
        List<String> joints = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        List<Device> all = new ArrayList<>(devices().toList());
        Random random = new Random(11);
        Collections.shuffle(all, random);
        for (Device from : all) {
            for (Socket output : from.sockets()) {
                for (Device to : all) {
                    for (Socket input : to.sockets()) {
                        boolean isWay = output.way() != Direction.IN
                                && input.way() != Direction.OUT
                                && !from.id().equals(to.id());
                        if (isWay && seen.add(output.words() + from.kind() + " " + input.words())) {
                            leads().stream()
                                    .filter(lead -> fits(from, output, lead, to, input))
                                    .findFirst()
                                    .ifPresent(lead -> joints.add(from.id() + " " + output.id() + " " + lead.id() + " "
                                            + to.id() + " " + input.id()));
                        }
                    }
                }
            }
        }
        Collections.shuffle(joints, random);
        assertThat(joints).hasSizeGreaterThan(80);
        return joints.subList(0, Math.min(80, joints.size()));
    }

    private static boolean fits(Device from, Socket output, Lead lead, Device to, Socket input) {
        // The quick question first: does it go in at all?
        if (lead.ends().stream()
                        .noneMatch(end ->
                                end.connector().family() == output.connector().family())
                || lead.ends().stream()
                        .noneMatch(end ->
                                end.connector().family() == input.connector().family())) {
            return false;
        }
        try {
            return !joint(from, output.id(), lead, to, input.id()).soundings().isEmpty();
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static JointCircuit joint(Device from, String output, Lead lead, Device to, String input) {
        return JointCircuit.of(new Plugger()
                .with("from", from)
                .with("to", to)
                .with("lead", lead)
                .join(new Spot("from", output), List.of("lead"), new Spot("to", input))
                .patch());
    }

    private static Device device(String id) {
        return Catalogue.shipped().device(id).orElseThrow().gear();
    }

    @ParameterizedTest
    @MethodSource("joints")
    void agrees(String joint) throws Exception {
        String[] words = joint.split(" ", -1);
        assertAgrees(
                joint,
                joint(
                        device(words[0]),
                        words[1],
                        Catalogue.shipped().lead(words[2]).orElseThrow().gear(),
                        device(words[3]),
                        words[4]));
    }

    /** What is plugged in the demonstration studio. */
    static Stream<Arguments> demo() {
        Studio studio = Boathouse.studio();
        return studio.patch(studio.setups().get(0)).parted().stream()
                .map(part -> Arguments.of(JointRules.checkOne(part).title(), part));
    }

    @ParameterizedTest
    @MethodSource("demo")
    void agrees_on_the_demonstration(String title, Patch part) throws Exception {
        assertAgrees(title, JointCircuit.of(part));
    }

    /** Windings, dividers, inserts, what is heard beside, switches. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "guitar-humbucker.out ts-ts di-passive.in; di-passive.out xlr-xlr interface-2.mic-2",
                "guitar-humbucker.out ts-ts di-passive.in; di-passive.pad=-20 dB; di-passive.lift=lifted; di-passive.out xlr-xlr interface-2.mic-2",
                "preamp-xlr.out-xlr xlr-xlr pad-xlr.in; pad-xlr.out xlr-xlr interface-2.mic-1",
                "mixer-rack.main-left ts-ts isolator-jack.in-1; isolator-jack.out-1 trs-trs mixer-multitrack-usb.line-1",
                "drum-box-headphone.phones isolator-phone.in; isolator-phone.out mini-2ts#1.a; mini-2ts#1.b interface-4.line-3; mini-2ts#1.c interface-4.line-4",
                "mic-dynamic-voice.out xlr-xlr splitter-mic.in; splitter-mic.direct xlr-xlr interface-2.mic-1; splitter-mic.isolated xlr-xlr mixer-small.mic-1",
                "guitar-active.out ts-ts guitar-phone-adapter.in; guitar-phone-adapter.phone phone-ctia.headset; earphones-16.plug guitar-phone-adapter.phones",
                "mixer-multitrack-usb.insert-1 trs-2ts#1.a; trs-2ts#1.b effect-line.in; trs-2ts#1.c effect-line.out",
                "synth-desktop.out-left ts-ts mixer-rack.in-1-left",
                "mic-condenser-large.out xlr-xlr interface-1.mic-1; interface-1.phantom=off"
            })
    void agrees_on_boxes(String rig) throws Exception {
        assertAgrees(rig, JointCircuit.of(Plugged.of(rig)));
    }

    /** The grounds of whole rigs, driven through each mains earth and adapter, power over USB among them. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "laptop-combo.usb-1 usb-a-c interface-2.usb; interface-2.out-1 ts-ts speakers-powered.in-trs; interface-2.out-2 trs-xlr speakers-powered#2.in-xlr",
                "laptop-combo.usb-1 usb-a-b usb-isolator.host; usb-isolator.device usb-a-c interface-1.usb; interface-1.out-1 ts-ts speakers-powered.in-trs",
                "turntable-mm.out-left rca-rca phono-preamp.in-left; turntable-mm.earth earth-lead phono-preamp.earth; phono-preamp.out-left rca-ts mixer-rack.in-1-left; mixer-rack.main-left ts-ts speakers-powered.in-trs",
                "synth-analogue.out ts-ts di-passive.in; di-passive.lift=lifted; di-passive.out xlr-xlr mixer-multitrack-usb.mic-1; groovebox.out mini-2rca#1.a; mini-2rca#1.b amplifier-hifi.in-left; mini-2rca#1.c amplifier-hifi.in-right"
            })
    void agrees_on_the_earth_of_a_rig(String rig) throws Exception {
        JointCircuit circuit = JointCircuit.of(Plugged.of(rig));
        for (JointCircuit.Earth earth : circuit.earths()) {
            Netlist netlist = JointNetlist.of(rig, circuit, earth.source());
            Simulator.assertAgrees(NetlistWriter.write(netlist, "dec 3 50 500"), folder);
        }
    }

    private void assertAgrees(String title, JointCircuit circuit) throws Exception {
        for (OutputSignal sounding : circuit.soundings()) {
            Netlist netlist = JointNetlist.of(title, circuit, sounding);
            Simulator.assertAgrees(NetlistWriter.write(netlist, JointNetlist.SWEEP), folder);
        }
        // And no number is missing in what is read.
        JointReading reading = JointReading.of(circuit);
        reading.transfers()
                .forEach(transfer -> assertThat(transfer.values())
                        .allMatch(value -> Double.isFinite(value.re()) && Double.isFinite(value.im())));
    }
}
