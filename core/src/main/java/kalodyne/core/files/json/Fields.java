package kalodyne.core.files.json;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;

/**
 * The fields of an object in JSON, while it is read or while it is written. Whoever names a field gets what it holds: read from
 * the file, or told by the value that is written. Of a field that could not be read that is null, or the part of a list that could;
 * nothing is made of the object then.
 *
 * @param <T> what the object is in the program
 */
public interface Fields<T> {
    /** A field that is always there. */
    <V> V value(String name, JsonForm<V> form, Function<T, V> get);

    /** A field that is left out where it is as usual. */
    <V> V valueOr(String name, JsonForm<V> form, V usual, Function<T, V> get);

    /** A field that may be missing. */
    <V> Optional<V> maybe(String name, JsonForm<V> form, Function<T, Optional<V>> get);

    /** A list that is always there. */
    <V> List<V> list(String name, JsonForm<V> form, Function<T, ? extends Collection<V>> get);

    /** A list that is left out where it is empty. */
    <V> List<V> listIfAny(String name, JsonForm<V> form, Function<T, ? extends Collection<V>> get);

    /** An object with fields of any names, in their order; always there. */
    <K, V> Map<K, V> map(String name, Words<K> keys, JsonForm<V> form, Function<T, Map<K, V>> get);

    /** An object with fields of any names; left out where it is empty. */
    <K, V> Map<K, V> mapIfAny(String name, Words<K> keys, JsonForm<V> form, Function<T, Map<K, V>> get);

    /** A part whose fields stand among those of the whole. */
    <V> V among(ObjectForm<V> form, Function<T, V> get);

    /** The fields of one kind, where the object is of that kind, as a field of this name tells. */
    <S extends T> Optional<Fields<S>> when(String name, Class<S> kind);

    /** Whether something is to be read from a field; never while it is written. */
    boolean reads(String name);

    /** Whether all fields so far could be read. */
    boolean isWhole();

    /**
     * What is wrong with fields that can be read.
     *
     * @param steps names of fields and numbers of items, counted from 0, down to the place
     */
    void problem(String what, String remedy, Object... steps);

    default String text(String name, Function<T, String> get) {
        return value(name, JsonForm.TEXT, get);
    }

    /** A text that is left out where it is empty. */
    default String textIfAny(String name, Function<T, String> get) {
        return valueOr(name, JsonForm.TEXT, "", get);
    }

    default OptionalInt maybeWhole(String name, Function<T, OptionalInt> get) {
        return maybe(
                        name,
                        JsonForm.WHOLE,
                        from -> get.apply(from).stream().boxed().findFirst())
                .map(OptionalInt::of)
                .orElse(OptionalInt.empty());
    }

    default OptionalDouble maybeNumber(String name, Function<T, OptionalDouble> get) {
        return maybe(
                        name,
                        JsonForm.NUMBER,
                        from -> get.apply(from).stream().boxed().findFirst())
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }
}
