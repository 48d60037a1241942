package kalodyne.core.gear;

/** What somebody calls a device. */
public enum DeviceKind implements Coded {
    INSTRUMENT("instrument", "Instruments"),
    MICROPHONE("microphone", "Microphones"),
    SYNTH("synth", "Synths"),
    DRUM_MACHINE("drum machine", "Drum machines"),
    PIANO("piano", "Pianos"),
    TURNTABLE("turntable", "Turntables"),
    DJ("DJ gear", "DJ gear"),
    MIXER("mixer", "Mixers"),
    PREAMP("preamp", "Preamps"),
    BOX("box", "Boxes"),
    WIRELESS("wireless", "Wireless"),
    INTERFACE("interface", "Interfaces"),
    RECORDER("recorder", "Recorders"),
    PHONE("phone", "Phones"),
    TABLET("tablet", "Tablets"),
    COMPUTER("computer", "Computers"),
    CAMERA("camera", "Cameras"),
    SPEAKER("speaker", "Speakers"),
    HEADPHONES("headphones", "Headphones"),
    HUB("hub or power", "Hubs and power"),
    MIDI("MIDI", "MIDI");

    private final String word;
    private final String plural;

    DeviceKind(String word, String plural) {
        this.word = word;
        this.plural = plural;
    }

    /** As a heading above several. */
    public String plural() {
        return plural;
    }

    /** What it is for, as a heading above several kinds. */
    public String purpose() {
        return switch (this) {
            case INSTRUMENT, MICROPHONE, SYNTH, DRUM_MACHINE, PIANO, TURNTABLE, DJ -> "To play and to sing";
            case MIXER, PREAMP, BOX, WIRELESS -> "To mix, amplify and match";
            case INTERFACE, RECORDER, PHONE, TABLET, COMPUTER, CAMERA -> "To record with";
            case SPEAKER, HEADPHONES -> "To listen with";
            case HUB, MIDI -> "For power and control";
        };
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
