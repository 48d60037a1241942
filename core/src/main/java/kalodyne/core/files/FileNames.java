package kalodyne.core.files;

import java.nio.file.Path;

/** Parts of names of files, and names that every system allows. */
public final class FileNames {
    /** What one of the systems forbids in names, and what one of them drops at their end. */
    private static final String FORBIDDEN = "[/\\\\:*?\"<>|\\p{Cntrl}]|[. ]+$";

    private FileNames() {}

    /** The name of a file without its ending: "take" of "take.wav". */
    public static String stem(Path file) {
        String name = file.getFileName().toString();
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }

    /** The ending of a file's name with its dot; empty where there is none. */
    public static String ending(Path file) {
        return file.getFileName().toString().substring(stem(file).length());
    }

    /** The name with a hyphen for what some system does not allow. */
    public static String allowed(String name) {
        return name.replaceAll(FORBIDDEN, "-");
    }
}
