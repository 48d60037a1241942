package kalodyne.core.levels.listening;

import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;

/**
 * The way from a microphone through everything to a loudspeaker and through the air back: it howls where it comes back as loud as
 * it was.
 *
 * @param gain once round
 */
public record Howling(Gain gain) {
    /** Closer than this it rings and colours; common practice. */
    public static final double RINGS_DB = -6;

    /**
     * Of a microphone in the open, in front of a loudspeaker.
     *
     * @param microphone what it gives
     * @param through what becomes of that on the way to the loudspeaker
     * @param zero the level there that gives 0 dB SPL at the microphone
     */
    public static Howling of(MicSensitivity microphone, Gain through, Level zero) {
        Level atPascal = microphone.atPascal().plus(through);
        double heard = atPascal.dbu() - zero.dbu();
        return new Howling(new Gain(heard - MicSensitivity.PASCAL_DB_SPL));
    }

    public boolean howls() {
        return gain.db() >= 0;
    }

    public boolean rings() {
        return gain.db() >= RINGS_DB;
    }
}
