package kalodyne.core.route;

/** Whether left and right have to stay apart. */
public enum Stereo {
    KEEP("kept"),
    MONO_ENOUGH("mono is enough"),
    NO_MATTER("no matter");

    private final String word;

    Stereo(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
