package kalodyne.core.studio.setup;

import java.nio.file.Path;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.UnreadableFile;

/** Reads a setup from JSON: its form after the schema, then its quantities. */
public final class SetupReader {
    private SetupReader() {}

    /**
     * Reads a file.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static SetupFile read(Path file) throws UnreadableFile {
        return read(JsonFormat.SETUP.read(file), file);
    }

    /**
     * Reads a text.
     *
     * @param file what to call it in messages
     */
    public static SetupFile read(String json, Path file) throws UnreadableFile {
        return read(JsonFormat.SETUP.read(json, file), file);
    }

    /** Reads a text that ships with the program, whose form a test has checked. */
    public static SetupFile shipped(String json, Path file) throws UnreadableFile {
        return read(JsonFormat.SETUP.trusted(json, file), file);
    }

    private static SetupFile read(JsonPlace root, Path file) throws UnreadableFile {
        SetupMapping mapping = new SetupMapping();
        Setup setup = mapping.setup(root);
        if (!mapping.problems().isEmpty()) {
            throw new UnreadableFile(file, mapping.problems());
        }
        return new SetupFile(root.text("studio"), setup);
    }
}
