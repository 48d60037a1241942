package kalodyne.core.levels.gain;

import kalodyne.core.units.Gain;

/**
 * What one point gives to another.
 *
 * @param from index of the point that gives, before the one that is fed
 * @param gain on the way, at 1 kHz
 * @param rise how much more it is at a resonance of the way; 0 or more
 * @param isInverted whether it arrives upside down
 */
public record Feed(int from, Gain gain, Gain rise, boolean isInverted) {
    public static Feed of(int from, double db) {
        return new Feed(from, new Gain(db), Gain.NONE, false);
    }

    public Feed plus(Gain more) {
        return new Feed(from, gain.plus(more), rise, isInverted);
    }

    double ratio() {
        return isInverted ? -gain.ratio() : gain.ratio();
    }
}
