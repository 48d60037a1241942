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
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.catalogue.Profile;
import kalodyne.core.circuit.Netlist;
import kalodyne.core.circuit.NetlistWriter;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Way;
import kalodyne.core.testing.Simulator;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

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
                        boolean isWay = output.way() != Way.IN
                                && input.way() != Way.OUT
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
        JointCircuit circuit = joint(
                device(words[0]),
                words[1],
                Catalogue.shipped().lead(words[2]).orElseThrow().gear(),
                device(words[3]),
                words[4]);
        for (Sounding sounding : circuit.soundings()) {
            Netlist netlist = JointNetlist.of(joint, circuit, sounding);
            Simulator.assertAgrees(NetlistWriter.write(netlist, JointNetlist.SWEEP), folder);
        }
        // And no number is missing in what is read.
        JointReading reading = JointReading.of(circuit);
        reading.transfers()
                .forEach(transfer -> assertThat(transfer.values())
                        .allMatch(value -> Double.isFinite(value.re()) && Double.isFinite(value.im())));
        reading.hum().values().forEach(level -> assertThat(level.dbu()).isNotNaN());
    }
}
