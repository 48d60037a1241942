package kalodyne.core.hearing.players;

import kalodyne.core.gear.DeviceKind;

/** Somebody who plays a piece over and over, the same every time. */
public interface Player {
    /**
     * Plays the piece once.
     *
     * @param dynamics 1 for how it is meant; more makes soft notes softer against the loud ones, less evens them out
     * @return at any level
     */
    double[] play(int sampleRateHz, double dynamics);

    /** Who plays on a device of a kind. */
    static Player of(DeviceKind kind) {
        return switch (kind) {
            case DRUM_MACHINE -> new DrumBox();
            case INSTRUMENT -> new BowedString();
            case MICROPHONE, PIANO, WIRELESS -> new Reeds();
            case TURNTABLE, PHONE, TABLET, CAMERA, COMPUTER, RECORDER -> new Speaker();
            default -> new BassSynth();
        };
    }
}
