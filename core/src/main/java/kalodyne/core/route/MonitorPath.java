package kalodyne.core.route;

/** By which way somebody wants to hear what is played. */
public enum MonitorPath {
    ANY("as it comes", "Whatever the way gives anyway."),
    DIRECT("directly", "Without delay: you hear yourself before the recorder does."),
    APP("through the recorder", "With the app's effects, and some milliseconds late.");

    private final String words;
    private final String reason;

    MonitorPath(String words, String reason) {
        this.words = words;
        this.reason = reason;
    }

    /** As it stands in a sentence: "directly". */
    public String words() {
        return words;
    }

    /** Why somebody would choose it. */
    public String reason() {
        return reason;
    }
}
