package kalodyne.core.takes.verdict;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.takes.causes.Known;

/** What is known of the run that a take was made with, in the words of the book of causes. */
final class Circumstances {
    /** What each circumstance is told by: the codes of rules on joints. */
    private static final Map<String, Set<FindingCode>> FOUND = Map.of(
            "loop", Set.of(FindingCode.HUM_GROUND_LOOP, FindingCode.HUM_LEAKAGE),
            "faulty-lead", Set.of(FindingCode.BALANCED_LEG_OPEN, FindingCode.OUTPUT_SHORTED, FindingCode.SIGNAL_LOST),
            "wrong-plug",
                    Set.of(
                            FindingCode.PLUG_DOES_NOT_FIT,
                            FindingCode.STEREO_ONE_SIDE,
                            FindingCode.STEREO_HALF_OUTPUT,
                            FindingCode.HEADSET_MIC_OPEN),
            "loaded", Set.of(FindingCode.JOINT_LOADING, FindingCode.RESPONSE_DULL, FindingCode.RESPONSE_THIN),
            "stereo-into-balanced", Set.of(FindingCode.STEREO_CANCELS),
            "riaa-missing", Set.of(FindingCode.RIAA_MISSING),
            "riaa-double", Set.of(FindingCode.RIAA_DOUBLE));

    /** A joint can be too loud for its socket before any knob. */
    private static final Set<FindingCode> MISMATCHED =
            Set.of(FindingCode.LEVEL_OVERLOAD, FindingCode.CAUTION_LINE_INTO_MIC);

    private static final double LONG_METRES = 6;
    private static final double NOISY_DBFS = -60;

    private static final Set<DeviceKind> PHONES = Set.of(DeviceKind.PHONE, DeviceKind.TABLET, DeviceKind.CAMERA);
    private static final Set<DeviceKind> AT_COMPUTERS = Set.of(DeviceKind.COMPUTER, DeviceKind.INTERFACE);

    private Circumstances() {}

    static Known of(TakeContext context) {
        Known known = ofLevels(context.predicted());
        List<Device> devices = context.devices();
        return devices.isEmpty() ? known : known.with(ofJoints(context)).with(ofDevices(devices));
    }

    private static Known ofLevels(LevelPlan plan) {
        return Known.NOTHING
                .with("hot-predicted", plan.miss().db() > 0)
                .with("low-predicted", plan.miss().db() < 0)
                .with("noisy-predicted", plan.endFloor() > NOISY_DBFS)
                .with(
                        "stage-clips",
                        plan.firstToClip()
                                .filter(stage -> !isEnd(plan, stage.stage().station()))
                                .isPresent());
    }

    private static boolean isEnd(LevelPlan plan, int station) {
        return plan.trace().stations().get(station).isEnd();
    }

    private static Known ofJoints(TakeContext context) {
        Known known = Known.NOTHING;
        for (Map.Entry<String, Set<FindingCode>> each : FOUND.entrySet()) {
            known = known.with(each.getKey(), each.getValue().stream().anyMatch(context::found));
        }
        List<Checked> joints = context.joints();
        boolean isBalanced = joints.stream().allMatch(Circumstances::isBalanced);
        return known.with("level-mismatch", MISMATCHED.stream().anyMatch(context::found))
                .with("balanced", isBalanced)
                .with("long-unbalanced", !isBalanced && leads(joints).anyMatch(Circumstances::isLong))
                .with(
                        "adapters",
                        joints.stream().anyMatch(joint -> joint.patch().leads().size() > 1))
                .with("balanced-into-stereo", joints.stream().anyMatch(Circumstances::isBalancedIntoStereo));
    }

    private static Stream<Lead> leads(List<Checked> joints) {
        return joints.stream().flatMap(joint -> joint.patch().leads().values().stream());
    }

    private static boolean isLong(Lead lead) {
        return lead.facts()
                .quantity(Fact.LENGTH)
                .filter(length -> length.metres() > LONG_METRES)
                .isPresent();
    }

    private static Stream<Socket> sockets(Checked joint) {
        return joint.patch().pluggings().stream()
                .map(Plugging::socket)
                .map(joint.patch()::socket)
                .flatMap(Optional::stream);
    }

    private static boolean isBalanced(Checked joint) {
        return sockets(joint)
                .allMatch(socket ->
                        socket.balance().isPresent() && socket.balance().get() != Balance.UNBALANCED);
    }

    private static boolean isBalancedIntoStereo(Checked joint) {
        boolean givesHotAndCold = sockets(joint)
                .anyMatch(socket ->
                        socket.way() != Direction.IN && socket.contacts().containsValue(Carries.COLD));
        boolean takesSides = sockets(joint)
                .anyMatch(socket ->
                        socket.way() != Direction.OUT && socket.contacts().containsValue(Carries.RIGHT));
        return givesHotAndCold && takesSides;
    }

    private static Known ofDevices(List<Device> devices) {
        Device source = devices.get(0);
        Device end = devices.get(devices.size() - 1);
        return Known.NOTHING
                .with("active-source", source.kind() == DeviceKind.INSTRUMENT && can(source, PowerSource.BATTERY))
                .with("battery", runsOn(source, PowerSource.BATTERY))
                .with("headphone-source", has(source, socket -> socket.signal() == SignalKind.HEADPHONE))
                .with("coil", source.facts().quantity(Fact.COIL_RESISTANCE).isPresent())
                .with("microphone", source.kind() == DeviceKind.MICROPHONE)
                .with("phantom-needed", has(source, socket -> socket.has(PowerKind.PHANTOM, PowerRole.NEEDS)))
                .with("turntable", source.kind() == DeviceKind.TURNTABLE)
                .with(
                        "modular",
                        source.profile()
                                .filter(name -> name.contains("modular"))
                                .isPresent())
                .with("computer", AT_COMPUTERS.contains(end.kind()))
                .with("phone", PHONES.contains(end.kind()))
                .with("bus-powered", runsOn(end, PowerSource.BUS))
                .with(
                        "two-clocks",
                        devices.stream()
                                        .filter(each -> !each.sampleRatesHz().isEmpty())
                                        .count()
                                > 1)
                .with(
                        "two-channels",
                        has(
                                source,
                                socket -> socket.way() != Direction.IN
                                        && (socket.contacts().containsValue(Carries.RIGHT)
                                                || socket.side()
                                                        .filter(side -> side == Carries.RIGHT)
                                                        .isPresent())));
    }

    private static boolean has(Device device, Predicate<Socket> what) {
        return device.sockets().stream().anyMatch(what);
    }

    private static boolean can(Device device, PowerSource source) {
        return device.powering().stream().anyMatch(each -> each.source() == source);
    }

    private static boolean runsOn(Device device, PowerSource source) {
        return !device.powering().isEmpty() && device.powering().get(0).source() == source;
    }
}
