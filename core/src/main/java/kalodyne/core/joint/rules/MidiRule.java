package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Computed;

/** The current loop of MIDI 1.0: some 5 mA, the right way round, light the receiver's lamp. */
final class MidiRule implements JointRule {
    private static final double ENOUGH_AMPERES = 2e-3;

    @Override
    public Stream<Finding> check(Joint joint) {
        List<Spot> outs =
                joint.spots().filter(spot -> isMidi(joint, spot, Direction.OUT)).toList();
        List<Spot> ins =
                joint.spots().filter(spot -> isMidi(joint, spot, Direction.IN)).toList();
        boolean isAlike = outs.size() + ins.size() > 1 && (outs.isEmpty() || ins.isEmpty());
        return isAlike
                ? alike(joint, outs.isEmpty() ? ins : outs)
                : ins.stream().filter(in -> !outs.isEmpty()).flatMap(spot -> check(joint, spot));
    }

    private static Stream<Finding> alike(Joint joint, List<Spot> spots) {
        String word = joint.socket(spots.get(0)).way().word();
        return Joint.found(
                FindingCode.MIDI_ALIKE,
                Severity.WRONG,
                spots.get(0),
                new Figure(spots.size(), "sockets"),
                "Two MIDI sockets of one kind",
                joint.name(spots.get(0)) + " and " + joint.name(spots.get(1)) + " are both MIDI " + word
                        + ": no note gets anywhere.",
                "Go from the MIDI out of the one to the MIDI in of the other");
    }

    private static boolean isMidi(Joint joint, Spot spot, Direction way) {
        return joint.socket(spot).signal() == SignalKind.MIDI
                && joint.socket(spot).way() == way;
    }

    private static Stream<Finding> check(Joint joint, Spot in) {
        double amperes = joint.socket(in).contacts().entrySet().stream()
                .filter(entry -> entry.getValue() == Carries.MIDI_SOURCE)
                .mapToDouble(entry ->
                        joint.reading().atRest().get(in).get(entry.getKey()).amperes())
                .sum();
        if (amperes >= ENOUGH_AMPERES) {
            return Stream.empty();
        }
        boolean isReversed = amperes < -ENOUGH_AMPERES;
        return Joint.found(
                isReversed ? FindingCode.MIDI_REVERSED : FindingCode.MIDI_NO_CURRENT,
                Severity.WRONG,
                in,
                new Figure(amperes * 1e3, "mA"),
                isReversed ? "MIDI the wrong way round" : "MIDI does not arrive",
                (isReversed ? "The current flows backwards" : "Here flows " + Computed.current(Math.abs(amperes)))
                        + " where 5 mA should: no note arrives.",
                isReversed
                        ? "Use an adapter of the other type (A and B swap two contacts)"
                        : "Use a MIDI lead from out to in");
    }
}
