package kalodyne.core.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Remedy;
import kalodyne.core.run.Run;

/**
 * Where all controls of a run should stand.
 *
 * @param settings in the order of the signal
 * @param obstacle what is in the way, where even these settings miss the aim
 */
public record Advice(List<Setting> settings, Optional<Obstacle> obstacle) {
    public Advice {
        settings = List.copyOf(settings);
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
    public Map<String, Double> turns() {
        Map<String, Double> turns = new LinkedHashMap<>();
        moving().forEach(setting -> turns.put(setting.name(), setting.advised().position()));
        return turns;
    }

    /** What to do, to be read and to be applied: "Turn the gain on Interface from 10:45 to 8:45"; nothing if all stays. */
    public Optional<Remedy> remedy() {
        List<String> ways = moving().stream().map(Setting::way).toList();
        return ways.isEmpty()
                ? Optional.empty()
                : Optional.of(new Remedy("Turn " + String.join(" and ", ways), turns()));
    }

    /** The setting of a control of the run. */
    public Optional<Setting> of(String name) {
        return settings.stream().filter(setting -> setting.name().equals(name)).findFirst();
    }

    /** The run as it is when the advice is followed. */
    public Run followedOn(Run run) {
        return run.turned(turns());
    }
}
