package kalodyne.core.gear;

/** What a socket can feed, or be fed, beside the signal. */
public enum PowerKind implements Coded {
    PHANTOM("phantom"),
    PLUG_IN("plug-in power"),
    BUS("bus power");

    private final String word;

    PowerKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
