package kalodyne.core.joint.rules;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Wiring;

/**
 * A change that makes a joint better, tried out.
 *
 * @param kind what is changed
 * @param words what to do: "Use Lead 12 instead of Lead 4"
 * @param wiring everything as it is plugged then; empty where something has to be got first
 * @param joints what comes of it, of the joints that it changes
 */
public record Cure(Kind kind, String words, Optional<Wiring> wiring, List<JointRules.Checked> joints) {
    /** What is changed, the least trouble first. */
    public enum Kind {
        SWITCH("switch"),
        LEAD("lead"),
        SOCKET("socket"),
        BOTH_SIDES("both sides"),
        BOX("box"),
        /** A lead that is not owned. */
        GET("get");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    static final Comparator<Cure> BEST_FIRST = Comparator.comparing((Cure cure) -> cure.kind() == Kind.GET)
            .thenComparingInt(cure -> -cure.rank())
            .thenComparing(Cure::kind)
            .thenComparingInt(cure -> cure.faults());

    public Cure {
        joints = List.copyOf(joints);
    }

    /** The worst that is left, notes left out. */
    public Optional<Severity> worst() {
        return joints.stream().flatMap(joint -> joint.worst().stream()).min(Comparator.naturalOrder());
    }

    /** Whether it leaves less that is wrong than there is. */
    public boolean isBetterThan(JointRules.Checked joint) {
        List<JointRules.Checked> now = List.of(joint);
        return rank() > rank(now) || (rank() == rank(now) && faults() < faults(now));
    }

    int rank() {
        return rank(joints);
    }

    int faults() {
        return faults(joints);
    }

    /** How bad the worst of some joints is, the worst first. */
    static int rank(List<JointRules.Checked> joints) {
        return joints.stream().mapToInt(JointRules.Checked::rank).min().orElse(Severity.values().length);
    }

    /** How much is left that is no mere note. */
    static int faults(List<JointRules.Checked> joints) {
        return (int) joints.stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> finding.severity() != Severity.NOTE)
                .count();
    }
}
