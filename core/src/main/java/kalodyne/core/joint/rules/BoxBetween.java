package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** A box that is owned, put between. */
final class BoxBetween {
    private BoxBetween() {}

    /** A box that is owned and free, put between. */
    static List<Cure> of(Trial trial, Ends ends) {
        Wiring free = trial.without();
        return trial.devices().stream()
                .filter(box -> box.kind() == DeviceKind.BOX || box.kind() == DeviceKind.PREAMP)
                .filter(box -> !box.id().equals(ends.from().item())
                        && !box.id().equals(ends.to().item()))
                .flatMap(box -> sockets(free, box, Direction.IN)
                        .flatMap(in ->
                                sockets(free, box, Direction.OUT).flatMap(out -> between(trial, ends, box, in, out))))
                .toList();
    }

    private static Stream<Spot> sockets(Wiring free, Device box, Direction way) {
        return box.sockets().stream()
                .filter(socket -> socket.way() == way && free.isFree(box, socket))
                .filter(socket -> socket.ties().parallelTo().isEmpty())
                .map(socket -> new Spot(box.id(), socket.id()));
    }

    private static Stream<Cure> between(Trial trial, Ends ends, Device box, Spot in, Spot out) {
        Wiring free = trial.without();
        return trial.best(ends.from(), in).stream().flatMap(before -> {
            Wiring half = free.plugging(before.pluggings());
            return trial.offers(half).between(out, ends.to()).stream().limit(1).map(behind -> {
                List<Plugging> all = new ArrayList<>(before.pluggings());
                all.addAll(behind.pluggings());
                return trial.cure(
                        Cure.Kind.BOX,
                        "Put " + box.name() + " between" + with(before, " before it") + with(behind, " behind it"),
                        free.plugging(all),
                        all);
            });
        });
    }

    private static String with(Offers.Offer offer, String where) {
        return offer.leads().isEmpty() ? "" : ", " + offer.words() + where;
    }
}
