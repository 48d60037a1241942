package kalodyne.core.recording;

/** An input that cannot be used, or no longer. */
public final class LostInput extends Exception {
    private static final long serialVersionUID = 1;

    /**
     * Says what is the matter and what to do.
     *
     * @param problem a sentence
     * @param remedy a sentence
     */
    public LostInput(String problem, String remedy) {
        super(problem + " " + remedy);
    }
}
