package kalodyne.core.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Remedy;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Advised;
import kalodyne.core.levels.gain.Hindrance;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Turn;

/**
 * Where the controls along a run should stand.
 *
 * @param settings in the order of the signal
 * @param obstacle what is in the way, where even these settings miss the aim
 */
public record Advice(List<Setting> settings, Optional<Hindrance> obstacle) {
    public Advice {
        settings = List.copyOf(settings);
    }

    /** What is advised for all that is plugged, as far as it is about one run. */
    public static Advice of(LevelPlan plan, Advised advised) {
        List<Setting> settings = plan.knobs().stream()
                .flatMap(knob -> advised.of(knob.id()).stream())
                .map(Advice::setting)
                .toList();
        List<PointId> points = plan.trace().path().points().stream()
                .map(index -> plan.flow().points().get(index).id())
                .toList();
        return new Advice(
                settings,
                advised.hindrances().stream()
                        .filter(each -> each.end().isEmpty()
                                ? points.contains(each.point())
                                : each.end().equals(plan.end().name()))
                        .findFirst());
    }

    private static Setting setting(Turn turn) {
        return new Setting(
                turn.present().id(),
                turn.present().owner(),
                turn.present().control(),
                turn.advised().control(),
                turn.present().isLocked());
    }

    /** Whether the controls already stand as advised. */
    public boolean isFollowed() {
        return settings.stream().allMatch(Setting::stays);
    }

    /** What should move. */
    private List<Setting> moving() {
        return settings.stream().filter(setting -> !setting.stays()).toList();
    }

    /** The advised positions of the controls that should move. */
    public Map<Spot, Double> turns() {
        Map<Spot, Double> turns = new LinkedHashMap<>();
        moving().forEach(setting ->
                turns.put(setting.control(), setting.advised().position()));
        return turns;
    }

    /** What to do, to be read and to be applied: "Turn the gain on Interface from 10:45 to 8:45"; nothing if all stays. */
    public Optional<Remedy> remedy() {
        List<String> ways = moving().stream().map(Setting::way).toList();
        return ways.isEmpty()
                ? Optional.empty()
                : Optional.of(new Remedy("Turn " + String.join(" and ", ways), Advised.byMark(turns())));
    }

    /** The setting of a control of the run. */
    public Optional<Setting> of(Spot control) {
        return settings.stream()
                .filter(setting -> setting.control().equals(control))
                .findFirst();
    }
}
