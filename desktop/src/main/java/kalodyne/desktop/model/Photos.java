package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kalodyne.core.files.FileNames;

/** Photographs that are kept with steps and gear: copies in a folder beside the studio. */
public final class Photos {
    private static final String PHOTOS = "photos";

    private Photos() {}

    /** Copies one beside a studio; the name by which the studio keeps it. */
    public static String add(Path studio, Path photo) throws IOException {
        Path folder = Files.createDirectories(studio.resolve(PHOTOS));
        Path target = free(folder, photo.getFileName().toString());
        Files.copy(photo, target);
        return PHOTOS + "/" + target.getFileName();
    }

    private static Path free(Path folder, String name) {
        Path wanted = folder.resolve(name);
        for (int number = 2; Files.exists(wanted); number++) {
            Path plain = Path.of(name);
            wanted = folder.resolve(FileNames.stem(plain) + " " + number + FileNames.ending(plain));
        }
        return wanted;
    }
}
