package kalodyne.core.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Fields as a value has them, written as they are named. */
final class WrittenFields<T> implements Fields<T> {
    private final T from;
    private final ObjectNode node;

    WrittenFields(T from, ObjectNode node) {
        this.from = from;
        this.node = node;
    }

    @Override
    public <V> V value(String name, JsonForm<V> form, Function<T, V> get) {
        V value = get.apply(from);
        node.set(name, form.write(value));
        return value;
    }

    @Override
    public <V> V valueOr(String name, JsonForm<V> form, V usual, Function<T, V> get) {
        return get.apply(from).equals(usual) ? usual : value(name, form, get);
    }

    @Override
    public <V> Optional<V> maybe(String name, JsonForm<V> form, Function<T, Optional<V>> get) {
        Optional<V> value = get.apply(from);
        value.ifPresent(each -> node.set(name, form.write(each)));
        return value;
    }

    @Override
    public <V> List<V> list(String name, JsonForm<V> form, Function<T, ? extends Collection<V>> get) {
        List<V> all = List.copyOf(get.apply(from));
        ArrayNode array = node.putArray(name);
        all.forEach(each -> array.add(form.write(each)));
        return all;
    }

    @Override
    public <V> List<V> listIfAny(String name, JsonForm<V> form, Function<T, ? extends Collection<V>> get) {
        return get.apply(from).isEmpty() ? List.of() : list(name, form, get);
    }

    @Override
    public <K, V> Map<K, V> map(String name, Words<K> keys, JsonForm<V> form, Function<T, Map<K, V>> get) {
        Map<K, V> all = get.apply(from);
        ObjectNode object = node.putObject(name);
        all.forEach((key, value) -> object.set(keys.to().apply(key), form.write(value)));
        return all;
    }

    @Override
    public <K, V> Map<K, V> mapIfAny(String name, Words<K> keys, JsonForm<V> form, Function<T, Map<K, V>> get) {
        return get.apply(from).isEmpty() ? Map.of() : map(name, keys, form, get);
    }

    @Override
    public <V> V among(ObjectForm<V> form, Function<T, V> get) {
        V value = get.apply(from);
        form.writeInto(node, value);
        return value;
    }

    @Override
    public <S extends T> Optional<Fields<S>> when(String name, Class<S> kind) {
        return Optional.of(from).filter(kind::isInstance).map(each -> new WrittenFields<>(kind.cast(each), node));
    }

    @Override
    public boolean reads(String name) {
        return false;
    }

    @Override
    public boolean isWhole() {
        return true;
    }

    @Override
    public void problem(String what, String remedy, Object... steps) {
        // What there is is written as it is.
    }
}
