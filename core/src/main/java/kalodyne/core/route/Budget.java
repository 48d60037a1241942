package kalodyne.core.route;

/** How dear a thing may be that is not owned. */
public enum Budget {
    NOTHING("nothing"),
    LEAD("a lead or adapter at most"),
    BOX("a small box at most"),
    ANY("whatever it takes");

    private final String words;

    Budget(String words) {
        this.words = words;
    }

    /** As it stands in a sentence: "a lead or adapter at most". */
    public String words() {
        return words;
    }

    boolean allows(Missing.Price price) {
        return switch (price) {
            case A -> this != NOTHING;
            case B -> this == BOX || this == ANY;
            case C -> this == ANY;
        };
    }
}
