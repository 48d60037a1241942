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
 * @param turns in the order of the signal
 * @param obstacle what is in the way, where even these settings miss the aim
 */
public record Advice(List<Turn> turns, Optional<Hindrance> obstacle) {
    /** More are not read in a sentence. */
    static final int MOST_NAMED = 3;

    public Advice {
        turns = List.copyOf(turns);
    }

    /** What is advised for all that is plugged, as far as it is about one run. */
    public static Advice of(LevelPlan plan, Advised advised) {
        List<Turn> turns = plan.knobs().stream()
                .flatMap(knob -> advised.of(knob.id()).stream())
                .toList();
        List<PointId> points = plan.trace().path().points().stream()
                .map(index -> plan.flow().points().get(index).id())
                .toList();
        return new Advice(
                turns,
                advised.hindrances().stream()
                        .filter(each -> each.end().isEmpty()
                                ? points.contains(each.point())
                                : each.end().equals(plan.end().name()))
                        .findFirst());
    }

    /** Whether the controls already stand as advised. */
    public boolean isFollowed() {
        return turns.stream().allMatch(Turn::stays);
    }

    /** What should move. */
    private List<Turn> moving() {
        return turns.stream().filter(turn -> !turn.stays()).toList();
    }

    /** The advised positions of the controls that should move. */
    public Map<Spot, Double> positions() {
        Map<Spot, Double> positions = new LinkedHashMap<>();
        moving().forEach(turn -> positions.put(turn.id(), turn.position()));
        return positions;
    }

    /** What to do, to be read and to be applied: "Turn the gain on Interface from 10:45 to 8:45"; nothing if all stays. */
    public Optional<Remedy> remedy() {
        List<String> ways = moving().stream().map(Turn::words).toList();
        return ways.isEmpty()
                ? Optional.empty()
                : Optional.of(new Remedy(
                        ways.size() > MOST_NAMED
                                ? "Set the " + ways.size() + " knobs of this run as advised"
                                : "Turn " + String.join(" and ", ways),
                        Advised.byMark(positions())));
    }

    /** Where a control of the run should stand. */
    public Optional<Turn> of(Spot control) {
        return turns.stream().filter(turn -> turn.id().equals(control)).findFirst();
    }
}
