package kalodyne.core.rigmap;

/** How wide words are in the typeface that they are drawn in. */
@FunctionalInterface
public interface Letters {
    /**
     * In the unit of the size.
     *
     * @param isStrong whether in the heavier weight
     */
    double width(String words, double size, boolean isStrong);
}
