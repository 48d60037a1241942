package kalodyne.core.levels.gain;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Remedy;
import kalodyne.core.joint.Spot;

/**
 * Where the controls of a flow should stand.
 *
 * @param turns of all controls, in the order of the flow
 * @param hindrances what is in the way, where not everything wanted can be had
 * @param isProven whether nothing better is possible, but for the rounding to what a hand sets
 */
public record Advised(List<Turn> turns, List<Hindrance> hindrances, boolean isProven) {
    public Advised {
        turns = List.copyOf(turns);
        hindrances = List.copyOf(hindrances);
    }

    public boolean isFollowed() {
        return turns.stream().allMatch(Turn::stays);
    }

    /** The advised positions of the controls that should move, by their marks. */
    public Map<Spot, Double> positions() {
        Map<Spot, Double> positions = new LinkedHashMap<>();
        turns.stream()
                .filter(turn -> !turn.stays())
                .forEach(turn -> positions.put(turn.present().id(), turn.position()));
        return positions;
    }

    /** As findings have them, which know no gear. */
    public static Map<String, Double> byMark(Map<Spot, Double> positions) {
        Map<String, Double> byMark = new LinkedHashMap<>();
        positions.forEach((control, position) -> byMark.put(control.write(), position));
        return byMark;
    }

    public Optional<Turn> of(Spot knobId) {
        return turns.stream().filter(turn -> turn.present().id().equals(knobId)).findFirst();
    }

    public Flow followedOn(Flow flow) {
        return flow.turned(positions());
    }

    /** What to do, to be read and to be applied; nothing if all stays. */
    public Optional<Remedy> remedy() {
        List<String> words =
                turns.stream().filter(turn -> !turn.stays()).map(Turn::words).toList();
        return words.isEmpty()
                ? Optional.empty()
                : Optional.of(new Remedy("Turn " + String.join(" and ", words), byMark(positions())));
    }
}
