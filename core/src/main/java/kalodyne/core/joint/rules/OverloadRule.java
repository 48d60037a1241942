package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** More than an input takes with its gain at the lowest: it distorts whatever the input's knob does. */
final class OverloadRule implements JointRule {
    /** Microphones stay below this even when shouted into; common practice. */
    private static final Level LOUDEST_MICROPHONE = new Level(-10);

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.socket(sounding.socket()).signal() != SignalKind.SPEAKER)
                .flatMap(sounding -> joint.best(sounding).stream())
                .flatMap(way -> check(joint, way));
    }

    private static Stream<Finding> check(Joint joint, Transfer way) {
        SourceLevel source = joint.source(way.from().socket());
        boolean isKnown = source.basis() == SourceLevel.Basis.TOLD;
        Optional<Level> given = isKnown ? Optional.of(source.levels().peak()) : most(source);
        if (given.isEmpty()) {
            return Stream.empty();
        }
        Level loudest = given.get().plus(way.atMiddle());
        Socket input = joint.socket(way.to().socket());
        double over = input.mostTaken().map(most -> loudest.above(most).db()).orElse(Double.NEGATIVE_INFINITY);
        if (isMicInput(input, way.to().channel())
                && isLine(joint.socket(way.from().socket()))
                && loudest.compareTo(LOUDEST_MICROPHONE) > 0) {
            return lineIntoMic(joint, way, loudest, over);
        }
        boolean isPhono = input.signal() == SignalKind.PHONO
                && joint.socket(way.from().socket()).signal() != SignalKind.PHONO;
        // A line in a phono input is another matter than its level.
        return over > 0 && !isPhono ? overload(joint, way, loudest, over, isKnown) : Stream.empty();
    }

    /** What it can give where nobody said how loud it gets; empty where nothing at all is known of it. */
    private static Optional<Level> most(SourceLevel source) {
        return source.most()
                .or(() -> source.basis() == SourceLevel.Basis.TAKEN
                        ? Optional.empty()
                        : Optional.of(source.levels().peak()));
    }

    /** Of a headset's socket only the microphone's contact is one. */
    private static boolean isMicInput(Socket input, Carries channel) {
        return input.signal() == SignalKind.MIC || (input.signal() == SignalKind.HEADSET && channel == Carries.MIC);
    }

    private static boolean isLine(Socket output) {
        return output.signal() == SignalKind.LINE
                || output.signal() == SignalKind.HEADPHONE
                || (output.signal() == SignalKind.HEADSET && output.isHost());
    }

    /** Wrong until the source is turned down; harm where phantom power can come back at it. */
    private static Stream<Finding> lineIntoMic(Joint joint, Transfer way, Level loudest, double over) {
        Spot input = way.to().socket();
        boolean canBeFed = joint.socket(input).power().stream()
                .anyMatch(power -> power.kind() == PowerKind.PHANTOM
                        && power.role() == PowerRole.GIVES
                        && !joint.patch().isOff(input, power));
        return Joint.found(
                FindingCode.CAUTION_LINE_INTO_MIC,
                canBeFed ? Severity.HARM : Severity.WRONG,
                input,
                new Figure(loudest.dbu(), "dBu"),
                "Line level in a mic socket",
                "At its loudest it brings " + loudest + " to a socket made for millivolts"
                        + (over > 0 ? ", " + Print.decimal(over, 0) + " dB more than it takes." : "."),
                instead(joint, way) + ", before you plug");
    }

    private static String instead(Joint joint, Transfer way) {
        Device device = joint.device(way.to().socket());
        Optional<String> line = device.sockets().stream()
                .filter(socket -> socket.signal() == SignalKind.LINE && socket.way() == Direction.IN)
                .filter(socket ->
                        !joint.patch().isTaken(new Spot(way.to().socket().item(), socket.id())))
                .map(Socket::name)
                .findFirst();
        if (line.isPresent()) {
            return "Use a line input, " + line.get() + " for one; turn the source down";
        }
        boolean isPhone = joint.socket(way.to().socket()).signal() == SignalKind.HEADSET;
        return joint.hasResistors(way)
                ? "Close the source's volume"
                : "Use an attenuating lead" + (isPhone ? " for phones" : "") + ", or close the source's volume";
    }

    private static Stream<Finding> overload(Joint joint, Transfer way, Level loudest, double over, boolean isKnown) {
        Spot input = way.to().socket();
        boolean isTurned = joint.hasVolume(way.from().socket());
        return Joint.found(
                FindingCode.LEVEL_OVERLOAD,
                !isKnown ? Severity.NOTE : isTurned ? Severity.WEAK : Severity.WRONG,
                input,
                new Figure(over, "dB"),
                isKnown ? "More than the input takes" : "It could be more than the input takes",
                (isKnown ? "The loudest peaks bring " : "Fully up, it can bring ") + loudest + " to "
                        + joint.name(input) + ", which takes "
                        + joint.socket(input).mostTaken().orElseThrow()
                        + ". It then distorts wherever the input's knob stands.",
                quieter(joint, way, over));
    }

    /** What makes it quieter, of what helps here: a pad that is in the way already was not enough, and one stops plug-in power. */
    private static String quieter(Joint joint, Transfer way, double over) {
        Spot from = way.from().socket();
        String down = "by " + Print.decimal(Math.ceil(over), 0) + " dB";
        if (joint.hasVolume(from)) {
            return "Turn " + joint.device(from).name() + " down " + down;
        }
        boolean isMicrophone = joint.device(from).kind() == DeviceKind.MICROPHONE;
        boolean isPadded = joint.hasResistors(way)
                || joint.path(way).isEmpty()
                || joint.has(from, PowerKind.PLUG_IN, PowerRole.NEEDS);
        String other = isMicrophone ? "Go further away from the sound" : "Turn the source down " + down;
        return isPadded ? other : other + ", or use a pad";
    }
}
