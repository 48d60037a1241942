package kalodyne.core.route;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;

/** Keeps a source and the recorder in one tempo by MIDI clock: 24 pulses a quarter note (MIDI 1.0). */
final class Clocking {
    private final Stock stock;
    private final Plugs plugs;

    Clocking(Stock stock, Plugs plugs) {
        this.stock = stock;
        this.plugs = plugs;
    }

    /** Plugs the clock of the recorder, or of what stands at its USB, into the first source that takes one. */
    SideTask of(List<Chain> chains, Wish wish) {
        Optional<String> follower = wish.sources().stream()
                .filter(id -> !midi(id, Direction.IN).isEmpty() || sendsMidi(id))
                .findFirst();
        if (follower.isEmpty()) {
            return not("None of the sources has MIDI. Play to the recorder's click instead.");
        }
        String source = follower.get();
        boolean isSent = Chain.sends(chains, source);
        if (isSent && sendsMidi(source)) {
            return done(stock.name(source) + " gets the clock through its USB lead", wish);
        }
        for (String leader : leaders(chains, wish)) {
            int before = plugs.count();
            if (isAtRecorder(leader, chains, wish)
                    && plugs.join(midi(leader, Direction.OUT), midi(source, Direction.IN))
                            .isPresent()) {
                boolean isBoth = plugs.join(midi(source, Direction.OUT), midi(leader, Direction.IN))
                        .isPresent();
                String from = leader.equals(wish.target()) ? "" : " by " + stock.name(leader);
                return done(
                        stock.name(wish.target()) + " sends the clock" + from + " to " + stock.name(source)
                                + (isBoth ? ", and a second lead carries its notes back" : ""),
                        wish);
            }
            plugs.backTo(before);
        }
        return not("No MIDI out leads from " + stock.name(wish.target()) + " to " + stock.name(source)
                + ". A USB MIDI interface and a MIDI lead would do it.");
    }

    private SideTask done(String how, Wish wish) {
        return new SideTask(
                SideTask.Of.TEMPO,
                how + ". Let " + stock.name(wish.target())
                        + " lead and set the source to external clock: 24 pulses a quarter note.",
                true);
    }

    private static SideTask not(String why) {
        return new SideTask(SideTask.Of.TEMPO, why, false);
    }

    /** What may send the clock: the recorder, what stands on the way to it, then MIDI boxes. */
    private Set<String> leaders(List<Chain> chains, Wish wish) {
        Set<String> leaders = new LinkedHashSet<>(List.of(wish.target()));
        Chain.hops(chains).map(hop -> hop.to().device()).forEach(leaders::add);
        stock.ids().stream()
                .filter(id -> stock.device(id).kind() == DeviceKind.MIDI)
                .forEach(leaders::add);
        leaders.removeIf(id -> midi(id, Direction.OUT).isEmpty());
        return leaders;
    }

    /** Whether a device's MIDI gets to the recorder, by a USB lead that is plugged here where there is none. */
    private boolean isAtRecorder(String id, List<Chain> chains, Wish wish) {
        boolean isOnTheWay = Chain.sends(chains, id);
        if (id.equals(wish.target()) || (isOnTheWay && sendsMidi(id))) {
            return true;
        }
        List<Port> usb =
                Port.each(stock.device(id), socket -> socket.signal() == SignalKind.DIGITAL && carriesMidi(socket), 2);
        return !isOnTheWay
                && plugs.join(usb, stock.ports(wish.target()).dataIns()).isPresent();
    }

    private boolean sendsMidi(String id) {
        return stock.device(id).sockets().stream().anyMatch(Clocking::carriesMidi);
    }

    private static boolean carriesMidi(Socket socket) {
        return socket.channels().stream().anyMatch(pair -> pair.channels().equalsIgnoreCase("MIDI"));
    }

    private List<Port> midi(String id, Direction way) {
        return Port.each(stock.device(id), socket -> socket.signal() == SignalKind.MIDI && socket.way() == way, 1);
    }
}
