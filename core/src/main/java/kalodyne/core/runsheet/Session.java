package kalodyne.core.runsheet;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import kalodyne.core.gear.Names;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;

/**
 * One time that a run sheet was gone through, with the rig as it then was.
 *
 * @param name "Session 3"
 * @param begun when it was begun
 * @param isOver whether its owner closed it
 * @param ticks what was done, in the order in which it was
 * @param wiring what was plugged
 * @param settings where the knobs stood
 */
@RecordBuilder
public record Session(String name, Instant begun, boolean isOver, List<Tick> ticks, Wiring wiring, Settings settings)
        implements SessionBuilder.With {
    public Session {
        name = Names.checked(name);
        ticks = List.copyOf(ticks);
    }

    public Optional<Tick> tick(String step) {
        return ticks.stream().filter(tick -> tick.step().equals(step)).findFirst();
    }

    /** With a step that went so now, last in the order; what was noted of it stays. */
    public Session with(Step step, Tick.Outcome outcome, Instant at) {
        Tick tick = tick(step.id())
                .orElseGet(() -> new Tick(step.id(), step.title(), outcome, at, "", List.of()))
                .with(outcome, at)
                .withTitle(step.title());
        List<Tick> more = new ArrayList<>(ticks);
        more.removeIf(each -> each.step().equals(step.id()));
        more.add(tick);
        return withTicks(more);
    }

    /** With what is kept of a step changed; one of which nothing is kept is open. */
    public Session changing(Step step, Instant at, UnaryOperator<Tick> change) {
        return tick(step.id()).isPresent()
                ? withTicks(ticks.stream()
                        .map(tick -> tick.step().equals(step.id()) ? change.apply(tick) : tick)
                        .toList())
                : with(step, Tick.Outcome.OPEN, at).changing(step, at, change);
    }

    /** With the rig as it is now. */
    public Session with(Wiring newWiring, Settings newSettings) {
        return with().wiring(newWiring).settings(newSettings).build();
    }

    /** How everything stood. */
    public RigSnapshot stand() {
        return RigSnapshot.of(wiring, settings);
    }

    public Session over() {
        return withIsOver(true);
    }
}
