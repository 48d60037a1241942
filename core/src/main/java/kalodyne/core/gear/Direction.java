package kalodyne.core.gear;

/** Which way a signal goes through a socket, seen from the device. */
public enum Direction implements Coded {
    IN("in"),
    OUT("out"),
    BOTH("both");

    private final String word;

    Direction(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
