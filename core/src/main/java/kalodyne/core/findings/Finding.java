package kalodyne.core.findings;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Something that the program noticed.
 *
 * @param code what was noticed
 * @param severity how bad it is
 * @param place where
 * @param figure the number it rests on
 * @param title a few words
 * @param text the reason in plain words with its numbers, two short sentences at the most
 * @param remedy what to do, if anything
 * @param confidence from 0 to 1, how sure it is that this is so; 1 for what was computed or counted
 */
public record Finding(
        FindingCode code,
        Severity severity,
        Place place,
        Figure figure,
        String title,
        String text,
        Optional<Remedy> remedy,
        double confidence) {

    /** Something that is certain. */
    public Finding(
            FindingCode code,
            Severity severity,
            Place place,
            Figure figure,
            String title,
            String text,
            Optional<Remedy> remedy) {
        this(code, severity, place, figure, title, text, remedy, 1);
    }

    /** The name of what was noticed, for other programs: "level.hot". */
    public String mark() {
        return code.mark();
    }

    /** The same shown at another place. */
    public Finding at(Place other) {
        return new Finding(code, severity, other, figure, title, text, remedy, confidence);
    }

    /** The same with something else to do about it. */
    public Finding with(Optional<Remedy> other) {
        return new Finding(code, severity, place, figure, title, text, other, confidence);
    }

    /** "wrong: This lead only charges": where neither shape nor colour can tell how bad it is. */
    public String inOneLine() {
        return severity.word() + ": " + title;
    }

    /** Worst first; rules of one severity stay in the order given. */
    public static List<Finding> worstFirst(List<Finding> findings) {
        return findings.stream()
                .sorted(Comparator.comparing(Finding::severity)
                        .thenComparing(finding -> !finding.code().isOfChain()))
                .toList();
    }

    /** The worst severity of all, notes left out; empty where there is nothing but notes. */
    public static Optional<Severity> worst(List<Finding> findings) {
        return findings.stream()
                .map(Finding::severity)
                .filter(severity -> severity != Severity.NOTE)
                .min(Comparator.naturalOrder());
    }
}
