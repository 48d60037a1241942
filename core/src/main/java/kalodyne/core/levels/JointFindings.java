package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.rig.Rig;

/** What is wrong with the joints of a run is wrong with the run, and told in the same words. */
final class JointFindings {
    private JointFindings() {}

    static List<Finding> of(Rig rig, LevelPlan plan) {
        RunJoints joints = new RunJoints(plan);
        List<Finding> findings = new ArrayList<>();
        for (Checked joint : rig.joints()) {
            joints.station(joint)
                    .ifPresent(station -> joint.findings().stream()
                            .filter(finding -> finding.severity().compareTo(Severity.WRONG) <= 0)
                            .map(finding -> finding.at(new Place.Station(station)))
                            .filter(finding -> !findings.contains(finding))
                            .forEach(findings::add));
        }
        return findings;
    }

    /** What has to be mended before any level means something: harm, and what leaves the rest useless. */
    static Optional<Finding> first(List<Finding> ofJoints) {
        return Finding.worstFirst(ofJoints).stream()
                .filter(finding ->
                        finding.severity() == Severity.HARM || finding.code().isOfChain())
                .findFirst();
    }
}
