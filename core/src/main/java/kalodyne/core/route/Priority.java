package kalodyne.core.route;

/** What counts most where ways differ, with what speaks for it. */
public enum Priority {
    CLEAN("a clean sound", "Noise and hum stay in a recording; leads and money can be changed later."),
    CHEAP("spending nothing", "What lies in the drawer costs nothing; a little noise may not matter."),
    FEW_BREAKS("few breaks", "Every extra plug is one more that can work loose, and one more to carry."),
    QUICK("being quick", "Fewer devices are sooner set up, switched on and at level."),
    ORDINARY_LEADS("ordinary leads", "Ordinary leads are useful elsewhere and easy to replace.");

    /** What counts first counts so much more, and what counts next. */
    private static final double FIRST = 3;

    private static final double THEN = 1.6;

    private final String words;
    private final String reason;

    Priority(String words, String reason) {
        this.words = words;
        this.reason = reason;
    }

    /** As it stands in a sentence: "a clean sound". */
    public String words() {
        return words;
    }

    /** Why somebody would choose it. */
    public String reason() {
        return reason;
    }

    /** How much more it counts than what nobody names. */
    double factor(Priority first, Priority then) {
        return first == this ? FIRST : then == this ? THEN : 1;
    }
}
