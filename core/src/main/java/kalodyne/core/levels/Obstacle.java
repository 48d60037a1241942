package kalodyne.core.levels;

import kalodyne.core.run.Station;
import kalodyne.core.units.Gain;

/**
 * Why no position of the controls brings the loudest peak into the aim.
 *
 * @param kind what is in the way
 * @param part the station that makes it impossible
 * @param by how many decibels are missing, above 0
 */
public record Obstacle(Kind kind, Station.Part part, Gain by) {
    /** What can be in the way. */
    public enum Kind {
        /** The source distorts by itself, and has no volume that goes low enough. */
        SOURCE_CLIPS,
        /** Every control at its lowest, and still too hot for the aim. */
        TOO_HOT_AT_LOWEST,
        /** Every control at its highest, and still too quiet for the aim. */
        TOO_QUIET_AT_HIGHEST,
        /** The source overloads the socket before the gain control, and has no volume that goes low enough. */
        SOCKET_OVERLOADED,
        /** The gain stage clips below the aim: the converter wants more than it can give. */
        CLIPS_BEFORE_AIM
    }
}
