package kalodyne.core.gear;

/** How a socket treats its two signal contacts. */
public enum Balance implements Coded {
    UNBALANCED("unbalanced"),
    BALANCED("balanced"),
    /** An input of one operational amplifier, as in simple mixers: with its second leg open it loses half. */
    ONE_AMPLIFIER("balanced, one amplifier"),
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
