package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.run.Station;

/** All rules on the levels of a run. */
public final class LevelRules {
    private static final List<LevelRule> ALL = List.of(
            new StageClipsRule(),
            new LineIntoMicRule(),
            new NoFitRule(),
            new HotRule(),
            new QuietRule(),
            new LoadingRule(),
            new DullLeadRule(),
            new NoiseRule(),
            new NoiseOriginRule(),
            new ImpossibleNoiseRule(),
            new PluggingCaution());

    private LevelRules() {}

    /** What there is to say about a run, worst first. */
    public static List<Finding> check(LevelPlan plan, Advice advice) {
        return Finding.worstFirst(
                ALL.stream().flatMap(rule -> rule.check(plan, advice).stream()).toList());
    }

    static Place at(Station.Part part) {
        return new Place.Station(part.index());
    }

    static Figure decibels(double value) {
        return new Figure(value, "dB");
    }

    static Optional<Finding> found(
            String code,
            Severity severity,
            Station.Part part,
            Figure figure,
            String title,
            String text,
            Optional<Remedy> remedy) {
        return Optional.of(new Finding(code, severity, at(part), figure, title, text, remedy));
    }
}
