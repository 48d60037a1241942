package kalodyne.core.gear;

/** What a contact of a socket carries. */
public enum Carries implements Coded {
    HOT("hot"),
    COLD("cold"),
    SHIELD("shield"),
    SIGNAL("signal"),
    COMMON("common"),
    LEFT("left"),
    RIGHT("right"),
    MIC("mic"),
    SEND("send"),
    RETURN("return"),
    MIDI_SOURCE("MIDI source"),
    MIDI_SINK("MIDI sink"),
    POSITIVE("positive"),
    NEGATIVE("negative"),
    DATA("data"),
    POWER("power"),
    GROUND("ground"),
    EARTH("earth"),
    LIVE("live"),
    NEUTRAL("neutral"),
    LIGHT("light"),
    RADIO("radio"),
    NOTHING("nothing");

    private final String word;

    Carries(String word) {
        this.word = word;
    }

    /** Whether a current only comes back by it. */
    public boolean isGround() {
        return this == SHIELD || this == COMMON || this == GROUND || this == NEGATIVE || this == EARTH;
    }

    @Override
    public String word() {
        return word;
    }
}
