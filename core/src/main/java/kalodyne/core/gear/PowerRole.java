package kalodyne.core.gear;

/** What a socket has to do with such power. */
public enum PowerRole implements Coded {
    GIVES("gives"),
    NEEDS("needs"),
    TOLERATES("tolerates"),
    HARMED("harmed");

    private final String word;

    PowerRole(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
