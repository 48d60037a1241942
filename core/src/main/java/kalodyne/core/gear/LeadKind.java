package kalodyne.core.gear;

/** What somebody calls a lead. */
public enum LeadKind implements Coded {
    LEAD("lead"),
    ADAPTER("adapter"),
    SPLITTER("splitter"),
    SUMMING("summing lead"),
    BOX("in-line box");

    private final String word;

    LeadKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
