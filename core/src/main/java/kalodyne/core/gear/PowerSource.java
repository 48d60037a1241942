package kalodyne.core.gear;

/** What a device can run on. */
public enum PowerSource implements Coded {
    MAINS_EARTHED("mains, earthed"),
    MAINS_UNEARTHED("mains, not earthed"),
    ADAPTER_EARTHED("adapter, earthed"),
    ADAPTER_UNEARTHED("adapter, not earthed"),
    BATTERY("battery"),
    BUS("bus power"),
    PHANTOM("phantom"),
    PLUG_IN("plug-in power");

    private final String word;

    PowerSource(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
