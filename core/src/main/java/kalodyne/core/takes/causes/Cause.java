package kalodyne.core.takes.causes;

import java.util.Map;
import java.util.Set;

/**
 * Something that can be the cause of a complaint.
 *
 * @param id stable, for other programs: "ground-loop"
 * @param name a few words
 * @param says how it comes about, a sentence
 * @param usual how often it is this, compared with the other causes
 * @param needs circumstances without which it cannot be
 * @param given by what each circumstance makes it likelier, or less likely below 1
 * @param shows how likely each symptom is where this is the cause; one half where it is not named
 * @param predicts what one would find, a sentence
 * @param cure what to do, a sentence or two
 */
public record Cause(
        String id,
        String name,
        String says,
        double usual,
        Set<String> needs,
        Map<String, Double> given,
        Map<String, Double> shows,
        String predicts,
        String cure) {
    public Cause {
        needs = Set.copyOf(needs);
        given = Map.copyOf(given);
        shows = Map.copyOf(shows);
    }

    /** How likely it is before anything was tried: by the rig and by what shows. Compared with others only. */
    double weight(Known circumstances, Known symptoms) {
        if (needs.stream().anyMatch(circumstances::isNot)) {
            return 0;
        }
        double weight = usual;
        for (Map.Entry<String, Double> each : given.entrySet()) {
            weight *= circumstances.is(each.getKey()) ? each.getValue() : 1;
        }
        for (Map.Entry<String, Double> each : shows.entrySet()) {
            double chance = each.getValue();
            weight *= symptoms.is(each.getKey()) ? chance : symptoms.isNot(each.getKey()) ? 1 - chance : 1;
        }
        return weight;
    }
}
