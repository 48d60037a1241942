package kalodyne.core.hearing;

import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.hearing.players.Player;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Gain;

/**
 * Who plays in place of a run's source.
 *
 * @param kind of the device that is played
 * @param crest how far the loudest peak lies above the average, as its source is described
 */
public record MadeUpPlayer(DeviceKind kind, Gain crest) {
    public static MadeUpPlayer of(Rig rig, LevelPlan plan) {
        Device device = rig.patch().devices().get(source(plan).station());
        return on(Optional.ofNullable(device).map(Device::kind).orElse(DeviceKind.SYNTH), plan);
    }

    /** On another kind of device. */
    public static MadeUpPlayer on(DeviceKind kind, LevelPlan plan) {
        return new MadeUpPlayer(
                kind, source(plan).sound().orElseThrow().levels().crest());
    }

    private static Point source(LevelPlan plan) {
        return plan.flow().points().get(plan.trace().path().source());
    }

    public Round round(int sampleRateHz) {
        return Round.of(Player.of(kind), sampleRateHz, crest);
    }
}
