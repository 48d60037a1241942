package kalodyne.core.joint.rules;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;

/** A USB lead that only charges: power arrives, data does not. */
final class DataRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        List<Spot> digital = joint.spots()
                .filter(spot -> joint.socket(spot).signal() == SignalKind.DIGITAL
                        && joint.socket(spot).contacts().containsValue(Carries.DATA))
                .toList();
        if (digital.size() < 2) {
            return Stream.empty();
        }
        Set<Spot> reached = reached(joint, digital.get(0));
        return digital.stream()
                .skip(1)
                .filter(spot -> !reached.contains(spot))
                .flatMap(spot -> Joint.found(
                        FindingCode.USB_CHARGE_ONLY,
                        Severity.WRONG,
                        spot,
                        new Figure(0, "data wires"),
                        "This lead only charges",
                        "Power reaches " + joint.name(spot) + ", data does not: it will not be seen.",
                        "Use a lead with data wires"));
    }

    /** All spots to which data gets from one. */
    private static Set<Spot> reached(Joint joint, Spot from) {
        Set<Spot> reached = new HashSet<>(Set.of(from));
        Deque<Spot> open = new ArrayDeque<>(reached);
        while (!open.isEmpty()) {
            Spot at = open.pop();
            next(joint, at).filter(reached::add).forEach(open::push);
        }
        return reached;
    }

    private static Stream<Spot> next(Joint joint, Spot at) {
        Stream<Spot> plugged = joint.patch().pluggings().stream()
                .filter(plugging ->
                        plugging.plug().equals(at) || plugging.socket().equals(at))
                .filter(plugging -> !joint.patch().readings(plugging).isEmpty())
                .map(plugging -> other(plugging, at));
        Stream<Spot> wired = joint.patch().leads().containsKey(at.item())
                ? joint.patch().leads().get(at.item()).wires().stream()
                        .filter(wire -> wire.from().contact() == Contact.DATA)
                        .filter(wire -> wire.from().end().equals(at.part())
                                || wire.to().end().equals(at.part()))
                        .map(wire -> new Spot(
                                at.item(),
                                wire.from().end().equals(at.part())
                                        ? wire.to().end()
                                        : wire.from().end()))
                : Stream.empty();
        return Stream.concat(plugged, wired);
    }

    private static Spot other(Plugging plugging, Spot one) {
        return plugging.plug().equals(one) ? plugging.socket() : plugging.plug();
    }
}
