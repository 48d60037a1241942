package kalodyne.core.joint.circuit;

import java.util.stream.IntStream;

/**
 * Which frequencies a circuit is solved at.
 *
 * @param spacing how they lie
 * @param points in all, per decade or per octave
 * @param from first, in Hz
 * @param to last, in Hz
 */
record Sweep(Spacing spacing, int points, double from, double to) {
    private static final int MOST = 100_000;

    /** How frequencies lie. */
    enum Spacing {
        LIN,
        DEC,
        OCT
    }

    /**
     * All of them, as ngspice has them: as many whole steps as fit; those of decades are stretched so that the last one ends at
     * the end.
     */
    double[] frequencies() throws NetlistProblem {
        if (!(points >= 1 && from >= 0 && to >= from && (spacing == Spacing.LIN || from > 0))) {
            throw new NetlistProblem(
                    "These frequencies do not go upwards from " + (spacing == Spacing.LIN ? "0" : "above 0") + ".",
                    "Write for example .ac dec 10 20 20k.");
        }
        int steps = steps();
        if (steps >= MOST) {
            throw new NetlistProblem("These are more than " + MOST + " frequencies.", "Ask for fewer points.");
        }
        if (steps == 0) {
            return new double[] {from};
        }
        return IntStream.rangeClosed(0, steps)
                .mapToDouble(i -> switch (spacing) {
                    case LIN -> from + (to - from) * i / steps;
                    case DEC -> from * Math.pow(to / from, (double) i / steps);
                    case OCT -> from * Math.pow(2, (double) i / points);
                })
                .toArray();
    }

    private int steps() {
        double steps = switch (spacing) {
            case LIN -> points - 1.0;
            case DEC -> Math.log(to / from) / Math.log(10) * points;
            case OCT -> Math.log(to / from) / Math.log(2) * points;
        };
        // A hair below a whole number is that number.
        return (int) Math.min(Integer.MAX_VALUE, Math.floor(steps + 1e-9));
    }
}
