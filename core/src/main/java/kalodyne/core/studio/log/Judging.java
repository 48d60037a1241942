package kalodyne.core.studio.log;

import java.util.List;
import java.util.Optional;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.TakeSentence;
import kalodyne.core.takes.verdict.TakeContext;
import kalodyne.core.takes.verdict.TakeVerdict;

/** Says what was the case with takes of a setup, by its runs as they stand. */
public final class Judging {
    private final SetupLevels levels;
    private final List<Checked> joints;

    /**
     * Of a setup that is computed already.
     *
     * @param levels along its runs
     * @param joints what is plugged in it
     */
    public Judging(SetupLevels levels, List<Checked> joints) {
        this.levels = levels;
        this.joints = List.copyOf(joints);
    }

    /** Of any setup of a studio. */
    public static Judging of(Studio studio, Setup setup) {
        Patch patch = studio.patch(setup);
        List<Checked> joints = JointRules.check(patch, studio.devices());
        return new Judging(SetupLevels.of(joints, patch, setup.settings()), joints);
    }

    /** What is known of the run of a take; empty where there is no such run any more. */
    public Optional<TakeContext> context(Take take) {
        return levels.trace(take.run()).map(trace -> TakeContext.of(levels, trace, take.positions(), joints));
    }

    /** What is said of a take; by itself where its run is no longer there. */
    public FirstVerdict judge(Take take, TakeReport report) {
        return context(take)
                .map(context -> FirstVerdict.of(report, TakeVerdict.of(context, report)))
                .orElseGet(() -> FirstVerdict.of(report, TakeSentence.of(report), report.findings()));
    }
}
