package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/**
 * A run with all that is computed from it.
 *
 * @param plan the three lines
 * @param advice where the controls should stand
 * @param findings worst first
 * @param verdict in a sentence
 */
public record RunLevels(LevelPlan plan, Advice advice, List<Finding> findings, LevelVerdict verdict) {
    public RunLevels {
        findings = List.copyOf(findings);
    }

    /** With what would help where no knob does, the least first, in place of a general cure. */
    public RunLevels helpedBy(List<LeastChange.Change> changes) {
        if (changes.isEmpty()) {
            return this;
        }
        String words = changes.get(0).words()
                + (changes.size() > 1
                        ? ", or " + Print.withinSentence(changes.get(1).words())
                        : "");
        List<Finding> helped = findings.stream()
                .map(finding -> finding.code() == FindingCode.LEVEL_NO_FIT
                        ? finding.with(Optional.of(Remedy.byHand(words)))
                        : finding)
                .toList();
        return new RunLevels(plan, advice, helped, verdict);
    }

    /** Whether nothing is left to turn or to mend. */
    public boolean isAsAdvised() {
        boolean isMended = worst().filter(worst -> worst != Severity.WEAK).isEmpty();
        return isMended && advice.isFollowed() && advice.obstacle().isEmpty();
    }

    /** The worst that was found at a station, notes left out. */
    public Optional<Severity> worstAt(int station) {
        Place place = new Place.Station(station);
        return Finding.worst(findings.stream()
                .filter(finding -> finding.place().equals(place))
                .toList());
    }

    /** The worst that was found anywhere, notes left out. */
    public Optional<Severity> worst() {
        return Finding.worst(findings);
    }
}
