package kalodyne.core.joint.circuit;

/**
 * Something to be read from a solution, such as "vdb(out)".
 *
 * @param kind what of it
 * @param first a node, or for a current a voltage source
 * @param second the node that a voltage is told against; the ground for most
 */
public record Probe(Kind kind, String first, String second) {
    /** What is read. */
    public enum Kind {
        VOLTAGE("v"),
        MAGNITUDE("vm"),
        DECIBELS("vdb"),
        PHASE("vp"),
        CURRENT("i");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        String word() {
            return word;
        }
    }

    /** As it was asked for: "vdb(out)", "v(hot,cold)", "i(v1)". */
    public String write() {
        boolean isAgainstGround = kind == Kind.CURRENT || second.equals(Circuit.GROUND);
        return kind.word + "(" + first + (isAgainstGround ? "" : "," + second) + ")";
    }

    /** A voltage or current as it is; of the others, magnitude, dB or degrees as the real part. */
    public Complex read(Solution solution) {
        Complex value = kind == Kind.CURRENT ? solution.current(first) : solution.voltage(first, second);
        return switch (kind) {
            case VOLTAGE, CURRENT -> value;
            case MAGNITUDE -> new Complex(value.magnitude(), 0);
            case DECIBELS -> new Complex(value.db(), 0);
            case PHASE -> new Complex(value.phaseDegrees(), 0);
        };
    }
}
