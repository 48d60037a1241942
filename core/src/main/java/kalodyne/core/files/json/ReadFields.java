package kalodyne.core.files.json;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Fields as a file has them. */
final class ReadFields<T> implements Fields<T> {
    private final JsonPlace place;
    private final Problems problems;
    private boolean isWhole = true;

    ReadFields(JsonPlace place, Problems problems) {
        this.place = place;
        this.problems = problems;
    }

    private <V> Optional<V> read(JsonPlace from, JsonForm<V> form) {
        Optional<V> read = form.read(from, problems);
        isWhole &= read.isPresent();
        return read;
    }

    @Override
    public <V> V value(String name, JsonForm<V> form, Function<T, V> get) {
        return read(place.get(name), form).orElse(null);
    }

    @Override
    public <V> V valueOr(String name, JsonForm<V> form, V usual, Function<T, V> get) {
        return place.has(name) ? value(name, form, get) : usual;
    }

    @Override
    public <V> Optional<V> maybe(String name, JsonForm<V> form, Function<T, Optional<V>> get) {
        return place.has(name) ? read(place.get(name), form) : Optional.empty();
    }

    @Override
    public <V> List<V> list(String name, JsonForm<V> form, Function<T, ? extends Collection<V>> get) {
        List<V> all = new ArrayList<>();
        place.get(name).items().forEach(item -> read(item, form).ifPresent(all::add));
        return all;
    }

    @Override
    public <V> List<V> listIfAny(String name, JsonForm<V> form, Function<T, ? extends Collection<V>> get) {
        return list(name, form, get);
    }

    @Override
    public <K, V> Map<K, V> map(String name, Words<K> keys, JsonForm<V> form, Function<T, Map<K, V>> get) {
        JsonPlace object = place.get(name);
        Map<K, V> all = new LinkedHashMap<>();
        for (String field : object.fields()) {
            JsonPlace at = object.get(field);
            Optional<K> key = problems.make(at, () -> keys.of().apply(field));
            Optional<V> value = read(at, form);
            isWhole &= key.isPresent();
            key.ifPresent(known -> value.ifPresent(each -> all.put(known, each)));
        }
        return all;
    }

    @Override
    public <K, V> Map<K, V> mapIfAny(String name, Words<K> keys, JsonForm<V> form, Function<T, Map<K, V>> get) {
        return map(name, keys, form, get);
    }

    @Override
    public <V> V among(ObjectForm<V> form, Function<T, V> get) {
        return read(place, form).orElse(null);
    }

    @Override
    @SuppressWarnings("unchecked") // nothing is ever got from a value while it is read
    public <S extends T> Optional<Fields<S>> when(String name, Class<S> kind) {
        return place.has(name) ? Optional.of((Fields<S>) this) : Optional.empty();
    }

    @Override
    public boolean reads(String name) {
        return place.has(name);
    }

    @Override
    public boolean isWhole() {
        return isWhole;
    }

    @Override
    public void problem(String what, String remedy, Object... steps) {
        JsonPlace at = place;
        for (Object step : steps) {
            at = step instanceof Integer item ? at.items().get(item) : at.get((String) step);
        }
        problems.add(at, what, remedy);
        isWhole = false;
    }
}
