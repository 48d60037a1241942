package kalodyne.core.levels.rig;

import java.util.Optional;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.joint.Spot;

/**
 * A control at one of the places where it acts.
 *
 * @param control its mark
 * @param pan what it does there, where it is a pan pot: one hand turns both of its sides
 */
record KnobDraft(Spot control, Optional<PanTaper> pan) {
    static KnobDraft of(Spot control) {
        return new KnobDraft(control, Optional.empty());
    }
}
