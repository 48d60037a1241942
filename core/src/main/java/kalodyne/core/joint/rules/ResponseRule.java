package kalodyne.core.joint.rules;

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

/** Treble or bass that is lost on the way: 3 dB down within what is heard. */
final class ResponseRule implements JointRule {
    private static final double DULL_HERTZ = 16_000;
    private static final double VERY_DULL_HERTZ = 6_000;

    /** A magnetic pickup ends early by itself; below this its lead or input is to blame. */
    private static final double DULL_PICKUP_HERTZ = 4_000;

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
        double edge = isPickup ? DULL_PICKUP_HERTZ : DULL_HERTZ;
        if (corner.isEmpty() || corner.getAsDouble() >= edge) {
            return Stream.empty();
        }
        double hertz = corner.getAsDouble();
        boolean isVery = hertz < (isPickup ? DULL_PICKUP_HERTZ / 2 : VERY_DULL_HERTZ);
        return Joint.found(
                FindingCode.RESPONSE_DULL,
                isVery ? Severity.WRONG : Severity.WEAK,
                way.to().socket(),
                new Figure(hertz, "Hz"),
                "Treble is lost on the way",
                "From " + name(joint, way) + " it is 3 dB down at " + Computed.frequency(hertz)
                        + ": the lead's capacitance or the input's load takes it.",
                "Use a shorter lead, an input with a higher impedance, or a DI box close to the source");
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
