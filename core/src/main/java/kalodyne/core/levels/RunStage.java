package kalodyne.core.levels;

import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * A step of the signal along a run: what it does, what it adds, what it bears.
 *
 * @param label as shown under it
 * @param station index of the station that it belongs to
 * @param point index of the point in the flow that it stands for; for a joint, of the one that it leads to
 * @param knob index in the flow of the control that acts here
 * @param gain from the stage before to this one
 * @param ceiling the level here that clips; empty where nothing can
 * @param noise that it adds, as a level here
 */
public record RunStage(
        String label, int station, int point, OptionalInt knob, Gain gain, Optional<Level> ceiling, Level noise) {}
