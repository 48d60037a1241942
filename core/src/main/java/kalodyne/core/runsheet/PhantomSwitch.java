package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.rules.JointRules;

/**
 * A switch of phantom power with what hangs on it.
 *
 * @param id "interface.phantom"; of an input that always gives it "interface.in-1"
 * @param device mark of the device
 * @param isFixed whether it cannot be switched off but with the device
 * @param name of the switch: "48 V"
 * @param sockets that it feeds and something is plugged into
 * @param links in these
 * @param needing marks of what works only with it
 * @param harmed what it would do wrong while it is on, worst first
 */
record PhantomSwitch(
        String id,
        String device,
        boolean isFixed,
        String name,
        List<Spot> sockets,
        List<Link> links,
        List<String> needing,
        List<Finding> harmed) {
    private static final Set<FindingCode> CODES =
            Set.of(FindingCode.PHANTOM_THROUGH_COIL, FindingCode.PHANTOM_INTO_OUTPUT);

    PhantomSwitch {
        sockets = List.copyOf(sockets);
        links = List.copyOf(links);
        needing = List.copyOf(needing);
        harmed = List.copyOf(harmed);
    }

    /** Those into whose sockets something is plugged. */
    static List<PhantomSwitch> all(SheetRig rig) {
        List<PhantomSwitch> all = new ArrayList<>();
        for (String device : rig.devices()) {
            Map<String, List<Spot>> sockets = new LinkedHashMap<>();
            for (Socket socket : rig.device(device).sockets()) {
                Spot spot = new Spot(device, socket.id());
                if (rig.patch().isPlugged(spot)) {
                    socket.power().stream()
                            .filter(power -> power.kind() == PowerKind.PHANTOM && power.role() == PowerRole.GIVES)
                            .forEach(power -> sockets.computeIfAbsent(
                                            power.control()
                                                    .map(c -> device + "." + c)
                                                    .orElse(spot.write()),
                                            key -> new ArrayList<>())
                                    .add(spot));
                }
            }
            sockets.forEach((id, fed) -> all.add(of(rig, id, device, fed)));
        }
        return all;
    }

    private static PhantomSwitch of(SheetRig rig, String id, String device, List<Spot> sockets) {
        Optional<DeviceControl> control = rig.device(device).controls().stream()
                .filter(each -> id.equals(device + "." + each.id()))
                .findFirst();
        List<Link> links = rig.links().stream()
                .filter(link -> link.sockets().stream().anyMatch(sockets::contains))
                .toList();
        List<String> needing = links.stream()
                .flatMap(link -> link.sockets().stream())
                .filter(spot -> !spot.item().equals(device) && needs(rig, spot))
                .map(Spot::item)
                .distinct()
                .toList();
        return new PhantomSwitch(
                id,
                device,
                control.isEmpty(),
                control.map(DeviceControl::name).orElse("phantom power"),
                sockets,
                links,
                needing,
                harmed(rig, control.map(each -> new Spot(device, each.id())), sockets));
    }

    private static boolean needs(SheetRig rig, Spot spot) {
        return rig.patch().socket(spot).orElseThrow().has(PowerKind.PHANTOM, PowerRole.NEEDS)
                && rig.powering(spot.item())
                        .filter(way -> way.source() != PowerSource.PHANTOM)
                        .isEmpty();
    }

    /** What the joints would be with the switch on: computed, not guessed. */
    private static List<Finding> harmed(SheetRig rig, Optional<Spot> control, List<Spot> sockets) {
        List<Switched> others = rig.patch().switched().stream()
                .filter(each -> control.filter(each.control()::equals).isEmpty())
                .toList();
        List<Finding> found = new ArrayList<>();
        for (Patch part : rig.patch().withSwitched(others).parted()) {
            boolean isFed = part.pluggings().stream()
                    .flatMap(plugging -> plugging.spots().stream())
                    .anyMatch(sockets::contains);
            if (isFed) {
                JointRules.aloneRoughly(part).findings().stream()
                        .filter(finding -> CODES.contains(finding.code()) || isCautioned(finding))
                        .filter(finding -> !isOfAnother(rig, finding, sockets))
                        .forEach(found::add);
            }
        }
        return Finding.worstFirst(found);
    }

    /** A ribbon on a balanced lead is not harmed, until a plug is pulled halfway: it does not get phantom power either. */
    private static boolean isCautioned(Finding finding) {
        return finding.code() == FindingCode.CAUTION_PHANTOM;
    }

    /** In one part several switches may be: what another one does is not said of this one. */
    private static boolean isOfAnother(SheetRig rig, Finding finding, List<Spot> sockets) {
        return finding.place() instanceof Place.Plugged at
                && rig.links().stream()
                        .filter(link -> link.isAt(at))
                        .noneMatch(link -> link.sockets().stream().anyMatch(sockets::contains));
    }

    boolean isNeeded() {
        return !needing.isEmpty();
    }

    /** Whether something is harmed, or must not get it. */
    boolean harms() {
        return !harmed.isEmpty();
    }

    Severity worst() {
        return harmed.stream()
                .map(Finding::severity)
                .filter(severity -> severity != Severity.NOTE)
                .findFirst()
                .orElse(Severity.HARM);
    }

    /** What must not get it: "Ribbon on Input 2". */
    String harmedWords(SheetRig rig) {
        return harmed.stream()
                .filter(finding -> finding.place() instanceof Place.Plugged)
                .map(finding -> (Place.Plugged) finding.place())
                .filter(at -> rig.patch().devices().containsKey(at.item()))
                .map(at -> rig.name(at.item()))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    /** "48 V of Interface, Inputs 1 and 2". */
    String words(SheetRig rig) {
        return name + " of " + rig.name(device) + " ("
                + sockets.stream()
                        .map(spot -> rig.patch().socket(spot).orElseThrow().name())
                        .collect(Collectors.joining(", "))
                + ")";
    }
}
