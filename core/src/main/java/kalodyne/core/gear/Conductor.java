package kalodyne.core.gear;

/** What a wire in a lead is. */
public enum Conductor implements Coded {
    CORE("core"),
    SHIELD("shield");

    private final String word;

    Conductor(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
