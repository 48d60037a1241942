package kalodyne.core.gear;

import java.util.regex.Pattern;

/** The marks by which parts of gear point at each other in files: short, plain, without blanks. */
final class Marks {
    private static final Pattern FORM = Pattern.compile("[a-z0-9][a-z0-9-]{0,59}");

    private Marks() {}

    static String checked(String mark) {
        if (!FORM.matcher(mark).matches()) {
            throw new IllegalArgumentException(
                    "a mark is made of a to z, 0 to 9 and hyphens, 60 at most, but got “" + Names.shown(mark) + "”");
        }
        return mark;
    }
}
