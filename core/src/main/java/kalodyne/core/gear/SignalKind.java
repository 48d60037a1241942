package kalodyne.core.gear;

/** What kind of signal a socket is made for. */
public enum SignalKind implements Coded {
    MIC("mic"),
    INSTRUMENT("instrument"),
    LINE("line"),
    PHONO("phono"),
    HEADPHONE("headphone"),
    SPEAKER("speaker"),
    HEADSET("headset"),
    DIGITAL("digital"),
    MIDI("MIDI"),
    CONTROL("control"),
    POWER("power"),
    EARTH("earth");

    private final String word;

    SignalKind(String word) {
        this.word = word;
    }

    /** Whether it is a sound as a voltage: not data, not power. */
    public boolean isSound() {
        return switch (this) {
            case MIC, INSTRUMENT, LINE, PHONO, HEADPHONE, SPEAKER, HEADSET -> true;
            case DIGITAL, MIDI, CONTROL, POWER, EARTH -> false;
        };
    }

    @Override
    public String word() {
        return word;
    }
}
