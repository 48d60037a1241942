package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.SocketPower;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Computed;
import kalodyne.core.units.Current;

/** A microphone or box that gets no power by its lead, and has no other. */
final class PowerMissingRule implements JointRule {
    /** With less than this share of what it needs it does not work properly. */
    private static final double ENOUGH = 0.5;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots()
                .filter(spot -> !joint.isForListening(spot) && !runsOtherwise(joint.device(spot)))
                .flatMap(spot -> joint.socket(spot).power().stream()
                        .filter(power -> power.role() == PowerRole.NEEDS && power.kind() != PowerKind.BUS)
                        .flatMap(power -> check(joint, spot, power)));
    }

    /** On its battery, or on an adapter. */
    private static boolean runsOtherwise(Device device) {
        return device.powering().stream()
                .anyMatch(powering ->
                        powering.source() != PowerSource.PHANTOM && powering.source() != PowerSource.PLUG_IN);
    }

    private static Stream<Finding> check(Joint joint, Spot spot, SocketPower power) {
        Optional<Double> needed = power.facts().quantity(Fact.SUPPLY_CURRENT).map(Current::amperes);
        double got = joint.reading().atRest().get(spot).entrySet().stream()
                .filter(entry ->
                        !joint.socket(spot).contacts().get(entry.getKey()).isGround())
                .mapToDouble(entry -> entry.getValue().amperes())
                .sum();
        if (needed.isPresent() && got < -ENOUGH * needed.get()) {
            return Joint.found(
                    FindingCode.POWER_REVERSED,
                    Severity.WRONG,
                    spot,
                    new Figure(got * 1e3, "mA"),
                    "Its power comes the wrong way round",
                    "Ground and microphone contact are swapped on the way to "
                            + joint.device(spot).name() + ": its current flows backwards, and it will be silent.",
                    "Use an adapter for the other order of four-pole plugs (CTIA and OMTP)");
        }
        if (needed.isEmpty() || got >= ENOUGH * needed.get()) {
            return Stream.empty();
        }
        String kind = power.kind() == PowerKind.PHANTOM ? "phantom power" : "plug-in power";
        return Joint.found(
                FindingCode.POWER_MISSING,
                Severity.WRONG,
                spot,
                new Figure(got * 1e3, "mA"),
                "It gets no power here",
                joint.device(spot).name() + " needs " + Computed.current(needed.get()) + " of " + kind + " and gets "
                        + Computed.current(Math.abs(got)) + ". It will be silent, or nearly.",
                "Use an input that gives " + kind + ", and a lead that passes it on");
    }
}
