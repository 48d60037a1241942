package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.joint.Spot;

/**
 * Finds where all controls of a flow should stand, and says what is in the way where not everything wanted can be had.
 * Positions are moved to a quarter hour, what a hand can set, where that keeps the aims and clips nothing.
 */
public final class GainAdviser {
    private final Flow flow;
    private final Solver solver;

    private GainAdviser(Flow flow, Wanted wanted) {
        this.flow = flow;
        this.solver = new Solver(flow, wanted);
    }

    public static Advised advise(Flow flow, Wanted wanted) {
        Map<Spot, Turn> turns = new HashMap<>();
        List<Hindrance> hindrances = new ArrayList<>();
        boolean isProven = true;
        for (Flow part : flow.parted()) {
            Advised advised = new GainAdviser(part, wanted).advise();
            advised.turns().forEach(turn -> turns.put(turn.present().id(), turn));
            hindrances.addAll(advised.hindrances());
            isProven &= advised.isProven();
        }
        List<Turn> inOrder = flow.knobs().stream()
                .map(knob -> turns.getOrDefault(
                        knob.id(), new Turn(knob, knob.control().position())))
                .toList();
        return new Advised(inOrder, hindrances, isProven);
    }

    /** The same for that part only which hangs together with a point. */
    public static Advised adviseAround(Flow flow, Wanted wanted, int point) {
        PointId id = flow.points().get(point).id();
        return flow.parted().stream()
                .filter(part -> part.indexOf(id).isPresent())
                .findFirst()
                .map(part -> new GainAdviser(part, wanted).advise())
                .orElseThrow();
    }

    /** What each control should add to the last digit, by its mark, in dB: before anything is moved to a quarter hour. */
    static Map<Spot, Double> exact(Flow flow, Wanted wanted) {
        Map<Spot, Double> exact = new HashMap<>();
        for (Flow part : flow.parted()) {
            double[] turns = new Solver(part, wanted).solve().turns();
            for (int k = 0; k < turns.length; k++) {
                exact.put(part.knobs().get(k).id(), turns[k]);
            }
        }
        return exact;
    }

    private Advised advise() {
        Solver.Solved solved = solver.solve();
        double[] positions = new QuarterHours(flow, solver, solved.turns()).positions();
        List<Turn> turns = new ArrayList<>();
        Map<Spot, Double> byMark = new HashMap<>();
        for (int k = 0; k < positions.length; k++) {
            Knob knob = flow.knobs().get(k);
            turns.add(new Turn(knob, positions[k]));
            byMark.put(knob.id(), positions[k]);
        }
        return new Advised(turns, solver.misses(FlowLevels.of(flow.turned(byMark))), solved.isProven());
    }
}
