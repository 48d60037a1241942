package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.joint.EarthNet;
import kalodyne.core.joint.Hum;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;

/** Adds to joints what only all of them together tell: hum, power and data along whole chains, inputs that two sources share. */
final class RigRules {
    private static final List<RigRule> ALL = List.of(
            new ChainRule(),
            new SharedInputRule(),
            new SelectRule(),
            new PannedRule(),
            new LoadRule(),
            new EarthWireRule(),
            new UsbNoiseRule());

    private RigRules() {}

    /**
     * The joints with all of it.
     *
     * @param alone each as it is by itself
     */
    static List<Checked> added(Patch whole, List<Checked> alone, boolean isHostOwned) {
        Patch patch = whole.asSwitched();
        List<JointReading> readings =
                alone.stream().flatMap(checked -> checked.reading().stream()).toList();
        EarthNet earth = EarthNet.of(patch.devices(), readings, patch.mains());
        // By what they are: to compare them whole takes longer than all rules.
        IdentityHashMap<Checked, Joint> joints = new IdentityHashMap<>();
        alone.forEach(checked -> checked.reading()
                .ifPresent(reading ->
                        joints.put(checked, Joint.of(checked.patch().asSwitched(), checked.circuit(), reading))));
        List<Joint> ordered = alone.stream()
                .flatMap(checked -> Optional.ofNullable(joints.get(checked)).stream())
                .toList();
        WholeRig rig = new WholeRig(patch, ordered, earth, isHostOwned);
        IdentityHashMap<Checked, List<Finding>> more = new IdentityHashMap<>();
        ALL.stream()
                .flatMap(rule -> rule.check(rig))
                .forEach(finding -> at(alone, finding)
                        .ifPresent(checked -> more.computeIfAbsent(checked, each -> new ArrayList<>())
                                .add(finding)));
        return alone.stream()
                .map(checked -> {
                    Joint joint = joints.get(checked);
                    Map<InputSignal, Hum> hum = joint == null ? Map.of() : earth.hum(joint.reading());
                    Stream<Finding> hums = joint == null ? Stream.empty() : HumRule.check(joint, hum);
                    return checked.with(
                            hum,
                            Stream.concat(hums, more.getOrDefault(checked, List.of()).stream())
                                    .toList());
                })
                .toList();
    }

    /** A joint with the hum that there were if nothing else were plugged. */
    static Checked withHum(Checked alone) {
        if (alone.reading().isEmpty()) {
            return alone;
        }
        Patch patch = alone.patch().asSwitched();
        JointReading reading = alone.reading().get();
        Map<InputSignal, Hum> hum =
                EarthNet.of(patch.devices(), List.of(reading), patch.mains()).hum(reading);
        return alone.with(
                hum,
                HumRule.check(Joint.of(patch, alone.circuit(), reading), hum).toList());
    }

    /** The joint that a socket is in; else the first one of its device. */
    private static Optional<Checked> at(List<Checked> joints, Finding finding) {
        if (!(finding.place() instanceof Place.Plugged place)) {
            return joints.stream().findFirst();
        }
        Spot spot = new Spot(place.item(), place.part());
        return joints.stream()
                .filter(checked -> checked.patch().isPlugged(spot))
                .findFirst()
                .or(() -> joints.stream()
                        .filter(checked -> checked.patch().devices().containsKey(place.item()))
                        .findFirst());
    }
}
