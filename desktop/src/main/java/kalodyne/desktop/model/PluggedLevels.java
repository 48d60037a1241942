package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointChecks;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** The levels of what is plugged, as it is edited: of what an edit did not touch, nothing is computed again. */
final class PluggedLevels {
    private final JointChecks checks = new JointChecks();
    private Inputs inputs;
    private Patch patch;
    private List<Checked> joints = List.of();
    private SetupLevels levels;

    /** All that joints follow from. */
    private record Inputs(List<Device> devices, List<Lead> leads, Wiring wiring, Optional<String> film) {}

    /** Brings all of it up to date. */
    SetupLevels of(Studio studio, Setup setup) {
        Inputs now = new Inputs(
                studio.devices(),
                studio.leads(),
                studio.wiring(setup),
                setup.sessionPlan().film());
        if (!now.equals(inputs)) {
            inputs = now;
            patch = studio.patch(setup);
            joints = checks.check(patch, studio.devices());
        }
        Rig rig = Rig.of(joints, patch, setup.settings());
        levels = levels != null && levels.isTurned(rig, setup.settings().wanted())
                ? levels.turned(rig)
                : SetupLevels.of(rig, setup.settings().wanted());
        return levels;
    }

    /** What is plugged, each part that hangs together by itself. */
    List<Checked> joints() {
        return joints;
    }
}
