package kalodyne.core.copies;

import java.io.IOException;
import java.nio.file.Path;

/** A copy that cannot be written, with what to do. Nothing of it is left, and what was there before is as it was. */
public final class UnwritableCopy extends IOException {
    private static final long serialVersionUID = 1L;

    private final String fileName;
    private final String problem;
    private final String remedy;

    public UnwritableCopy(Path file, String problem, String remedy) {
        super(file + ": " + problem + " " + remedy);
        this.fileName = file.toString();
        this.problem = problem;
        this.remedy = remedy;
    }

    /** The file as it was named. */
    public String fileName() {
        return fileName;
    }

    /** What is wrong, as a sentence. */
    public String problem() {
        return problem;
    }

    /** What to do, as a sentence. */
    public String remedy() {
        return remedy;
    }
}
