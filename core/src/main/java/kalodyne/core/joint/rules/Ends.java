package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Direction;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Spot;

/** The two sockets of a joint that has no others. */
record Ends(Spot from, Spot to) {
    static Optional<Ends> of(JointRules.Checked joint) {
        List<Spot> sockets = joint.patch().pluggings().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .filter(spot -> joint.patch().socket(spot).isPresent())
                .distinct()
                .toList();
        if (sockets.size() != 2) {
            return Optional.empty();
        }
        Optional<Spot> giving = joint.circuit().soundings().stream()
                .map(OutputSignal::socket)
                .filter(spot -> joint.patch().socket(spot).orElseThrow().way() == Direction.OUT)
                .findFirst();
        Spot from = giving.orElse(sockets.get(0));
        return Optional.of(new Ends(from, sockets.get(0).equals(from) ? sockets.get(1) : sockets.get(0)));
    }
}
