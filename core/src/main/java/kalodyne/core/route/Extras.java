package kalodyne.core.route;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What somebody wants beside the recording.
 *
 * @param inTempo whether a source and the recorder keep one tempo by MIDI clock
 * @param charging whether the recorder is charged meanwhile
 * @param also what else is captured
 * @param isBeside whether all that is plugged already stays so, but for the sources
 * @param by marks of devices that it has to go through: a preamp that one likes
 * @param budget how dear a thing may be that is not owned
 * @param spending the same in one's own money
 */
@RecordBuilder
public record Extras(
        boolean inTempo,
        boolean charging,
        Set<Also> also,
        boolean isBeside,
        List<String> by,
        Budget budget,
        Spending spending)
        implements ExtrasBuilder.With {
    public static final Extras NONE =
            new Extras(false, false, Set.of(), false, List.of(), Budget.ANY, Spending.UNKNOWN);

    public Extras {
        also = Set.copyOf(also);
        by = List.copyOf(by);
    }

    public Extras withBeside(boolean newBeside) {
        return withIsBeside(newBeside);
    }

    /** Whether all that a way needs may be got for it. */
    boolean allows(List<Missing> missing) {
        return spending.allows(missing) && missing.stream().allMatch(each -> budget.allows(each.price()));
    }

    /** The same with whatever it takes. */
    Extras withoutLimit() {
        return withBudget(Budget.ANY).withSpending(spending.withMost(OptionalDouble.empty()));
    }

    boolean isLimited() {
        return budget != Budget.ANY || spending.most().isPresent();
    }
}
