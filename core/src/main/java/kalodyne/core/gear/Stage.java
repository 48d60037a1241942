package kalodyne.core.gear;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * A step of the signal inside a device.
 *
 * @param id its mark within the device: "preamp-1"
 * @param name "preamp 1"
 * @param kind what it does
 * @param side which side of a stereo pair it is, where that matters: left or right
 * @param from marks of the sockets and stages that it is fed by, with the contact's load where a socket has several:
 *     "in-1" or "phones:left"
 * @param controls marks of the controls that act on it
 * @param facts {@link Fact.Of#STAGE}
 */
@RecordBuilder
public record Stage(
        String id,
        String name,
        StageKind kind,
        Optional<Carries> side,
        List<String> from,
        List<String> controls,
        Facts facts)
        implements StageBuilder.With {
    public Stage {
        id = Marks.checked(id);
        name = Names.checked(name);
        from = List.copyOf(from);
        controls = List.copyOf(controls);
    }

    /** Whether it hears or plays something by itself: a capsule that is built in, the music of a player. */
    public boolean isOwnSound() {
        return from.isEmpty() && (kind == StageKind.AMPLIFIER || kind == StageKind.BUS);
    }

    /** The mark of the socket or stage in a reference: "phones:left" is the socket "phones". */
    public static String fedBy(String reference) {
        int colon = reference.indexOf(':');
        return colon < 0 ? reference : reference.substring(0, colon);
    }

    /** What of a socket is meant in a reference: "left" of "phones:left"; empty where it is all of it. */
    public static Optional<String> sideOf(String reference) {
        int colon = reference.indexOf(':');
        return colon < 0 ? Optional.empty() : Optional.of(reference.substring(colon + 1));
    }
}
