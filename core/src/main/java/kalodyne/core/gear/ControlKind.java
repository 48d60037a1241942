package kalodyne.core.gear;

/** What a control of a device is for. */
public enum ControlKind implements Coded {
    GAIN("gain"),
    TRIM("trim"),
    LEVEL("level"),
    VOLUME("volume"),
    FADER("fader"),
    PAD("pad"),
    PAN("pan"),
    MUTE("mute"),
    INPUT_SELECT("input select"),
    PHANTOM("phantom"),
    DIRECT_MONITOR("direct monitoring"),
    AUTO_LEVEL("automatic level"),
    TONE("tone"),
    POLARITY("polarity"),
    GROUND_LIFT("ground lift"),
    PAIR_SELECT("USB pair select");

    private final String word;

    ControlKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    /** Whether it is there to take a level down, not to make gain. */
    public boolean isVolume() {
        return this == LEVEL || this == VOLUME || this == FADER;
    }
}
