package kalodyne.core.gear;

/** What somebody calls a device. */
public enum DeviceKind implements Coded {
    INSTRUMENT("instrument"),
    MICROPHONE("microphone"),
    SYNTH("synth"),
    DRUM_MACHINE("drum machine"),
    PIANO("piano"),
    TURNTABLE("turntable"),
    DJ("DJ gear"),
    MIXER("mixer"),
    PREAMP("preamp"),
    BOX("box"),
    INTERFACE("interface"),
    RECORDER("recorder"),
    PHONE("phone"),
    TABLET("tablet"),
    COMPUTER("computer"),
    CAMERA("camera"),
    WIRELESS("wireless"),
    HUB("hub or power"),
    MIDI("MIDI"),
    SPEAKER("speaker"),
    HEADPHONES("headphones");

    private final String word;

    DeviceKind(String word) {
        this.word = word;
    }

    /** Whether others hang on it by USB and it records what they send. */
    public boolean isHost() {
        return this == COMPUTER || isHandheld();
    }

    /** Whether it runs apps from a shop, and loads no drivers. */
    public boolean isHandheld() {
        return this == PHONE || this == TABLET;
    }

    /** Whether it keeps what it records, and needs nothing behind it for that. */
    public boolean keepsRecordings() {
        return isHost() || this == RECORDER || this == CAMERA;
    }

    @Override
    public String word() {
        return word;
    }
}
