package kalodyne.core.levels.gain;

import java.util.Map;

/**
 * How the controls should be set.
 *
 * @param school where the gain is made
 * @param balanceDb how much louder than the others each player should be in a mix, in dB; those that are left out, as loud
 */
public record Wanted(GainSchool school, Map<String, Double> balanceDb) {
    public static final Wanted USUAL = new Wanted(GainSchool.STRONG_SOURCE, Map.of());

    public Wanted {
        balanceDb = Map.copyOf(balanceDb);
    }

    public Wanted with(GainSchool newSchool) {
        return new Wanted(newSchool, balanceDb);
    }
}
