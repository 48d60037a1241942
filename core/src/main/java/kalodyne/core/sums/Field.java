package kalodyne.core.sums;

import java.util.function.Function;
import java.util.regex.Pattern;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Something that is typed into a sum.
 *
 * @param <T> what becomes of it
 * @param id its mark within the sum
 * @param label before it
 * @param initial what stands there at first
 * @param reader reads what was typed; says why not, where that cannot be
 */
public record Field<T>(String id, String label, String initial, Function<String, T> reader) {
    private static final Pattern NUMBER = Pattern.compile("[-−+]?[0-9]{1,12}([.,][0-9]{1,9})?");

    /** A quantity with its unit. */
    static <T> Field<T> of(String id, String label, Quantity<T> quantity, String initial) {
        return new Field<>(id, label, initial, quantity::read);
    }

    /** A number between two others, both included; its unit, which may be typed behind it, is always the same. */
    static Field<Double> number(String id, String label, String unit, double low, double high, String initial) {
        String shown = unit.isEmpty() ? initial : initial + " " + unit;
        return new Field<>(id, label, shown, typed -> {
            String bare = typed.strip();
            if (!unit.isEmpty() && bare.endsWith(unit)) {
                bare = bare.substring(0, bare.length() - unit.length()).strip();
            }
            double number = NUMBER.matcher(bare).matches()
                    ? Double.parseDouble(bare.replace(',', '.').replace('−', '-'))
                    : Double.NaN;
            if (!(number >= low && number <= high)) {
                throw new UnreadableQuantity(
                        "This is not a number from " + Print.plain(low) + " to " + Print.plain(high) + ".",
                        "Write for example " + shown + ".");
            }
            return number;
        });
    }

    /** A whole number between two others, both included. */
    static Field<Integer> whole(String id, String label, String unit, int low, int high, String initial) {
        Field<Double> number = number(id, label, unit, low, high, initial);
        return new Field<>(id, label, number.initial(), typed -> {
            double read = number.reader().apply(typed);
            if (read != Math.rint(read)) {
                throw new UnreadableQuantity(
                        "This is not a whole number.", "Write for example " + number.initial() + ".");
            }
            return (int) read;
        });
    }
}
