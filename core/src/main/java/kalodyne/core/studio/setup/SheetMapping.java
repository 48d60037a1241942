package kalodyne.core.studio.setup;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.Intention;
import kalodyne.core.runsheet.Sitting;
import kalodyne.core.runsheet.Standing;
import kalodyne.core.runsheet.Tick;

/** What is intended with a setup and how its run sheets went, as JSON and back. */
public final class SheetMapping extends Mapping {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final SetupMapping setups;

    /** A mapping of a part of a larger file. */
    public SheetMapping(SetupMapping larger) {
        super(larger);
        this.setups = larger;
    }

    // --- intention ---------------------------------------------------------------------------------------------

    /** Puts the intention, where it is not the usual one, into the setup of a larger file. */
    public static void write(ObjectNode setup, Intention intention) {
        if (intention.equals(Intention.USUAL)) {
            return;
        }
        ObjectNode node = setup.putObject("intention").put("minutes", intention.minutes());
        intention.sampleRateHz().ifPresent(rate -> node.put("sampleRateHz", rate));
        intention.bits().ifPresent(bits -> node.put("bits", bits));
        intention.beatsPerMinute().ifPresent(beats -> node.put("beatsPerMinute", beats));
        if (!intention.freeBytes().isEmpty()) {
            ObjectNode free = node.putObject("freeBytes");
            new TreeMap<>(intention.freeBytes()).forEach(free::put);
        }
        if (!intention.powering().isEmpty()) {
            ObjectNode powering = node.putObject("powering");
            new TreeMap<>(intention.powering()).forEach((id, source) -> powering.put(id, source.word()));
        }
        if (!intention.passes().isEmpty()) {
            ArrayNode passes = node.putArray("passes");
            intention
                    .passes()
                    .forEach(pass ->
                            passes.addObject().put("source", pass.source()).put("part", pass.part()));
        }
        intention.roundTripMilliseconds().ifPresent(trip -> node.put("roundTripMilliseconds", trip));
        if (!intention.standings().isEmpty()) {
            ObjectNode standings = node.putObject("standings");
            new TreeMap<>(intention.standings())
                    .forEach((id, standing) -> standings
                            .putObject(id)
                            .put("along", standing.along())
                            .put("across", standing.across())
                            .put("height", standing.height()));
        }
    }

    /** The intention of a setup. */
    public Intention intention(JsonPlace setup) {
        if (!setup.has("intention")) {
            return Intention.USUAL;
        }
        JsonPlace place = setup.get("intention");
        Map<String, Long> free = new HashMap<>();
        place.get("freeBytes")
                .node()
                .properties()
                .forEach(field -> free.put(field.getKey(), field.getValue().asLong()));
        Map<String, PowerSource> powering = new HashMap<>();
        place.get("powering")
                .node()
                .properties()
                .forEach(field -> Stream.of(PowerSource.values())
                        .filter(source -> source.word().equals(field.getValue().asText()))
                        .forEach(source -> powering.put(field.getKey(), source)));
        Map<String, Standing> standings = new HashMap<>();
        place.get("standings")
                .node()
                .properties()
                .forEach(field -> standings.put(
                        field.getKey(),
                        new Standing(
                                field.getValue().path("along").asDouble(),
                                field.getValue().path("across").asDouble(),
                                field.getValue().path("height").asDouble())));
        List<Intention.Pass> passes = place.get("passes").items().stream()
                .map(pass -> new Intention.Pass(pass.text("source"), pass.text("part")))
                .toList();
        Intention read = build(
                place,
                () -> new Intention(
                        place.node().path("minutes").asInt(Intention.USUAL.minutes()),
                        whole(place, "sampleRateHz"),
                        whole(place, "bits"),
                        number(place, "beatsPerMinute"),
                        free,
                        powering,
                        passes,
                        number(place, "roundTripMilliseconds"),
                        standings));
        return read == null ? Intention.USUAL : read;
    }

    private static OptionalDouble number(JsonPlace place, String field) {
        return place.has(field) ? OptionalDouble.of(place.node().path(field).asDouble()) : OptionalDouble.empty();
    }

    private static OptionalInt whole(JsonPlace place, String field) {
        return place.has(field) ? OptionalInt.of(place.node().path(field).asInt()) : OptionalInt.empty();
    }

    // --- sittings ----------------------------------------------------------------------------------------------

    /** One of them, by itself. */
    public static ObjectNode write(Sitting sitting) {
        ObjectNode node = NODES.objectNode()
                .put("name", sitting.name())
                .put("begun", sitting.begun().toString())
                .put("over", sitting.isOver());
        ArrayNode ticks = node.putArray("ticks");
        sitting.ticks().forEach(tick -> {
            ObjectNode one = ticks.addObject()
                    .put("step", tick.step())
                    .put("title", tick.title())
                    .put("outcome", tick.outcome().word())
                    .put("at", tick.at().toString());
            if (!tick.note().isEmpty()) {
                one.put("note", tick.note());
            }
            if (!tick.photos().isEmpty()) {
                ArrayNode photos = one.putArray("photos");
                tick.photos().forEach(photos::add);
            }
        });
        SetupWriter.wiring(node, sitting.wiring());
        SettingsMapping.write(node, sitting.settings());
        return node;
    }

    /** Reads one of them. */
    public Sitting sitting(JsonPlace place) {
        Instant begun = setups.moment(place.get("begun"));
        List<Tick> ticks = place.get("ticks").items().stream().map(this::tick).toList();
        Wiring wiring = setups.wiring(place);
        Settings settings = setups.settings(place);
        return build(
                place,
                () -> new Sitting(
                        place.text("name"), begun, place.node().path("over").asBoolean(), ticks, wiring, settings),
                begun);
    }

    private Tick tick(JsonPlace place) {
        Instant at = setups.moment(place.get("at"));
        Tick.Outcome outcome = Stream.of(Tick.Outcome.values())
                .filter(each -> each.word().equals(place.text("outcome")))
                .findFirst()
                .orElse(Tick.Outcome.OPEN);
        return build(
                place,
                () -> new Tick(
                        place.text("step"),
                        place.text("title"),
                        outcome,
                        at,
                        place.textOr("note", ""),
                        place.texts("photos")),
                at);
    }
}
