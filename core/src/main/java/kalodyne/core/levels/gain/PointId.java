package kalodyne.core.levels.gain;

import kalodyne.core.joint.Spot;

/**
 * What a point of a flow is known by. Takes know their runs by the ids of both ends.
 *
 * @param spot the socket or stage
 * @param signal which of its signals, where it has several: "left"; else empty
 * @param control a control behind it that is a point of its own; else empty
 */
public record PointId(Spot spot, String signal, String control) {
    public static PointId of(Spot spot) {
        return new PointId(spot, "", "");
    }

    /** Reads what {@link #write} wrote. */
    public static PointId read(String text) {
        int slash = text.indexOf('/', text.indexOf('.'));
        String before = slash < 0 ? text : text.substring(0, slash);
        int colon = before.indexOf(':');
        return new PointId(
                Spot.read(colon < 0 ? before : before.substring(0, colon)),
                colon < 0 ? "" : before.substring(colon + 1),
                slash < 0 ? "" : text.substring(slash + 1));
    }

    /** For one of several signals. */
    public PointId of(String newSignal) {
        return new PointId(spot, newSignal, control);
    }

    /** For a control behind it. */
    public PointId behind(String newControl) {
        return new PointId(spot, signal, newControl);
    }

    /** "interface.pre-1", "phones.plug:left", "mixer.channel-1/level-1". */
    public String write() {
        return spot.write() + (signal.isEmpty() ? "" : ":" + signal) + (control.isEmpty() ? "" : "/" + control);
    }

    @Override
    public String toString() {
        return write();
    }
}
