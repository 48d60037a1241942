package kalodyne.core.runsheet;

import java.util.Locale;
import kalodyne.core.route.Captured;

/** Names of files that every system takes: lower case letters, digits, hyphens; what belongs together sorts together. */
final class TakeFileNames {
    private static final int LONGEST_PART = 40;

    private TakeFileNames() {}

    /** "sunday-trio_drum-box_bass_1.wav". */
    static String of(String setup, String source, String part, int number) {
        return plain(setup) + "_" + plain(source) + (part.isEmpty() ? "" : "_" + plain(part)) + "_" + number + ".wav";
    }

    /** Of what one track gets: by who plays. */
    static String of(String setup, Captured.Line line, int number) {
        return of(setup, line.isMix() ? "mix" : line.players().get(0), "", number);
    }

    /** A film keeps the ending that its camera gives it: "sunday-trio_film_1". */
    static String film(String setup, int number) {
        return plain(setup) + "_film_" + number;
    }

    private static String plain(String words) {
        String plain = java.text.Normalizer.normalize(words, java.text.Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String kept = plain.length() > LONGEST_PART ? plain.substring(0, LONGEST_PART) : plain;
        return kept.isEmpty() ? "take" : kept;
    }
}
