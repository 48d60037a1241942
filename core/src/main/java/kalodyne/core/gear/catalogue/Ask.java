package kalodyne.core.gear.catalogue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Powering;

/** What is asked when something is added, because it matters and varies. */
public sealed interface Ask {
    /** As it is put: "How loud does the hardest playing get?" */
    String question();

    /**
     * Asks for a value.
     *
     * @param part the mark of the part that has it
     * @param fact which of its values
     */
    record OfValue(String question, String part, Fact<?> fact) implements Ask {}

    /**
     * Asks which connector some sockets have.
     *
     * @param sockets their marks
     * @param choices two or more
     */
    record OfSocket(String question, List<String> sockets, List<Choice> choices) implements Ask {
        public OfSocket {
            sockets = List.copyOf(sockets);
            choices = List.copyOf(choices);
        }

        /** The device with the sockets as somebody chose. */
        public Device answered(Device device, Choice choice) {
            return device.withSockets(device.sockets().stream()
                    .map(socket -> sockets.contains(socket.id())
                            ? socket.withConnector(choice.connector(), choice.contacts())
                            : socket)
                    .toList());
        }
    }

    /**
     * A connector that somebody may choose.
     *
     * @param say in words: "3.5 mm, one signal"
     * @param connector which it is
     * @param contacts what its contacts then carry
     */
    record Choice(String say, Connector connector, Map<Contact, Carries> contacts) {
        public Choice {
            contacts = Map.copyOf(contacts);
        }
    }

    /** Asks which of its ways of powering is the usual one. */
    record OfPowering(String question) implements Ask {
        /** The device with one way of powering put first. */
        public Device answered(Device device, Powering usual) {
            List<Powering> ordered = new ArrayList<>(device.powering());
            ordered.remove(usual);
            ordered.add(0, usual);
            return device.withPowering(ordered);
        }
    }
}
