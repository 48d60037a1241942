package kalodyne.core.levels.gain;

import kalodyne.core.units.Gain;
import kalodyne.core.units.SignalLevels;

/**
 * What comes into a flow, at the point that it comes in at and before that point's control.
 *
 * @param player who makes it: all that one player gives belongs together and adds up as voltages
 * @param isPlayback whether a converter plays back what was recorded, and nobody plays it now
 * @param levels not silent
 * @param spread how far the true peak may lie from this one, up or down: 0 or more
 */
public record Sound(String player, boolean isPlayback, SignalLevels levels, Gain spread) {
    public Sound {
        if (levels.average().isSilence()) {
            throw new IllegalArgumentException("a sound needs an average above silence");
        }
    }

    private static final String PLAYBACK = " playback";

    /** What is played. */
    public static Sound played(String player, SignalLevels levels, Gain spread) {
        return new Sound(player, false, levels, spread);
    }

    /** What a device plays back, which has nothing to do with what it may sound by itself. */
    public static Sound playedBack(String device, SignalLevels levels) {
        return new Sound(device + PLAYBACK, true, levels, Gain.NONE);
    }

    /** The device that a player is, or plays back. */
    public static String deviceOf(String player) {
        return isPlayback(player) ? player.substring(0, player.length() - PLAYBACK.length()) : player;
    }

    /** Whether that is what a device plays back. */
    public static boolean isPlayback(String player) {
        return player.endsWith(PLAYBACK);
    }

    /** The same found to be louder. */
    public Sound louderBy(Gain gain) {
        return new Sound(player, isPlayback, levels.louderBy(gain), spread);
    }
}
