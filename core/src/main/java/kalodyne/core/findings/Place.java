package kalodyne.core.findings;

import java.util.OptionalInt;

/** Where something was noticed. */
public sealed interface Place {
    /**
     * At a station of a run.
     *
     * @param station its index along the run, from 0 at the source
     */
    record Station(int station) implements Place {}

    /**
     * In a stretch of a take.
     *
     * @param channel from 0; empty where all channels are meant
     * @param fromSeconds start of the stretch
     * @param toSeconds end of the stretch, not before its start
     */
    record Stretch(OptionalInt channel, double fromSeconds, double toSeconds) implements Place {}

    /**
     * At something on the shelf.
     *
     * @param id of the device or lead
     */
    record Shelf(String id) implements Place {}

    /**
     * At a socket of a device or an end of a lead, as it is plugged.
     *
     * @param item the mark of the device or lead
     * @param part the mark of its socket or end
     */
    record Plugged(String item, String part) implements Place {}
}
