package kalodyne.core.route;

/** What is to be captured beside the recording itself. */
public enum Also {
    SAFETY_COPY("a safety copy on a card"),
    TWO_MIXES("the mix with and without the voice");

    private final String words;

    Also(String words) {
        this.words = words;
    }

    /** As it stands in a sentence: "a safety copy on a card". */
    public String words() {
        return words;
    }
}
