package kalodyne.core.route;

/** Whether left and right have to stay apart. */
public enum Stereo {
    KEEP("stereo, left and right kept"),
    MONO_ENOUGH("one mono track each"),
    NO_MATTER("mono or stereo, no matter");

    private final String word;

    Stereo(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
