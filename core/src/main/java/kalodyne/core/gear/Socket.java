package kalodyne.core.gear;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import kalodyne.core.units.Current;
import kalodyne.core.units.Level;

/**
 * A socket of a device.
 *
 * @param id its mark within the device: "in-1"
 * @param name as printed beside it: "Input 1"
 * @param connector which it is
 * @param form a hole, or pins
 * @param way of the signal, seen from the device
 * @param signal the kind of signal it is made for
 * @param balance empty where the question makes no sense
 * @param contacts what each contact carries; contacts that are left out carry nothing
 * @param side which side of a pair it is, left or right; empty where it is none
 * @param ties to other sockets of the device
 * @param from marks of the stages that feed it
 * @param power what it feeds or is fed beside the signal
 * @param channels what a digital socket carries
 * @param states what it is while switches of its device stand otherwise
 * @param facts {@link Fact.Of#SOCKET}
 */
@RecordBuilder
public record Socket(
        String id,
        String name,
        Connector connector,
        Form form,
        Direction way,
        SignalKind signal,
        Optional<Balance> balance,
        Map<Contact, Carries> contacts,
        Optional<Carries> side,
        Ties ties,
        List<String> from,
        List<SocketPower> power,
        List<ChannelPair> channels,
        List<SocketState> states,
        Facts facts)
        implements SocketBuilder.With {

    public Socket {
        id = Marks.checked(id);
        name = Names.checked(name);
        from = List.copyOf(from);
        power = List.copyOf(power);
        channels = List.copyOf(channels);
        states = List.copyOf(states);
        for (Contact contact : contacts.keySet()) {
            if (!connector.contacts().contains(contact)) {
                throw new IllegalArgumentException(
                        "a " + connector.word() + " connector has no contact " + contact.word());
            }
        }
        Map<Contact, Carries> inOrder = new LinkedHashMap<>();
        for (Contact contact : connector.contacts()) {
            inOrder.put(contact, contacts.getOrDefault(contact, Carries.NOTHING));
        }
        contacts = Collections.unmodifiableMap(inOrder);
    }

    /**
     * How a socket depends on others of its device.
     *
     * @param opening mark shared by sockets that are one hole, of which one can be used at a time; empty for the others
     * @param normalledFrom the socket whose signal is here while nothing is plugged in
     * @param monoWithout the socket without whose plug this one has the mono sum
     * @param parallelTo the socket whose contacts it is wired to directly, as a thru socket is
     */
    public record Ties(
            Optional<String> opening,
            Optional<String> normalledFrom,
            Optional<String> monoWithout,
            Optional<String> parallelTo) {
        public static final Ties NONE =
                new Ties(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        /** The marks of the sockets that it depends on. */
        List<String> others() {
            return Stream.of(normalledFrom, monoWithout, parallelTo)
                    .flatMap(Optional::stream)
                    .toList();
        }

        /** The same without ties to one of them. */
        Ties without(String socketId) {
            Predicate<String> stays = other -> !other.equals(socketId);
            return new Ties(opening, normalledFrom.filter(stays), monoWithout.filter(stays), parallelTo.filter(stays));
        }
    }

    /** The same socket with another connector, whose contacts carry something else. */
    public Socket withConnector(Connector newConnector, Map<Contact, Carries> newContacts) {
        return with().connector(newConnector).contacts(newContacts).build();
    }

    /** The same socket under another mark and name. */
    Socket named(String newId, String newName) {
        return with().id(newId).name(newName).build();
    }

    /** Whether it gives some power, needs it, and so on. */
    public boolean has(PowerKind kind, PowerRole role) {
        return power.stream().anyMatch(each -> each.kind() == kind && each.role() == role);
    }

    /** Whether both are the same hole, for two kinds of plug or of source. */
    public boolean isSameHole(Socket other) {
        return ties.opening().isPresent() && ties.opening().equals(other.ties.opening());
    }

    public boolean carriesData() {
        return contacts.containsValue(Carries.DATA);
    }

    /** The phone's side of a headset's plug: it feeds the microphone and gives to the earphones. */
    public boolean isHost() {
        return way == Direction.BOTH && has(PowerKind.PLUG_IN, PowerRole.GIVES);
    }

    /** The most that it gives before it clips, where that is known. */
    public Optional<Level> mostGiven() {
        Optional<Level> told = way == Direction.BOTH
                ? facts.quantity(Fact.MAXIMUM_OUTPUT)
                        .or(() -> facts.quantity(Fact.MAXIMUM_LEVEL).filter(level -> !isHost()))
                : facts.quantity(Fact.MAXIMUM_LEVEL);
        return told.filter(level -> !level.isSilence());
    }

    /** The most that it takes, where that is known; earphones on a headset's plug take what they get. */
    public Optional<Level> mostTaken() {
        boolean isTold = way != Direction.BOTH || isHost() || contacts.containsValue(Carries.RETURN);
        return facts.quantity(Fact.MAXIMUM_LEVEL).filter(level -> isTold && !level.isSilence());
    }

    /** The most that it gives on its bus, where that is known; empty where it gives none. */
    public Optional<Current> busSupply() {
        return power.stream()
                .filter(each -> each.kind() == PowerKind.BUS && each.role() == PowerRole.GIVES)
                .flatMap(each -> each.facts().quantity(Fact.SUPPLY_CURRENT).stream())
                .findFirst();
    }

    /** What it is, in a few words: "6.35 mm three-pole, balanced line in". */
    public String words() {
        String howBalanced = balance.map(each -> each.word() + " ").orElse("");
        String direction = way == Direction.BOTH ? "" : " " + way.word();
        return connector.word() + ", " + howBalanced + signal.word() + direction;
    }
}
