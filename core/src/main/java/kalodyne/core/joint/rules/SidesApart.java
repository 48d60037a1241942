package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;

/** Left and right of one socket taken to two. */
final class SidesApart {
    private SidesApart() {}

    /** A lead that parts left and right, into this socket and one beside it. */
    static List<Cure> of(Trial trial, Ends ends) {
        Device source = trial.device(ends.from());
        boolean isStereo = source.socket(ends.from().part())
                .filter(socket -> socket.contacts().containsValue(Carries.LEFT)
                        && socket.contacts().containsValue(Carries.RIGHT))
                .isPresent();
        if (!isStereo) {
            return List.of();
        }
        Offers drawer = trial.offers();
        return trial.beside(ends.to())
                .flatMap(second -> trial.leads().stream()
                        .filter(lead -> lead.ends().size() == 3)
                        .flatMap(lead -> drawer.free(lead).stream()
                                .flatMap(mark -> parted(trial, ends, second, mark, lead).stream())
                                .map(pluggings -> trial.cure(
                                        Cure.Kind.BOTH_SIDES,
                                        "Take left and right to " + trial.name(ends.to()) + " and " + trial.name(second)
                                                + ", with " + lead.name(),
                                        trial.without().plugging(pluggings),
                                        pluggings))))
                .toList();
    }

    private static Optional<List<Plugging>> parted(Trial trial, Ends ends, Spot second, String mark, Lead lead) {
        Plugger plugger = new Plugger().with(mark, lead);
        Stream.of(ends.from(), ends.to(), second).forEach(spot -> plugger.with(spot.item(), trial.device(spot)));
        for (Spot socket : List.of(ends.from(), ends.to(), second)) {
            Optional<Spot> end = plugger.freeEnd(mark, socket);
            if (end.isEmpty()) {
                return Optional.empty();
            }
            plugger.plug(end.get(), socket);
        }
        return Optional.of(plugger.patch().pluggings());
    }
}
