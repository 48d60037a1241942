package kalodyne.core.studio;

/** A studio file that cannot be used as it is, in two sentences: what is wrong and what to do. */
final class StudioTrouble extends Exception {
    private static final long serialVersionUID = 1L;

    private final String what;
    private final String remedy;
    private final Kind kind;

    /** What has to be done about it. */
    enum Kind {
        /** Some of its pages or rows cannot be read. */
        DAMAGED,
        /** It is something else, or of a newer version: to be left alone. */
        FOREIGN
    }

    StudioTrouble(Kind kind, String what, String remedy) {
        super(what + " " + remedy);
        this.kind = kind;
        this.what = what;
        this.remedy = remedy;
    }

    Kind kind() {
        return kind;
    }

    String what() {
        return what;
    }

    String remedy() {
        return remedy;
    }
}
