package kalodyne.core.tidy;

import java.nio.file.Path;

/** Names of copies. */
final class FileNames {
    /** What one of the systems forbids in names. */
    private static final String FORBIDDEN = "[\\\\/:*?\"<>|\\p{Cntrl}]";

    private FileNames() {}

    /** The name of a file without its ending. */
    static String stem(Path file) {
        String name = file.getFileName().toString();
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }

    /** A name that all systems allow. */
    static String allowed(String name) {
        return name.replaceAll(FORBIDDEN, "-").strip();
    }
}
