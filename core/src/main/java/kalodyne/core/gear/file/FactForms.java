package kalodyne.core.gear.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.units.UnreadableQuantity;

/** The values of gear, each with where it is from. */
final class FactForms {
    private static final Words<LocalDate> DAY = new Words<>(Provenance::date, LocalDate::toString);

    static final ObjectForm<Provenance> PROVENANCE = ObjectForm.of(f -> new Provenance(
            f.value("from", GearForms.choice(Provenance.Origin.class), Provenance::origin),
            f.maybe("ground", GearForms.choice(Provenance.Ground.class), Provenance::ground),
            f.textIfAny("source", Provenance::source),
            f.maybe("date", DAY, Provenance::date)));

    private final Words<Provenance> reason;

    /** Gear is full of the same values from the same sources: each is read once. */
    private final Map<List<Object>, Value<?>> known = new HashMap<>();

    /**
     * Forms of values.
     *
     * @param reasons that a value may name instead of telling where it is from
     */
    FactForms(Map<String, Provenance> reasons) {
        reason = new Words<>(name -> named(reasons, name), Provenance::write);
    }

    private static Provenance named(Map<String, Provenance> reasons, String name) {
        if (!reasons.containsKey(name)) {
            throw new UnreadableQuantity("There is no such reason.", "Name one of the reasons at the file's head.");
        }
        return reasons.get(name);
    }

    private <T> ObjectForm<Value<T>> value(Fact<T> fact) {
        return ObjectForm.of(f -> new Value<>(
                f.value("is", Words.of(fact.quantity()), Value::is),
                f.reads("reason") ? f.value("reason", reason, Value::from) : f.among(PROVENANCE, Value::from)));
    }

    JsonForm<Facts> of(Fact.Of owner) {
        return new JsonForm<>() {
            @Override
            public Optional<Facts> read(JsonPlace place, Problems problems) {
                Facts.Builder facts = new Facts.Builder();
                boolean isWhole = true;
                for (String id : place.fields()) {
                    Optional<Fact<?>> fact = Fact.named(owner, id);
                    if (fact.isEmpty()) {
                        problems.add(
                                place.get(id),
                                "This is not a value that it can have.",
                                "Remove it or check its spelling.");
                    }
                    isWhole &= fact.isPresent() && add(facts, fact.get(), place.get(id), problems);
                }
                return isWhole ? Optional.of(facts.build()) : Optional.empty();
            }

            @Override
            public JsonNode write(Facts facts) {
                ObjectNode node = JsonNodeFactory.instance.objectNode();
                facts.known().forEach(fact -> put(node, facts, fact));
                return node;
            }
        };
    }

    private <T> void put(ObjectNode node, Facts facts, Fact<T> fact) {
        node.set(fact.id(), value(fact).write(facts.get(fact).orElseThrow()));
    }

    private <T> boolean add(Facts.Builder facts, Fact<T> fact, JsonPlace place, Problems problems) {
        List<Object> key = List.of(fact, place.node());
        @SuppressWarnings("unchecked") // the fact is part of the key
        Optional<Value<T>> value = known.containsKey(key)
                ? Optional.of((Value<T>) known.get(key))
                : value(fact).read(place, problems);
        value.ifPresent(each -> {
            known.put(key, each);
            facts.with(fact, each);
        });
        return value.isPresent();
    }
}
