package kalodyne.core.gear;

/** Which half of a connection something is: what goes in, or what is gone into. A microphone socket of an interface is a socket; its output with three pins is a plug. */
public enum Form implements Coded {
    PLUG("plug"),
    SOCKET("socket");

    private final String word;

    Form(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
