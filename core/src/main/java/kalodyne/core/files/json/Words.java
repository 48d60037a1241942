package kalodyne.core.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Something that is a text in JSON; it can be the name of a field too.
 *
 * @param of makes it of its text; throws an IllegalArgumentException that says why it does not
 * @param to its text
 */
public record Words<T>(Function<String, T> of, Function<T, String> to) implements JsonForm<T> {
    public static final Words<Instant> MOMENT = new Words<>(Words::moment, Instant::toString);

    public static <Q> Words<Q> of(Quantity<Q> quantity) {
        return new Words<>(quantity::read, quantity::write);
    }

    /** One of several, by its name in lower case. */
    public static <E extends Enum<E>> Words<E> of(Class<E> kind) {
        return new Words<>(
                word -> named(kind, word)
                        .orElseThrow(() -> new UnreadableQuantity("This is not a choice here.", "Check its spelling.")),
                Words::name);
    }

    /** One of several, by its name in lower case; the usual one for a word that is not known. */
    public static <E extends Enum<E>> Words<E> of(Class<E> kind, E usual) {
        return new Words<>(word -> named(kind, word).orElse(usual), Words::name);
    }

    /** The word under which files and commands know one of several: "few-breaks". */
    public static String name(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The one of several that a word is for. */
    public static <E extends Enum<E>> Optional<E> named(Class<E> kind, String word) {
        return Stream.of(kind.getEnumConstants())
                .filter(each -> name(each).equals(word))
                .findFirst();
    }

    private static Instant moment(String text) {
        try {
            return Instant.parse(text);
        } catch (DateTimeParseException e) {
            throw new UnreadableQuantity("This is not a moment in time.", "Write it as 2026-03-01T18:30:00Z.");
        }
    }

    @Override
    public Optional<T> read(JsonPlace place, Problems problems) {
        return problems.make(place, () -> of.apply(place.node().asText()));
    }

    @Override
    public JsonNode write(T value) {
        return TextNode.valueOf(to.apply(value));
    }
}
