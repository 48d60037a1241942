package kalodyne.core.sound.copies;

import java.io.IOException;
import java.nio.file.Path;

/** A copy that cannot be written, with what to do. Nothing of it is left, and what was there before is as it was. */
public final class UnwritableCopy extends IOException {
    private static final long serialVersionUID = 1L;

    /**
     * With its message: file, problem, remedy.
     *
     * @param problem as a sentence
     * @param remedy as a sentence
     */
    public UnwritableCopy(Path file, String problem, String remedy) {
        super(file + ": " + problem + " " + remedy);
    }
}
