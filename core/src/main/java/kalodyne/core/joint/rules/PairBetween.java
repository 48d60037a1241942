package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Conductor;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Wire;
import kalodyne.core.joint.Mating;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;

/** A box with two channels that is owned, put between the two sides of a source and the two inputs that they go to. */
final class PairBetween {
    private PairBetween() {}

    /** Two sockets of one device, left and right. */
    private record Pair(Spot left, Spot right) {
        List<Spot> spots() {
            return List.of(left, right);
        }
    }

    static List<Cure> of(Trial trial) {
        Set<Spot> giving = trial.joint().circuit().soundings().stream()
                .map(OutputSignal::socket)
                .collect(Collectors.toSet());
        List<Spot> sockets = trial.joint().patch().pluggings().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .filter(spot -> trial.joint().patch().socket(spot).isPresent())
                .filter(spot -> socket(trial, spot).signal() != SignalKind.EARTH)
                .distinct()
                .toList();
        Optional<Pair> from = pair(sockets.stream().filter(giving::contains).toList());
        Optional<Pair> to =
                pair(sockets.stream().filter(spot -> !giving.contains(spot)).toList());
        if (from.isEmpty() || to.isEmpty()) {
            return List.of();
        }
        return trial.devices().stream()
                .filter(box -> box.kind() == DeviceKind.BOX || box.kind() == DeviceKind.PREAMP)
                .filter(box -> !trial.joint().patch().devices().containsKey(box.id()))
                .flatMap(box -> pairOf(trial, box, Direction.IN).stream()
                        .flatMap(in -> pairOf(trial, box, Direction.OUT).stream()
                                .flatMap(out -> between(trial, from.get(), to.get(), box, in, out))))
                .toList();
    }

    private static Socket socket(Trial trial, Spot spot) {
        return trial.device(spot).socket(spot.part()).orElseThrow();
    }

    private static Optional<Pair> pair(List<Spot> spots) {
        return spots.size() == 2 && spots.get(0).item().equals(spots.get(1).item())
                ? Optional.of(new Pair(spots.get(0), spots.get(1)))
                : Optional.empty();
    }

    private static Optional<Pair> pairOf(Trial trial, Device box, Direction way) {
        Optional<Spot> left = side(trial, box, way, Carries.LEFT);
        Optional<Spot> right = side(trial, box, way, Carries.RIGHT);
        return left.flatMap(one -> right.map(other -> new Pair(one, other)));
    }

    private static Optional<Spot> side(Trial trial, Device box, Direction way, Carries side) {
        return box.sockets().stream()
                .filter(socket -> socket.way() == way
                        && socket.side().filter(side::equals).isPresent())
                .filter(socket -> trial.without().isFree(box, socket))
                .map(socket -> new Spot(box.id(), socket.id()))
                .findFirst();
    }

    private static Stream<Cure> between(Trial trial, Pair from, Pair to, Device box, Pair in, Pair out) {
        return joined(trial, trial.offers(), from, in)
                .flatMap(before -> joined(trial, trial.offers(trial.without().plugging(before.pluggings())), out, to)
                        .map(behind -> {
                            List<Plugging> all = new ArrayList<>(before.pluggings());
                            all.addAll(behind.pluggings());
                            return trial.cure(
                                    Cure.Kind.BOX,
                                    "Put " + box.name() + " between, " + before.lead() + " before it, " + behind.lead()
                                            + " behind it",
                                    trial.without().plugging(all),
                                    all);
                        })
                        .limit(1))
                .limit(1);
    }

    /** A lead with both sides that joins two pairs. */
    private record Joined(String lead, List<Plugging> pluggings) {}

    private static Stream<Joined> joined(Trial trial, Offers drawer, Pair from, Pair to) {
        return trial.leads().stream()
                .filter(lead ->
                        lead.ends().size() >= from.spots().size() + to.spots().size())
                .flatMap(lead -> drawer.free(lead).stream().flatMap(mark -> joined(trial, mark, lead, from, to)));
    }

    private static Stream<Joined> joined(Trial trial, String mark, Lead lead, Pair from, Pair to) {
        List<Plugging> all = new ArrayList<>();
        List<String> used = new ArrayList<>();
        for (int side = 0; side < 2; side++) {
            Spot one = from.spots().get(side);
            Spot other = to.spots().get(side);
            Optional<List<Plugging>> way = lead.ends().stream()
                    .filter(end -> !used.contains(end.id()) && fits(trial, end, one))
                    .flatMap(end -> partners(lead, end)
                            .filter(far -> !used.contains(far.id()) && fits(trial, far, other))
                            .map(far -> {
                                used.addAll(List.of(end.id(), far.id()));
                                return List.of(
                                        plugged(new Spot(mark, end.id()), end, one),
                                        plugged(new Spot(mark, far.id()), far, other));
                            }))
                    .findFirst();
            if (way.isEmpty()) {
                return Stream.empty();
            }
            all.addAll(way.get());
        }
        return Stream.of(new Joined(lead.name(), all));
    }

    private static boolean fits(Trial trial, LeadEnd end, Spot spot) {
        Socket socket = socket(trial, spot);
        return Mating.fits(end.connector(), end.form(), socket.connector(), socket.form());
    }

    private static Plugging plugged(Spot end, LeadEnd which, Spot socket) {
        return which.form() == Form.PLUG ? new Plugging(end, socket) : new Plugging(socket, end);
    }

    /** The ends to which the inner wires of one lead. */
    private static Stream<LeadEnd> partners(Lead lead, LeadEnd end) {
        Set<String> far = lead.wires().stream()
                .filter(wire -> wire.conductor() == Conductor.CORE)
                .filter(wire ->
                        wire.from().end().equals(end.id()) || wire.to().end().equals(end.id()))
                .map(wire -> other(wire, end))
                .collect(Collectors.toSet());
        return lead.ends().stream().filter(each -> far.contains(each.id()));
    }

    private static String other(Wire wire, LeadEnd end) {
        return wire.from().end().equals(end.id())
                ? wire.to().end()
                : wire.from().end();
    }
}
