package kalodyne.core.gear;

import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.units.UnreadableQuantity;

/** What is known of something: for each fact a value of its own quantity. Immutable; remembers the order. */
public final class Facts {
    public static final Facts NONE = new Facts(Map.of());

    private final Map<Fact<?>, Value<?>> values;

    private Facts(Map<Fact<?>, Value<?>> values) {
        this.values = values;
    }

    /** Puts facts together one by one, for reading them from files. */
    public static final class Builder {
        private final Map<Fact<?>, Value<?>> values = new LinkedHashMap<>();

        public <T> Builder with(Fact<T> fact, Value<T> value) {
            values.put(fact, value);
            return this;
        }

        public Facts build() {
            return values.isEmpty() ? NONE : new Facts(Collections.unmodifiableMap(new LinkedHashMap<>(values)));
        }
    }

    public <T> Optional<Value<T>> get(Fact<T> fact) {
        // Only the two with() put values in, and there the types agree.
        @SuppressWarnings("unchecked")
        Value<T> value = (Value<T>) values.get(fact);
        return Optional.ofNullable(value);
    }

    /** The quantity alone. */
    public <T> Optional<T> quantity(Fact<T> fact) {
        return get(fact).map(Value::is);
    }

    public <T> Facts with(Fact<T> fact, Value<T> value) {
        Map<Fact<?>, Value<?>> more = new LinkedHashMap<>(values);
        more.put(fact, value);
        return new Facts(Collections.unmodifiableMap(more));
    }

    /** These, and what others tell in their stead. */
    public Facts overlaid(Facts others) {
        Map<Fact<?>, Value<?>> both = new LinkedHashMap<>(values);
        both.putAll(others.values);
        return both.isEmpty() ? NONE : new Facts(Collections.unmodifiableMap(both));
    }

    public Facts without(Fact<?> fact) {
        Map<Fact<?>, Value<?>> fewer = new LinkedHashMap<>(values);
        fewer.remove(fact);
        return new Facts(Collections.unmodifiableMap(fewer));
    }

    /**
     * With what its owner typed for a fact; an empty text makes it unknown. What was measured and is typed anew was measured
     * anew; anything else was read somewhere.
     *
     * @throws UnreadableQuantity where the text cannot be read
     */
    public <T> Facts corrected(Fact<T> fact, String typed, LocalDate today) {
        if (typed.isBlank()) {
            return without(fact);
        }
        boolean isMeasured = get(fact)
                .filter(value -> value.from().origin() == Provenance.Origin.MEASURED)
                .isPresent();
        Provenance from = isMeasured ? Provenance.measured(today) : Provenance.datasheet(today);
        return with(fact, new Value<>(fact.quantity().read(typed), from));
    }

    public Set<Fact<?>> known() {
        return values.keySet();
    }

    /** A value as people read it: "10 kΩ". */
    public <T> Optional<String> printed(Fact<T> fact) {
        return get(fact).map(value -> fact.quantity().print(value.is()));
    }

    /** A value with all its digits, as files hold it. */
    public <T> Optional<String> written(Fact<T> fact) {
        return get(fact).map(value -> fact.quantity().write(value.is()));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Facts facts && values.equals(facts.values);
    }

    @Override
    public int hashCode() {
        return values.hashCode();
    }

    @Override
    public String toString() {
        return values.toString();
    }
}
