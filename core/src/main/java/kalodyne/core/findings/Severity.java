package kalodyne.core.findings;

import java.util.stream.Stream;

/** How bad a finding is, worst first. */
public enum Severity {
    /** Something or somebody can be hurt. */
    HARM("harm"),
    /** The recording will not be what was wanted. */
    WRONG("wrong"),
    /** It works, but worse than it could. */
    WEAK("weak"),
    /** Worth knowing. */
    NOTE("note");

    private final String word;

    Severity(String word) {
        this.word = word;
    }

    /** The severity of a word; a note where it is none of them. */
    public static Severity of(String word) {
        return Stream.of(values())
                .filter(each -> each.word.equals(word))
                .findFirst()
                .orElse(NOTE);
    }

    /** The word in the interface and in JSON. */
    public String word() {
        return word;
    }
}
