package kalodyne.core.studio.exchange;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;

/** Reads a studio from whatever holds one: a studio file, JSON of a studio or a setup, a table of gear, a parcel. */
public final class AnyStudio {
    private static final int LONGEST_MAGIC = 16;

    private AnyStudio() {}

    /**
     * Reads a file, without changing it.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static Studio read(Path file) throws UnreadableFile {
        String name =
                file.getFileName() == null ? "" : file.getFileName().toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(StudioFile.EXTENSION) || isDatabase(file)) {
            return StudioFile.read(file);
        }
        if (Parcel.isOne(file)) {
            return Parcel.open(file).studio();
        }
        return name.endsWith(".csv") || name.endsWith(".tsv") || name.endsWith(".txt")
                ? StudioTables.read(file)
                : StudioReader.read(file);
    }

    private static boolean isDatabase(Path file) {
        if (!Files.isRegularFile(file)) {
            return false;
        }
        try (var in = Files.newInputStream(file)) {
            return new String(in.readNBytes(LONGEST_MAGIC), StandardCharsets.ISO_8859_1).startsWith("SQLite format 3");
        } catch (IOException e) {
            // Reading it will say why not.
            return false;
        }
    }
}
