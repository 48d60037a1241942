package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.LeadPath;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;

/**
 * What is plugged together, with what was read from it: what rules look at.
 *
 * @param contacts what is led to what, as this reading of the plugs has it
 */
record Joint(Patch patch, JointCircuit circuit, JointReading reading, Contacts contacts) {
    static Joint of(Patch patch, JointCircuit circuit, JointReading reading) {
        return new Joint(patch, circuit, reading, Contacts.of(patch, circuit));
    }

    Socket socket(Spot spot) {
        return patch.socket(spot).orElseThrow();
    }

    Device device(Spot spot) {
        return patch.devices().get(spot.item());
    }

    /** "Bass synth, Output". */
    String name(Spot spot) {
        return device(spot).name() + ", " + socket(spot).name();
    }

    Stream<Socket> sockets() {
        return circuit.grounds().keySet().stream().map(this::socket);
    }

    Stream<Spot> spots() {
        return circuit.grounds().keySet().stream();
    }

    /** What is received where a plug is, without what is only heard there because nothing is plugged in. */
    Stream<InputSignal> hearings() {
        return circuit.hearings().stream().filter(hearing -> patch.isPlugged(hearing.socket()));
    }

    /** Ways from one signal to those that are received in other devices. */
    List<Transfer> from(OutputSignal sounding) {
        return reading.ways().stream()
                .filter(transfer -> transfer.from().equals(sounding))
                .toList();
    }

    List<Transfer> to(InputSignal hearing) {
        return reading.ways().stream()
                .filter(transfer -> transfer.to().equals(hearing))
                .toList();
    }

    /** The way on which most of a signal arrives. */
    Optional<Transfer> best(OutputSignal sounding) {
        return from(sounding).stream()
                .max((a, b) -> Double.compare(a.atMiddle().db(), b.atMiddle().db()));
    }

    /** The leads of a way, where no box lies between. */
    Optional<LeadPath> path(Transfer way) {
        return LeadPath.between(patch, way.from().socket(), way.to().socket());
    }

    /** Whether a headset is plugged where one only listens: its microphone is not meant then. */
    boolean isForListening(Spot headset) {
        return socket(headset).signal() == SignalKind.HEADSET
                && !socket(headset).isHost()
                && circuit.hearings().stream()
                        .allMatch(hearing -> hearing.socket().item().equals(headset.item()));
    }

    /** Whether a lead on the way has resistors built in. */
    boolean hasResistors(Transfer way) {
        return path(way).stream()
                .flatMap(path -> path.leads().stream())
                .flatMap(lead -> lead.wires().stream())
                .anyMatch(wire -> wire.facts().get(Fact.RESISTOR).isPresent());
    }

    /** Whether what comes out of a socket can be turned down at its own device. */
    boolean hasVolume(Spot output) {
        return device(output).controls().stream()
                .anyMatch(
                        control -> control.kind().isVolume() && control.taper().isPresent());
    }

    boolean arrives(OutputSignal sounding) {
        return best(sounding).filter(transfer -> !transfer.isLost()).isPresent();
    }

    /** How loud it is at an output. */
    SourceLevel source(Spot spot) {
        return SourceLevel.of(device(spot), socket(spot));
    }

    /** Whether something could be harmed by phantom power from here, whether that is on or not. */
    boolean canFeedPhantom() {
        return spots().anyMatch(spot -> has(spot, PowerKind.PHANTOM, PowerRole.GIVES));
    }

    boolean has(Spot spot, PowerKind kind, PowerRole role) {
        return socket(spot).has(kind, role);
    }

    static Stream<Finding> found(
            FindingCode code, Severity severity, Spot spot, Figure figure, String title, String text, String remedy) {
        return Stream.of(new Finding(
                code,
                severity,
                new Place.Plugged(spot.item(), spot.part()),
                figure,
                title,
                text,
                remedy.isEmpty() ? Optional.empty() : Optional.of(Remedy.byHand(remedy))));
    }
}
