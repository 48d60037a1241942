package kalodyne.core.joint;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Names;
import kalodyne.core.units.UnreadableQuantity;

/**
 * A socket or switch of a device, or an end of a lead.
 *
 * @param item the mark under which the device or lead is in the patch
 * @param part the mark of its socket, switch or end
 */
public record Spot(String item, String part) implements Comparable<Spot> {
    private static final Pattern FORM =
            Pattern.compile("([a-z0-9][a-z0-9-]{0,59}(?:/[2-9]\\d{0,2}|/1\\d{1,2})?)\\.([a-z0-9][a-z0-9-]{0,59})");

    /**
     * Reads "bass-synth.out", or "lead-3/2.a" for an end of the second of several leads of a kind.
     *
     * @throws UnreadableQuantity where it is something else
     */
    public static Spot read(String text) {
        return known(text)
                .orElseThrow(() -> new UnreadableQuantity(
                        "“" + Names.shown(text) + "” is neither a socket nor an end of a lead.",
                        "Write for example bass-synth.out or lead-7.a."));
    }

    /** Reads the same where it is one; empty where it is something else. */
    public static Optional<Spot> known(String text) {
        Matcher matcher = FORM.matcher(text);
        return matcher.matches() ? Optional.of(new Spot(matcher.group(1), matcher.group(2))) : Optional.empty();
    }

    /** The mark of the device or kind of lead, without the number of one among several. */
    public String kind() {
        return kind(item);
    }

    /** The marks under which the leads of a kind are plugged: "lead-3", "lead-3/2". */
    public static Stream<String> marks(Lead lead) {
        return IntStream.rangeClosed(1, lead.owned())
                .mapToObj(number -> number == 1 ? lead.id() : lead.id() + "/" + number);
    }

    /** Of leads of one kind, the mark of the first: "lead-3" of "lead-3/2". */
    public static String kind(String mark) {
        int end = mark.indexOf('/');
        return end < 0 ? mark : mark.substring(0, end);
    }

    /** Which of the leads of its kind it is, from 1. */
    public static int number(String mark) {
        return mark.equals(kind(mark))
                ? 1
                : Integer.parseInt(mark.substring(kind(mark).length() + 1));
    }

    /** In the order of their marks. */
    @Override
    public int compareTo(Spot other) {
        return write().compareTo(other.write());
    }

    /** "bass-synth.out". */
    public String write() {
        return item + "." + part;
    }
}
