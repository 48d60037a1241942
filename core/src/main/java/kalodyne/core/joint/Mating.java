package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Form;

/**
 * Which contact of a plug touches which contact of the socket that it goes into.
 *
 * <p>Jacks are told by where things lie along the plug: the tip, two rings' places behind it, and the place at the socket's
 * opening. A plug with fewer poles has its sleeve where another one has rings; a socket's contact touches whatever lies at its
 * own place. The sleeve contact of a three-pole socket sits one place further in in most, so that headsets in the order of CTIA find
 * their ground there, and at the opening in some; that matters to four-pole plugs alone; that of a two-pole socket reaches over the ring of a three-pole plug in most, and
 * joins it to the ground: there are two readings of those.
 */
public final class Mating {
    private static final String AT_THE_OPENING = "sleeve contact at the opening, as in some sockets";
    private static final String OVER_THE_RING =
            "sleeve contact that reaches over the ring, as in most two-pole sockets";
    private static final String SHORT_OF_THE_RING =
            "sleeve contact that does not reach the ring, as in some two-pole sockets";
    private static final String FURTHER_IN = "sleeve contact further in, as in most sockets";

    /** Places along a jack plug, from the tip. */
    private static final int PLACES = 4;

    private Mating() {}

    /** A contact of the plug on a contact of the socket. */
    public record Touch(Contact plug, Contact socket) {}

    /**
     * One way in which such a pair may be built.
     *
     * @param words in which way, where makers differ; else empty
     * @param touches what touches what; a contact may touch several, or nothing
     */
    public record Reading(String words, List<Touch> touches) {
        public Reading {
            touches = List.copyOf(touches);
        }
    }

    /** Whether one of two goes into the other, whichever of them is the plug. */
    public static boolean fits(Connector one, Form oneForm, Connector other, Form otherForm) {
        return oneForm != otherForm && !(oneForm == Form.PLUG ? of(one, other) : of(other, one)).isEmpty();
    }

    /** The readings of a pair, the likelier first; empty where the plug does not go in. */
    public static List<Reading> of(Connector plug, Connector socket) {
        if (plug.isJack() && plug.family() == socket.family()) {
            return jacks(plug, socket);
        }
        boolean fits = plug == socket
                || (plug == Connector.BARE_WIRE && socket == Connector.POSTS)
                || (plug == Connector.EARTH_SPADE && socket == Connector.EARTH_POST);
        return fits ? List.of(new Reading("", straight(socket))) : List.of();
    }

    private static List<Touch> straight(Connector connector) {
        return connector.contacts().stream()
                .map(contact -> new Touch(contact, contact))
                .toList();
    }

    private static List<Reading> jacks(Connector plug, Connector socket) {
        int poles = socket.contacts().size();
        if (poles == 2 && plug.contacts().size() == 3) {
            List<Touch> apart = touches(plug, socket, PLACES - 1);
            List<Touch> joined = new ArrayList<>(apart);
            joined.add(new Touch(Contact.RING, Contact.SLEEVE));
            return List.of(new Reading(OVER_THE_RING, joined), new Reading(SHORT_OF_THE_RING, apart));
        }
        Reading usual = new Reading("", touches(plug, socket, PLACES - 1));
        Reading other = new Reading("", touches(plug, socket, PLACES - 2));
        boolean mayDiffer = poles < PLACES && !usual.touches().equals(other.touches());
        return mayDiffer
                ? List.of(new Reading(FURTHER_IN, other.touches()), new Reading(AT_THE_OPENING, usual.touches()))
                : List.of(usual);
    }

    private static List<Touch> touches(Connector plug, Connector socket, int sleeveAt) {
        List<Touch> touches = new ArrayList<>();
        int poles = socket.contacts().size();
        for (int i = 0; i < poles; i++) {
            boolean isSleeve = i == poles - 1;
            int place = isSleeve && poles < PLACES ? sleeveAt : i;
            touches.add(new Touch(at(plug, place), socket.contacts().get(i)));
        }
        return touches;
    }

    /** What of a plug lies at a place: its sleeve takes all places behind its rings. */
    private static Contact at(Connector plug, int place) {
        List<Contact> contacts = plug.contacts();
        return contacts.get(Math.min(place, contacts.size() - 1));
    }
}
