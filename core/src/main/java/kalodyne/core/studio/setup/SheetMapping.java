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
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
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
    public static void write(ObjectNode setup, SessionPlan sessionPlan) {
        if (sessionPlan.equals(SessionPlan.USUAL)) {
            return;
        }
        ObjectNode node = setup.putObject("intention").put("minutes", sessionPlan.minutes());
        sessionPlan.sampleRateHz().ifPresent(rate -> node.put("sampleRateHz", rate));
        sessionPlan.bits().ifPresent(bits -> node.put("bits", bits));
        sessionPlan.beatsPerMinute().ifPresent(beats -> node.put("beatsPerMinute", beats));
        if (!sessionPlan.freeBytes().isEmpty()) {
            ObjectNode free = node.putObject("freeBytes");
            new TreeMap<>(sessionPlan.freeBytes()).forEach(free::put);
        }
        if (!sessionPlan.powering().isEmpty()) {
            ObjectNode powering = node.putObject("powering");
            new TreeMap<>(sessionPlan.powering()).forEach((id, source) -> powering.put(id, source.word()));
        }
        if (!sessionPlan.passes().isEmpty()) {
            ArrayNode passes = node.putArray("passes");
            sessionPlan
                    .passes()
                    .forEach(pass ->
                            passes.addObject().put("source", pass.source()).put("part", pass.part()));
        }
        sessionPlan.roundTripMilliseconds().ifPresent(trip -> node.put("roundTripMilliseconds", trip));
        if (!sessionPlan.standings().isEmpty()) {
            ObjectNode standings = node.putObject("standings");
            new TreeMap<>(sessionPlan.standings())
                    .forEach((id, standing) -> standings
                            .putObject(id)
                            .put("along", standing.along())
                            .put("across", standing.across())
                            .put("height", standing.height()));
        }
    }

    /** The intention of a setup. */
    public SessionPlan sessionPlan(JsonPlace setup) {
        if (!setup.has("intention")) {
            return SessionPlan.USUAL;
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
        List<SessionPlan.Pass> passes = place.get("passes").items().stream()
                .map(pass -> new SessionPlan.Pass(pass.text("source"), pass.text("part")))
                .toList();
        SessionPlan read = build(
                place,
                () -> new SessionPlan(
                        place.node().path("minutes").asInt(SessionPlan.USUAL.minutes()),
                        whole(place, "sampleRateHz"),
                        whole(place, "bits"),
                        number(place, "beatsPerMinute"),
                        free,
                        powering,
                        passes,
                        number(place, "roundTripMilliseconds"),
                        standings));
        return read == null ? SessionPlan.USUAL : read;
    }

    private static OptionalDouble number(JsonPlace place, String field) {
        return place.has(field) ? OptionalDouble.of(place.node().path(field).asDouble()) : OptionalDouble.empty();
    }

    private static OptionalInt whole(JsonPlace place, String field) {
        return place.has(field) ? OptionalInt.of(place.node().path(field).asInt()) : OptionalInt.empty();
    }

    // --- sessions ----------------------------------------------------------------------------------------------

    /** One of them, by itself. */
    public static ObjectNode write(Session session) {
        ObjectNode node = NODES.objectNode()
                .put("name", session.name())
                .put("begun", session.begun().toString())
                .put("over", session.isOver());
        ArrayNode ticks = node.putArray("ticks");
        session.ticks().forEach(tick -> {
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
        SetupWriter.wiring(node, session.wiring());
        SettingsMapping.write(node, session.settings());
        return node;
    }

    /** Reads one of them. */
    public Session session(JsonPlace place) {
        Instant begun = setups.moment(place.get("begun"));
        List<Tick> ticks = place.get("ticks").items().stream().map(this::tick).toList();
        Wiring wiring = setups.wiring(place);
        Settings settings = setups.settings(place);
        return build(
                place,
                () -> new Session(
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
