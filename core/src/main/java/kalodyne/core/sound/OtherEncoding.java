package kalodyne.core.sound;

import java.nio.file.Path;

/** A file of a known kind whose samples are kept in a way that only the decoder may know. */
final class OtherEncoding extends UnreadableSound {
    private static final long serialVersionUID = 1L;

    OtherEncoding(Path file, String place, String problem, String remedy) {
        super(file, place, problem, remedy);
    }
}
