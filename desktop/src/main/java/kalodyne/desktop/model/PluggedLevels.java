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
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.LevelUnit;

/** The levels of what is plugged, as it is edited: of what an edit did not touch, nothing is computed again. */
final class PluggedLevels {
    private JointChecks checks = new JointChecks();
    private LevelUnit unit = LevelUnit.inUse();
    private Inputs inputs;
    private Patch patch;
    private List<Checked> joints = List.of();
    private Settings before = Settings.NONE;
    private Rig rig;
    private SetupLevels levels;

    /** All that joints follow from. */
    private record Inputs(List<Device> devices, List<Lead> leads, Wiring wiring, Optional<String> film) {}

    /** Brings all of it up to date. */
    SetupLevels of(Studio studio, Setup setup) {
        if (unit != LevelUnit.inUse()) {
            // What was worked out has words in it.
            unit = LevelUnit.inUse();
            checks = new JointChecks();
            inputs = null;
            levels = null;
        }
        Inputs now = new Inputs(
                studio.devices(),
                studio.leads(),
                studio.wiring(setup),
                setup.sessionPlan().film());
        Settings settings = setup.settings();
        boolean isSame = now.equals(inputs);
        if (!isSame) {
            inputs = now;
            patch = studio.patch(setup);
            joints = checks.check(patch, studio.devices());
        }
        Optional<Rig> turned = isSame ? settings.turnedSince(before).flatMap(rig::turned) : Optional.empty();
        rig = turned.orElseGet(() -> Rig.of(joints, patch, settings));
        before = settings;
        levels = levels != null && levels.isTurned(rig, settings.wanted())
                ? levels.turned(rig)
                : SetupLevels.of(rig, settings.wanted());
        return levels;
    }

    /** What is plugged, each part that hangs together by itself. */
    List<Checked> joints() {
        return joints;
    }
}
