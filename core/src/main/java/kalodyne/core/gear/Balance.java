package kalodyne.core.gear;

/** How a socket treats its two signal contacts. */
public enum Balance implements Coded {
    UNBALANCED("unbalanced"),
    BALANCED("balanced"),
    IMPEDANCE_BALANCED("impedance balanced"),
    FLOATING("floating"),
    TRANSFORMER("transformer");

    private final String word;

    Balance(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
