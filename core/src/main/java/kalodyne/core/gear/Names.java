package kalodyne.core.gear;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import kalodyne.core.units.UnreadableQuantity;

/** What names, notes and short marks may be. */
public final class Names {
    /** Of names anywhere in a studio, as the schemas say. */
    public static final int LONGEST_NAME = 120;

    public static final int LONGEST_NOTE = 2000;

    private static final int LONGEST_PATH = 400;

    /** What some systems take for another drive or folder, or for no name at all. */
    private static final Pattern UNSAFE = Pattern.compile("[\\\\:*?\"<>|\\p{Cntrl}]");

    private static final int LONGEST_SHOWN = 40;

    private Names() {}

    /**
     * A name as somebody typed it, without the blanks around it.
     *
     * @throws UnreadableQuantity where it is empty or too long
     */
    public static String checked(String typed) {
        String name = typed.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new UnreadableQuantity(
                    "A name has 1 to " + LONGEST_NAME + " letters" + had(name) + ".",
                    name.isEmpty() ? "Write one." : "Shorten it.");
        }
        return name;
    }

    /**
     * A text that may be empty.
     *
     * @throws UnreadableQuantity where it is too long
     */
    public static String checkedNote(String typed) {
        String note = typed.strip();
        if (note.length() > LONGEST_NOTE) {
            throw new UnreadableQuantity(
                    "A note has at most " + LONGEST_NOTE + " letters" + had(note) + ".", "Shorten it.");
        }
        return note;
    }

    /**
     * Where a photograph lies, beside the studio and nowhere else.
     *
     * @throws UnreadableQuantity where it would lie elsewhere
     */
    static String checkedPhoto(String path) {
        boolean isBeside = path.length() <= LONGEST_PATH
                && List.of(path.split("/", -1)).stream().allMatch(Names::isPlain);
        if (!isBeside) {
            throw new UnreadableQuantity(
                    "“" + shown(path) + "” is not a file beside the studio.",
                    "Photographs are named as in “photos/synth.jpg”.");
        }
        return path;
    }

    private static boolean isPlain(String folder) {
        return !folder.isBlank()
                && !folder.equals(".")
                && !folder.equals("..")
                && UNSAFE.matcher(folder).results().findAny().isEmpty();
    }

    private static String had(String text) {
        return text.isEmpty() ? "" : ", this has " + text.length();
    }

    /** A text from outside, short enough for a message. */
    public static String shown(String text) {
        return text.length() > LONGEST_SHOWN ? text.substring(0, LONGEST_SHOWN) + "…" : text;
    }

    /** Every mark must be there once only; says which is there twice. */
    static <T> void requireDistinct(String what, List<T> parts, Function<T, String> mark) {
        Set<String> seen = new HashSet<>();
        for (T part : parts) {
            if (!seen.add(mark.apply(part))) {
                throw new IllegalArgumentException(
                        "two " + what + " have the same mark “" + shown(mark.apply(part)) + "”");
            }
        }
    }
}
