package kalodyne.core.findings;

/** How bad a finding is, worst first. */
public enum Severity {
    /** Something or somebody can be hurt. */
    HARM("harm"),
    /** The recording will not be what was wanted. */
    WRONG("wrong"),
    /** It works, but worse than it could. */
    WEAK("weak"),
    /** Worth knowing. */
    NOTE("note");

    private final String word;

    Severity(String word) {
        this.word = word;
    }

    /** The word in the interface and in JSON. */
    public String word() {
        return word;
    }
}
