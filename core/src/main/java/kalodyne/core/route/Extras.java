package kalodyne.core.route;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
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
 */
@RecordBuilder
public record Extras(
        boolean inTempo, boolean charging, Set<Also> also, boolean isBeside, List<String> by, Budget budget)
        implements ExtrasBuilder.With {
    public static final Extras NONE = new Extras(false, false, Set.of(), false, List.of(), Budget.ANY);

    public Extras {
        also = Set.copyOf(also);
        by = List.copyOf(by);
    }

    public Extras withBeside(boolean newBeside) {
        return withIsBeside(newBeside);
    }
}
