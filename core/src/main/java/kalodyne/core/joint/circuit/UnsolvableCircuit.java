package kalodyne.core.joint.circuit;

/** A circuit that has no solution, or not one alone: sources that contradict each other, or a current that nothing decides. */
public final class UnsolvableCircuit extends Exception {
    private static final long serialVersionUID = 1L;

    public UnsolvableCircuit(String reason) {
        super(reason);
    }
}
