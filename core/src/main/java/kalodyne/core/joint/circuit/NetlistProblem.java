package kalodyne.core.joint.circuit;

/** Something in a line of a netlist that cannot be read. */
final class NetlistProblem extends Exception {
    private static final long serialVersionUID = 1L;
    private static final int LONGEST_SHOWN = 40;

    private final String remedy;

    NetlistProblem(String what, String remedy) {
        super(what);
        this.remedy = remedy;
    }

    String remedy() {
        return remedy;
    }

    static String shown(String text) {
        return text.length() > LONGEST_SHOWN ? text.substring(0, LONGEST_SHOWN) + "…" : text;
    }
}
