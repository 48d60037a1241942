package kalodyne.core.units;

/** What the records of this room demand of their numbers. */
final class Require {
    private Require() {}

    static void finiteFromZero(String what, double value, String unit) {
        if (!(value >= 0 && value < Double.POSITIVE_INFINITY)) {
            throw new IllegalArgumentException(what + " must be 0 " + unit + " or more, got " + Print.plain(value));
        }
    }
}
