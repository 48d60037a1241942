package kalodyne.core.levels.run;

/** What an input socket is made for. */
public enum InputKind {
    LINE("line"),
    INSTRUMENT("instrument"),
    MIC("mic");

    private final String word;

    InputKind(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
