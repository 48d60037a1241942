package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.Advice;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.LevelRules;
import kalodyne.core.levels.LevelVerdict;
import kalodyne.core.run.Run;
import kalodyne.core.run.Station;

/**
 * A run with all that is computed from it.
 *
 * @param run as it stands
 * @param plan the three lines
 * @param advice where the controls should stand
 * @param findings worst first
 * @param verdict in a sentence
 */
public record RunReading(Run run, LevelPlan plan, Advice advice, List<Finding> findings, LevelVerdict verdict) {

    static RunReading of(Run run) {
        LevelPlan plan = LevelPlan.of(run);
        Advice advice = Adviser.advise(run);
        return new RunReading(run, plan, advice, LevelRules.check(plan, advice), LevelVerdict.of(plan, advice));
    }

    /** The worst that was found at a station, notes left out. */
    public Optional<Severity> worstAt(Station.Part part) {
        Place place = new Place.Station(part.index());
        return Finding.worst(findings.stream()
                .filter(finding -> finding.place().equals(place))
                .toList());
    }

    /** The worst that was found anywhere, notes left out. */
    public Optional<Severity> worst() {
        return Finding.worst(findings);
    }
}
