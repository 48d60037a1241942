package kalodyne.core.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import kalodyne.core.demo.Boathouse;

/** The demonstration with its takes and its film. It is played once; each test gets a copy of its own. */
public final class Demo {
    private static final String STUDIO = "boathouse.kalodyne";

    private Demo() {}

    private static final class Master {
        static final Path FOLDER = build();

        private static Path build() {
            try {
                Path folder = Files.createTempDirectory("kalodyne-demo");
                Boathouse.build(folder);
                return folder;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** Copies it into a folder and gives the studio's file. */
    public static Path in(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(Master.FOLDER)) {
            for (Path each : all.toList()) {
                Path copy = folder.resolve(Master.FOLDER.relativize(each).toString());
                if (Files.isDirectory(each)) {
                    Files.createDirectories(copy);
                } else {
                    Files.copy(each, copy);
                }
            }
        }
        return folder.resolve(STUDIO);
    }
}
