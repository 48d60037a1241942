package kalodyne.core.units;

/**
 * What voltages on wires are told in: dBu, or dBV as home gear is often marked. One for the whole program, as its language is;
 * numbers that programs read stay in dBu.
 */
public enum LevelUnit {
    DBU("dBu", new Level(0)),
    DBV("dBV", Level.ofDbv(0));

    private static volatile LevelUnit inUse = DBU;

    private final String symbol;
    private final double zeroDbu;

    LevelUnit(String symbol, Level zero) {
        this.symbol = symbol;
        this.zeroDbu = zero.dbu();
    }

    public static LevelUnit inUse() {
        return inUse;
    }

    /** Tells all levels in a unit from now on; words that were made before stay as they are. */
    public static void use(LevelUnit unit) {
        inUse = unit;
    }

    /** "dBV". */
    public String symbol() {
        return symbol;
    }

    /** The level that is 0 in this unit, in dBu. */
    public double zeroDbu() {
        return zeroDbu;
    }

    /** The number of a level in this unit. */
    public double number(Level level) {
        return level.dbu() - zeroDbu;
    }

    /** For example "+4.0 dBu". */
    public String print(Level level) {
        return Print.signed(number(level), 1) + " " + symbol;
    }
}
