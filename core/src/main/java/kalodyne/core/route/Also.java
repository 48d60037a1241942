package kalodyne.core.route;

/** What is to be captured beside the recording itself. */
public enum Also {
    SAFETY_COPY("a safety copy on a card", "A second recording outlives a computer that stops."),
    TWO_MIXES("the mix with and without the voice", "The talk microphone can be left out afterwards.");

    private final String words;
    private final String reason;

    Also(String words, String reason) {
        this.words = words;
        this.reason = reason;
    }

    /** As it stands in a sentence: "a safety copy on a card". */
    public String words() {
        return words;
    }

    /** Why somebody would choose it. */
    public String reason() {
        return reason;
    }
}
