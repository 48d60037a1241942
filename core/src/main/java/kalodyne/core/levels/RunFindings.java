package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Stage;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.rig.Rig;

/** What is noticed on a run of what is plugged, as it is collected. */
abstract class RunFindings {
    final Rig rig;
    final LevelPlan plan;
    private final List<Finding> findings = new ArrayList<>();

    RunFindings(Rig rig, LevelPlan plan) {
        this.rig = rig;
        this.plan = plan;
    }

    List<Finding> findings() {
        return findings;
    }

    /** Adds one; an empty text for no remedy. */
    final void add(
            FindingCode code, Severity severity, int station, Figure figure, String title, String text, String remedy) {
        add(
                code,
                severity,
                station,
                figure,
                title,
                text,
                Optional.of(remedy).filter(words -> !words.isEmpty()).map(Remedy::byHand));
    }

    final void add(
            FindingCode code,
            Severity severity,
            int station,
            Figure figure,
            String title,
            String text,
            Optional<Remedy> remedy) {
        LevelRules.found(code, severity, station, figure, title, text, remedy).ifPresent(findings::add);
    }

    /** The station that a device is, where the run goes through it. */
    final Optional<Integer> station(String mark) {
        return plan.trace().stations().stream()
                .filter(station -> plan.trace()
                        .marks()
                        .get(station.index())
                        .filter(mark::equals)
                        .isPresent())
                .map(Station::index)
                .findFirst();
    }

    /** The stage that a point stands for; empty where it is none. */
    final Optional<Stage> stage(Point point) {
        return device(point).stream()
                .flatMap(device -> device.stages().stream())
                .filter(stage -> stage.id().equals(point.id().spot().part()))
                .findFirst();
    }

    final Optional<Device> device(Point point) {
        return Optional.ofNullable(rig.patch().devices().get(point.station()));
    }
}
