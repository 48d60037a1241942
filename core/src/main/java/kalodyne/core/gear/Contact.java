package kalodyne.core.gear;

/** A contact of a connector, by the mark that it is known under. */
public enum Contact implements Coded {
    TIP("T"),
    RING("R"),
    RING_1("R1"),
    RING_2("R2"),
    SLEEVE("S"),
    ONE("1"),
    TWO("2"),
    THREE("3"),
    FOUR("4"),
    FIVE("5"),
    PIN("pin"),
    SHELL("shell"),
    PLUS("+"),
    MINUS("-"),
    POWER("power"),
    DATA("data"),
    GROUND("ground"),
    EARTH("earth"),
    LIVE("live"),
    NEUTRAL("neutral"),
    LIGHT("light"),
    AIR("air");

    private final String word;

    Contact(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
