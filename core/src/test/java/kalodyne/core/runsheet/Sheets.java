package kalodyne.core.runsheet;

import java.util.List;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Shelf;

/** Sheets of rigs, in a line. */
final class Sheets {
    private Sheets() {}

    static SheetRig rig(Patch patch, SessionPlan sessionPlan) {
        List<Checked> joints = JointRules.check(patch);
        Rig rig = Rig.of(joints, patch, Settings.NONE);
        return new SheetRig("Test", patch, joints, SetupLevels.of(rig, Settings.NONE.wanted()), sessionPlan);
    }

    /** Of the way that is told first. */
    static SheetRig planned(String shelf, String wish, String stereo) {
        Patch patch = Shelf.planned(shelf, wish, stereo).ways().get(0).patch();
        return rig(patch, SessionPlan.USUAL);
    }
}
