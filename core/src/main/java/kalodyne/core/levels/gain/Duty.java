package kalodyne.core.levels.gain;

import kalodyne.core.gear.ControlKind;

/** What a control is there for, which decides where practice wants it and how readily it leaves that place. */
public enum Duty {
    /** The gain of a preamp or an input: it makes the level. */
    GAIN,
    /** The gain at the head of a mixer's channel: it makes the level of a microphone, and adds nothing to a line. */
    TRIM,
    /** Fader or level of one channel: it balances. */
    CHANNEL,
    /** Level of a whole mix, or of a device that passes one signal on. */
    MAIN,
    /** Volume of headphones, of loudspeakers, of an output that is listened to. */
    OUTPUT,
    /** Volume of what plays: the stronger it leaves its source, the less later noise counts. */
    SOURCE,
    /** Volume of an electric instrument: a part of its tone, turned down last. */
    TONE,
    /** A pad: it is in or out. */
    SWITCH,
    /** Where in the stereo picture something stands: a wish, and nothing that makes a level. */
    PAN;

    /** As far as its kind tells. */
    public static Duty of(ControlKind kind) {
        return switch (kind) {
            case GAIN -> GAIN;
            case TRIM -> TRIM;
            case FADER -> CHANNEL;
            case LEVEL -> MAIN;
            case VOLUME -> SOURCE;
            case PAN -> PAN;
            default -> SWITCH;
        };
    }
}
