package kalodyne.desktop;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.setup.Setup;
import kalodyne.core.setup.SetupReader;
import kalodyne.core.setup.UnreadableSetup;
import kalodyne.desktop.model.Notice;

/**
 * The setup that the window begins with.
 *
 * @param setup as read, or an empty one
 * @param file where edits of it are kept
 * @param notice what went wrong, if anything
 */
public record OpenedSetup(Setup setup, Path file, Optional<Notice> notice) {
    /**
     * Reads a file. One that is not there will be made with the first edit; one that cannot be read stays as it is, and
     * work begins with an empty setup in a file beside it.
     */
    public static OpenedSetup of(Path file) {
        if (!Files.exists(file)) {
            return new OpenedSetup(Setup.empty(), file, Optional.empty());
        }
        try {
            return read(file);
        } catch (UnreadableSetup e) {
            Path beside = unusedBeside(file);
            String text = e.problems().get(0).what() + " It was left as it is: " + file
                    + ". What you do now is kept beside it, in " + beside.getFileName() + ".";
            return new OpenedSetup(
                    Setup.empty(), beside, Optional.of(new Notice("Your setup could not be read", text)));
        }
    }

    /**
     * Reads a file that must be there.
     *
     * @throws UnreadableSetup where it cannot be read; says everything that is wrong
     */
    static OpenedSetup read(Path file) throws UnreadableSetup {
        return new OpenedSetup(SetupReader.read(file), file.toAbsolutePath(), Optional.empty());
    }

    private static Path unusedBeside(Path file) {
        String name = file.getFileName().toString().replaceFirst("\\.json$", "");
        return IntStream.iterate(2, number -> number + 1)
                .mapToObj(number -> file.resolveSibling(name + "-" + number + ".json"))
                .filter(candidate -> !Files.exists(candidate))
                .findFirst()
                .orElseThrow();
    }
}
