package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;

/** How the files that belong to a studio are called. */
final class StudioPaths {
    /** In the names of dated copies. */
    static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("yyyy-MM-dd HHmmss");

    /** Behind the studio's own name: itself, SQLite's log, SQLite's index of that log. */
    static final List<String> TAILS = List.of("", "-wal", "-shm");

    private StudioPaths() {}

    /** The studio's name without what all studios end with. */
    static String stem(Path studio) {
        String name = studio.getFileName().toString();
        return name.endsWith(StudioFile.EXTENSION)
                ? name.substring(0, name.length() - StudioFile.EXTENSION.length())
                : name;
    }

    /** "mine 2026-03-01 120400.kalodyne", with a word before the moment or without. */
    static String dated(Path studio, String word, LocalDateTime at) {
        return stem(studio) + " " + word + MOMENT.format(at) + StudioFile.EXTENSION;
    }

    static Path withTail(Path studio, String tail) {
        return studio.resolveSibling(studio.getFileName() + tail);
    }

    /** Removes a studio with what SQLite keeps beside it. */
    static void remove(Path studio) throws IOException {
        Files.deleteIfExists(studio);
        removeTails(studio);
    }

    /** Removes what SQLite keeps beside a studio, with the edits that are only in there. */
    static void removeTails(Path studio) throws IOException {
        for (String tail : TAILS.subList(1, TAILS.size())) {
            Files.deleteIfExists(withTail(studio, tail));
        }
    }
}
