package kalodyne.core.sound;

import java.io.IOException;
import java.nio.file.Path;

/** A sound file that cannot be read, with the place in it and what to do. */
public sealed class UnreadableSound extends IOException permits OtherEncoding {
    private static final long serialVersionUID = 1L;

    private final String fileName;
    private final String place;
    private final String problem;
    private final String remedy;

    public UnreadableSound(Path file, String place, String problem, String remedy) {
        super(file + ", " + place + ": " + problem + " " + remedy);
        this.fileName = file.toString();
        this.place = place;
        this.problem = problem;
        this.remedy = remedy;
    }

    /** The file as it was named. */
    public String fileName() {
        return fileName;
    }

    /** Where in the file: "byte 20". */
    public String place() {
        return place;
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
