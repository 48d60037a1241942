package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Computed;
import kalodyne.core.units.Impedance;

/** Treble or bass that is lost on the way: 3 dB down within what is heard. */
final class ResponseRule implements JointRule {
    private static final double DULL_HERTZ = 16_000;
    private static final double VERY_DULL_HERTZ = 6_000;

    /** A magnetic pickup ends early by itself; below this what it is plugged into is to blame. */
    private static final double DULL_PICKUP_HERTZ = 4_000;

    /** The same into the load that it wants: it rings up to here with six metres of lead, and nobody calls that dull. */
    private static final double DULL_RINGING_HERTZ = 3_400;

    private static final double VERY_DULL_PICKUP_HERTZ = 2_000;

    private static final double THIN_HERTZ = 60;
    private static final double VERY_THIN_HERTZ = 150;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> !way.isLost())
                .flatMap(way -> Stream.concat(dull(joint, way), thin(joint, way)));
    }

    private static Stream<Finding> dull(Joint joint, Transfer way) {
        OptionalDouble corner = way.highCorner();
        boolean isPickup = joint.device(way.from().socket())
                        .facts()
                        .get(Fact.COIL_INDUCTANCE)
                        .isPresent()
                && joint.socket(way.from().socket()).signal() == SignalKind.INSTRUMENT;
        double edge = isPickup ? isRinging(joint, way) ? DULL_RINGING_HERTZ : DULL_PICKUP_HERTZ : DULL_HERTZ;
        if (corner.isEmpty() || corner.getAsDouble() >= edge) {
            return Stream.empty();
        }
        double hertz = corner.getAsDouble();
        boolean isVery = hertz < (isPickup ? VERY_DULL_PICKUP_HERTZ : VERY_DULL_HERTZ);
        return Joint.found(
                FindingCode.RESPONSE_DULL,
                isVery ? Severity.WRONG : Severity.WEAK,
                way.to().socket(),
                new Figure(hertz, "Hz"),
                "Treble is lost on the way",
                "From " + name(joint, way) + " it is 3 dB down at " + Computed.frequency(hertz)
                        + ": the lead's capacitance or the input's load takes it.",
                isLoaded(joint, way)
                        ? LoadingRule.cure(joint, way.from().socket(), way.to().socket())
                        : "Use a shorter lead, an input with a higher impedance, or a DI box close to the source");
    }

    private static boolean isRinging(Joint joint, Transfer way) {
        Optional<Impedance> wanted = joint.device(way.from().socket()).facts().quantity(Fact.WANTED_LOAD);
        Optional<Impedance> load = joint.socket(way.to().socket()).facts().quantity(Fact.LOAD_IMPEDANCE);
        return wanted.isPresent()
                && load.filter(each -> each.ohms() >= wanted.get().ohms() / 2).isPresent();
    }

    /** An instrument in a line input: that takes the treble, whatever the lead. */
    private static boolean isLoaded(Joint joint, Transfer way) {
        return joint.socket(way.from().socket()).signal() == SignalKind.INSTRUMENT
                && joint.socket(way.to().socket()).signal() == SignalKind.LINE;
    }

    private static Stream<Finding> thin(Joint joint, Transfer way) {
        OptionalDouble corner = way.lowCorner();
        if (corner.isEmpty() || corner.getAsDouble() <= THIN_HERTZ) {
            return Stream.empty();
        }
        double hertz = corner.getAsDouble();
        return Joint.found(
                FindingCode.RESPONSE_THIN,
                hertz > VERY_THIN_HERTZ ? Severity.WRONG : Severity.WEAK,
                way.to().socket(),
                new Figure(hertz, "Hz"),
                "Bass is lost on the way",
                "From " + name(joint, way) + " it is 3 dB down at " + Computed.frequency(hertz)
                        + ": for a piezo this input's impedance is too low.",
                "Use a preamp or DI box with 5 MΩ or more");
    }

    private static String name(Joint joint, Transfer way) {
        Spot from = way.from().socket();
        return joint.device(from).name();
    }
}
