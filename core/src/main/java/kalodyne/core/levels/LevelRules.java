package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;

/** All rules on the levels of a run. */
public final class LevelRules {
    private static final List<LevelRule> ALL = List.of(
            new StageClipsRule(),
            new NoFitRule(),
            new HotRule(),
            new QuietRule(),
            new NoiseRule(),
            new NoiseOriginRule(),
            new PluggingCaution());

    private LevelRules() {}

    /** What there is to say about a run, worst first. */
    public static List<Finding> check(LevelPlan plan, Advice advice) {
        return Finding.worstFirst(
                ALL.stream().flatMap(rule -> rule.check(plan, advice).stream()).toList());
    }

    static Place at(int station) {
        return new Place.Station(station);
    }

    /** Which stage, so that one among many is found: "Mixer, channel 1". */
    static String words(LevelPlan plan, StageLevel stage) {
        Station station = plan.station(stage);
        String label = stage.stage().label();
        return station.isJoint() || station.name().equals(label) ? label : station.name() + ", " + label;
    }

    static Figure decibels(double value) {
        return new Figure(value, "dB");
    }

    static Optional<Finding> found(
            FindingCode code,
            Severity severity,
            int station,
            Figure figure,
            String title,
            String text,
            Optional<Remedy> remedy) {
        return Optional.of(new Finding(code, severity, at(station), figure, title, text, remedy));
    }
}
