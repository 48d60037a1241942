package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import kalodyne.core.testing.corpus.Corpus;
import kalodyne.core.testing.corpus.Scoring;

/** Prints how well faults are found: in the made-up takes that thresholds were chosen by, in those of other players, and in duos. */
public final class FaultReport {
    private static final int EACH = 8;
    private static final int CLEAN = 80;

    private FaultReport() {}

    /** Takes no arguments, or how many takes of each fault. */
    public static void main(String[] arguments) throws IOException {
        int each = arguments.length > 0 ? Integer.parseInt(arguments[0]) : EACH;
        Path folder = Files.createTempDirectory("takes");
        for (Corpus.Part part : Corpus.Part.values()) {
            var takes = new Corpus(part, each, CLEAN).takes();
            System.out.println(part.name().toLowerCase(Locale.ROOT).replace('_', ' ') + ": " + takes.size() + " takes");
            Scoring.of(takes, folder).lines().forEach(line -> System.out.println("  " + line));
        }
        Files.delete(folder);
    }
}
