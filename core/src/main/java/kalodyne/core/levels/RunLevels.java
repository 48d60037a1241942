package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;

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
