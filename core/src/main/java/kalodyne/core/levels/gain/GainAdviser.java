package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import kalodyne.core.joint.Spot;

/**
 * Finds where all controls of a flow should stand, and says what is in the way where not everything wanted can be had. What is
 * recorded is set first; what is heard is then set by the controls that nothing recorded depends on, subwoofers by the speakers. Positions are moved to a
 * quarter hour, what a hand can set, where that keeps the aims and clips nothing.
 */
public final class GainAdviser {
    private final Flow flow;
    private final Wanted wanted;
    private final Function<Solver, Solver.Solved> solving;
    private final Function<QuarterHours, double[]> placing;
    private final Map<Spot, Double> set = new HashMap<>();
    private final List<Hindrance> hindrances = new ArrayList<>();
    private boolean isProven = true;

    private GainAdviser(
            Flow flow,
            Wanted wanted,
            Function<Solver, Solver.Solved> solving,
            Function<QuarterHours, double[]> placing) {
        this.flow = flow;
        this.wanted = wanted;
        this.solving = solving;
        this.placing = placing;
        settle(flow.leadingTo(End.Kind.TRACK));
        settle(asSet(flow.leadingTo(End.Kind.EARS)));
        settle(asSet(Subwoofers.beside(flow, flow.turned(set))));
    }

    /** What is set already stays. */
    private Flow asSet(Flow some) {
        return some.withKnobs(
                knob -> set.containsKey(knob.id()) ? knob.at(set.get(knob.id())).locked(true) : knob);
    }

    public static Advised advise(Flow flow, Wanted wanted) {
        GainAdviser adviser = new GainAdviser(flow, wanted, Solver::solve, QuarterHours::positions);
        // A pan pot is one control, though it acts on both of its sides.
        Set<Spot> told = new HashSet<>();
        List<Turn> turns = flow.knobs().stream()
                .filter(knob -> told.add(knob.id()))
                .map(knob -> new Turn(
                        knob, adviser.set.getOrDefault(knob.id(), knob.control().position())))
                .toList();
        return new Advised(turns, adviser.hindrances, adviser.isProven);
    }

    /** The same for that part only which hangs together with a point. */
    public static Advised adviseAround(Flow flow, Wanted wanted, int point) {
        PointId id = flow.points().get(point).id();
        return flow.parted().stream()
                .filter(part -> part.indexOf(id).isPresent())
                .findFirst()
                .map(part -> advise(part, wanted))
                .orElseThrow();
    }

    /** With the least noise that the aims and ceilings allow, whatever practice says, to the last digit. */
    public static Flow quietest(Flow flow, Wanted wanted) {
        GainAdviser adviser = new GainAdviser(flow, wanted, Solver::quietest, QuarterHours::exact);
        return flow.turned(adviser.set);
    }

    /** The same to the last digit: before anything is moved to a quarter hour. */
    static Flow exact(Flow flow, Wanted wanted) {
        GainAdviser adviser = new GainAdviser(flow, wanted, Solver::solve, QuarterHours::exact);
        return flow.turned(adviser.set);
    }

    private void settle(Flow some) {
        for (Flow part : some.parted()) {
            Solver solver = new Solver(part, wanted);
            Solver.Solved solved = solving.apply(solver);
            double[] positions = placing.apply(new QuarterHours(part, solver, solved.turns()));
            Map<Spot, Double> byMark = new HashMap<>();
            for (int k = 0; k < positions.length; k++) {
                Knob knob = part.knobs().get(k);
                set.putIfAbsent(knob.id(), knob.at(positions[k]).control().position());
                byMark.put(knob.id(), positions[k]);
            }
            solver.misses(FlowLevels.of(part.turned(byMark))).forEach(each -> hindrances.add(asOwned(each)));
            isProven &= solved.isProven();
        }
    }

    /** What was only held for the sake of the recording, nobody locked. */
    private Hindrance asOwned(Hindrance hindrance) {
        return new Hindrance(
                hindrance.kind(),
                hindrance.point(),
                hindrance.end(),
                hindrance.by(),
                hindrance.limits().stream()
                        .map(knob -> flow.knob(knob.id()).orElse(knob))
                        .toList());
    }
}
