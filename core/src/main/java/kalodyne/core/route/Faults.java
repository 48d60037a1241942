package kalodyne.core.route;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.rules.JointRules;

/** Which faults of a joint keep a way from being proposed, and which one can live with or turn down. */
final class Faults {
    /** What a knob cures, or what costs sound only. */
    private static final Set<FindingCode> BEARABLE = Set.of(
            FindingCode.LEVEL_OVERLOAD,
            FindingCode.STEREO_ONE_SIDE,
            FindingCode.HUM_GROUND_LOOP,
            FindingCode.HUM_LEAKAGE,
            FindingCode.RESPONSE_DULL,
            FindingCode.RESPONSE_THIN,
            FindingCode.JOINT_LOADING);

    /** With the volume well down it harms nothing; the caution stays with the way. */
    private static final FindingCode TOO_LOUD = FindingCode.CAUTION_LINE_INTO_MIC;

    /** How bad something is for a plan, the worst first. */
    enum Grade {
        FATAL,
        CAUTION,
        WRONG,
        WEAK,
        NONE
    }

    private Faults() {}

    static Grade of(Finding finding) {
        boolean isBad = finding.severity() == Severity.HARM || finding.severity() == Severity.WRONG;
        if (finding.code() == TOO_LOUD) {
            return Grade.CAUTION;
        } else if (isBad) {
            return BEARABLE.contains(finding.code()) ? Grade.WRONG : Grade.FATAL;
        }
        return finding.severity() == Severity.WEAK ? Grade.WEAK : Grade.NONE;
    }

    static Grade worst(List<JointRules.Checked> joints) {
        return joints.stream()
                .flatMap(joint -> joint.findings().stream())
                .map(Faults::of)
                .min(Comparator.naturalOrder())
                .orElse(Grade.NONE);
    }
}
