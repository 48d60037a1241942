package kalodyne.core.units;

/** A text that is not a quantity of the kind asked for. Carries what is wrong and how to write it. */
public final class UnreadableQuantity extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String problem;
    private final String remedy;

    public UnreadableQuantity(String problem, String remedy) {
        super(problem + " " + remedy);
        this.problem = problem;
        this.remedy = remedy;
    }

    /** What is wrong, as a sentence. */
    public String problem() {
        return problem;
    }

    /** What to write instead, as a sentence. */
    public String remedy() {
        return remedy;
    }
}
