package kalodyne.core.gear;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the contacts of a connector usually carry, for a socket whose maker does not say. XLR as in AES14, MIDI on a
 * three-pole jack as in RP-054 of the MIDI Association (type A), a headset's four poles in the order of CTIA; the rest is
 * common practice.
 */
public final class UsualContacts {
    private static final List<Carries> SIGNAL = List.of(Carries.SIGNAL, Carries.COMMON);
    private static final List<Carries> STEREO = List.of(Carries.LEFT, Carries.RIGHT, Carries.COMMON);
    private static final List<Carries> BALANCED = List.of(Carries.HOT, Carries.COLD, Carries.SHIELD);
    private static final List<Carries> INSERT = List.of(Carries.SEND, Carries.RETURN, Carries.COMMON);
    private static final List<Carries> SPEAKER = List.of(Carries.POSITIVE, Carries.NEGATIVE);

    private UsualContacts() {}

    /**
     * What they carry, in the order of the contacts.
     *
     * @param signal what the socket is made for
     * @param way of the signal; it matters to MIDI, whose inputs leave the shield alone, and to inserts, which go both ways
     */
    public static Map<Contact, Carries> of(
            Connector connector, SignalKind signal, Optional<Balance> balance, Direction way) {
        List<Carries> carried = carried(connector, signal, balance, way);
        Map<Contact, Carries> contacts = new LinkedHashMap<>();
        for (int i = 0; i < carried.size(); i++) {
            contacts.put(connector.contacts().get(i), carried.get(i));
        }
        return contacts;
    }

    private static List<Carries> carried(
            Connector connector, SignalKind signal, Optional<Balance> balance, Direction way) {
        return switch (connector.family()) {
            case JACK_635, JACK_35 -> jack(connector, signal, balance, way);
            case XLR -> List.of(Carries.SHIELD, Carries.HOT, Carries.COLD);
            case RCA -> signal == SignalKind.DIGITAL ? List.of(Carries.DATA, Carries.GROUND) : SIGNAL;
            case DIN ->
                List.of(
                        Carries.NOTHING,
                        way == Direction.IN ? Carries.NOTHING : Carries.SHIELD,
                        Carries.NOTHING,
                        Carries.MIDI_SOURCE,
                        Carries.MIDI_SINK);
            case DIGITAL -> List.of(Carries.POWER, Carries.DATA, Carries.GROUND);
            case OPTICAL -> List.of(Carries.LIGHT);
            case RADIO -> List.of(Carries.RADIO);
            case POSTS, SPEAKER, BARREL -> SPEAKER;
            case EARTH -> List.of(Carries.EARTH);
            case MAINS ->
                List.of(Carries.LIVE, Carries.NEUTRAL, Carries.EARTH)
                        .subList(0, connector.contacts().size());
        };
    }

    private static List<Carries> jack(
            Connector connector, SignalKind signal, Optional<Balance> balance, Direction way) {
        return switch (connector.contacts().size()) {
            case 2 -> signal == SignalKind.SPEAKER ? SPEAKER : SIGNAL;
            case 3 -> threePoles(signal, balance, way);
            default -> List.of(Carries.LEFT, Carries.RIGHT, Carries.COMMON, Carries.MIC);
        };
    }

    private static List<Carries> threePoles(SignalKind signal, Optional<Balance> balance, Direction way) {
        if (signal == SignalKind.MIDI) {
            return List.of(Carries.MIDI_SINK, Carries.MIDI_SOURCE, Carries.SHIELD);
        }
        if (signal == SignalKind.LINE && way == Direction.BOTH) {
            return INSERT;
        }
        return balance.filter(each -> each != Balance.UNBALANCED).isPresent() ? BALANCED : STEREO;
    }
}
