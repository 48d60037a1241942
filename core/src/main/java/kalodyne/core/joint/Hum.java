package kalodyne.core.joint;

import kalodyne.core.units.Level;

/**
 * Hum that the mains drives into a received signal: an estimate, and between what it lies.
 *
 * @param least with the best of what is not known
 * @param likely as such rigs usually are
 * @param most with the worst of it: outlets far apart, a charger that is plugged in
 * @param isLoop whether it comes of a current between two mains earths; else of what adapters leak
 */
public record Hum(Level least, Level likely, Level most, boolean isLoop) {
    public static final Hum NONE = new Hum(Level.SILENCE, Level.SILENCE, Level.SILENCE, false);
}
