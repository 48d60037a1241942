package kalodyne.core.gear;

/** What somebody calls a lead. */
public enum LeadKind implements Coded {
    LEAD("lead", "Leads"),
    ADAPTER("adapter", "Adapters"),
    SPLITTER("splitter", "Splitters"),
    SUMMING("summing lead", "Summing and attenuating leads"),
    BOX("in-line box", "In-line boxes");

    private final String word;
    private final String plural;

    LeadKind(String word, String plural) {
        this.word = word;
        this.plural = plural;
    }

    /** As a heading above several. */
    public String plural() {
        return plural;
    }

    @Override
    public String word() {
        return word;
    }
}
