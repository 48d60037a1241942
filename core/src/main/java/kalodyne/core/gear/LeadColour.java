package kalodyne.core.gear;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** The colours that leads are sold in, by the words that people say for them. */
public enum LeadColour {
    BLACK("#202020", "black"),
    WHITE("#FAFAF7", "white ivory"),
    GREY("#8C8C8C", "grey gray silver"),
    RED("#D02B2B", "red wine"),
    ORANGE("#EE8422", "orange"),
    YELLOW("#F0CC22", "yellow gold"),
    GREEN("#2F9A48", "green olive"),
    BLUE("#2F6FD6", "blue navy turquoise cyan"),
    VIOLET("#8A4BBE", "violet purple lilac"),
    PINK("#EA7FB0", "pink magenta rose"),
    BROWN("#8A5A33", "brown tan beige");

    private final String hex;
    private final String words;

    LeadColour(String hex, String words) {
        this.hex = hex;
        this.words = words;
    }

    private boolean isSaid(String word) {
        return List.of(words.split(" ", -1)).contains(word);
    }

    /** As "#RRGGBB". */
    public String hex() {
        return hex;
    }

    /** The one that is said first: "dark blue with a white stripe" is blue. */
    public static Optional<LeadColour> of(String said) {
        return Stream.of(said.toLowerCase(Locale.ROOT).split("[^a-z]+", -1))
                .flatMap(word -> Stream.of(values()).filter(colour -> colour.isSaid(word)))
                .findFirst();
    }
}
