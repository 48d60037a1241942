package kalodyne.core.route;

import java.util.Set;

/**
 * What somebody wants beside the recording.
 *
 * @param inTempo whether a source and the recorder keep one tempo by MIDI clock
 * @param charging whether the recorder is charged meanwhile
 * @param also what else is captured
 * @param isBeside whether all that is plugged already stays so, but for the sources
 * @param budget how dear a thing may be that is not owned
 */
public record Extras(boolean inTempo, boolean charging, Set<Also> also, boolean isBeside, Budget budget) {
    public static final Extras NONE = new Extras(false, false, Set.of(), false, Budget.ANY);

    public Extras {
        also = Set.copyOf(also);
    }

    public Extras withInTempo(boolean newInTempo) {
        return new Extras(newInTempo, charging, also, isBeside, budget);
    }

    public Extras withCharging(boolean newCharging) {
        return new Extras(inTempo, newCharging, also, isBeside, budget);
    }

    public Extras withAlso(Set<Also> newAlso) {
        return new Extras(inTempo, charging, newAlso, isBeside, budget);
    }

    public Extras withBeside(boolean newBeside) {
        return new Extras(inTempo, charging, also, newBeside, budget);
    }

    public Extras withBudget(Budget newBudget) {
        return new Extras(inTempo, charging, also, isBeside, newBudget);
    }
}
