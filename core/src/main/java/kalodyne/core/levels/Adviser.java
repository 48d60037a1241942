package kalodyne.core.levels;

import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.units.Gain;

/** Finds where the controls along one run should stand. */
public final class Adviser {
    private Adviser() {}

    public static Advice advise(LevelPlan plan, Wanted wanted) {
        return Advice.of(
                plan,
                GainAdviser.adviseAround(
                        plan.flow(), wanted, plan.trace().path().source()));
    }

    /**
     * The advice for a run whose source was found to be louder or quieter than described.
     *
     * @param correction how much louder its loudest peak is
     */
    public static Advice advise(LevelPlan plan, Wanted wanted, Gain correction) {
        return advise(plan.louderBy(correction), wanted);
    }
}
