package kalodyne.core.gear;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
 * @param opening mark shared by sockets that are one hole, of which one can be used at a time; empty for the others
 * @param normalledFrom the socket whose signal is here while nothing is plugged in
 * @param monoWithout the socket without whose plug this one has the mono sum
 * @param parallelTo the socket whose contacts it is wired to directly, as a thru socket is
 * @param from marks of the stages that feed it
 * @param power what it feeds or is fed beside the signal
 * @param channels what a digital socket carries
 * @param facts {@link Fact.Of#SOCKET}
 */
public record Socket(
        String id,
        String name,
        Connector connector,
        Form form,
        Way way,
        SignalKind signal,
        Optional<Balance> balance,
        Map<Contact, Carries> contacts,
        Optional<String> opening,
        Optional<String> normalledFrom,
        Optional<String> monoWithout,
        Optional<String> parallelTo,
        List<String> from,
        List<SocketPower> power,
        List<ChannelPair> channels,
        Facts facts) {

    public Socket {
        id = Marks.checked(id);
        name = Names.checked(name);
        from = List.copyOf(from);
        power = List.copyOf(power);
        channels = List.copyOf(channels);
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

    public Socket withFacts(Facts newFacts) {
        return new Socket(
                id,
                name,
                connector,
                form,
                way,
                signal,
                balance,
                contacts,
                opening,
                normalledFrom,
                monoWithout,
                parallelTo,
                from,
                power,
                channels,
                newFacts);
    }

    public Socket withPower(List<SocketPower> newPower) {
        return new Socket(
                id,
                name,
                connector,
                form,
                way,
                signal,
                balance,
                contacts,
                opening,
                normalledFrom,
                monoWithout,
                parallelTo,
                from,
                newPower,
                channels,
                facts);
    }

    /** The same socket with another connector, whose contacts carry something else. */
    public Socket withConnector(Connector newConnector, Map<Contact, Carries> newContacts) {
        return new Socket(
                id,
                name,
                newConnector,
                form,
                way,
                signal,
                balance,
                newContacts,
                opening,
                normalledFrom,
                monoWithout,
                parallelTo,
                from,
                power,
                channels,
                facts);
    }

    /** What it is, in a few words: "6.35 mm three-pole, balanced line in". */
    public String words() {
        String howBalanced = balance.map(each -> each.word() + " ").orElse("");
        String direction = way == Way.BOTH ? "" : " " + way.word();
        return connector.word() + ", " + howBalanced + signal.word() + direction;
    }
}
