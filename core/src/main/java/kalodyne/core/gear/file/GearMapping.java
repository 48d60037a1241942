package kalodyne.core.gear.file;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.Coded;
import kalodyne.core.gear.Conductor;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.LeadKind;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.SocketPower;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.Wire;

/** Devices and leads from JSON. */
public final class GearMapping extends Mapping {
    private final Map<String, Provenance> reasons;

    /** Gear is full of the same values from the same sources: each is read once. */
    private final Map<List<Object>, Value<?>> known = new HashMap<>();

    /** For JSON in which every value tells for itself where it is from. */
    public GearMapping() {
        this.reasons = Map.of();
    }

    private GearMapping(Mapping larger, JsonPlace head) {
        super(larger);
        this.reasons = new HashMap<>();
        JsonPlace named = head.get("reasons");
        for (String name : named.fields()) {
            Provenance reason = provenance(named.get(name));
            if (reason != null) {
                reasons.put(name, reason);
            }
        }
    }

    /**
     * For gear in a larger file.
     *
     * @param head has "reasons" that values may name instead of telling where they are from
     */
    public static GearMapping withReasons(Mapping larger, JsonPlace head) {
        return new GearMapping(larger, head);
    }

    public Device device(JsonPlace place) {
        List<Socket> sockets = all(place.get("sockets"), this::socket);
        List<Stage> stages = all(place.get("stages"), this::stage);
        List<DeviceControl> controls = all(place.get("controls"), this::control);
        List<Powering> powering = all(place.get("powering"), this::powering);
        DeviceKind kind = choice(place, "kind", DeviceKind.class);
        Facts facts = facts(place, Fact.Of.DEVICE);
        if (sockets == null || stages == null || controls == null || powering == null) {
            return null;
        }
        return build(
                place,
                () -> new Device(
                        place.text("id"),
                        place.text("name"),
                        kind,
                        optional(place, "profile"),
                        place.text("note"),
                        sockets,
                        stages,
                        controls,
                        powering,
                        numbers(place, "sampleRatesHz"),
                        numbers(place, "bitDepths"),
                        facts),
                kind,
                facts);
    }

    public Lead lead(JsonPlace place) {
        List<LeadEnd> ends = all(place.get("ends"), this::end);
        List<Wire> wires = all(place.get("wires"), this::wire);
        LeadKind kind = choice(place, "kind", LeadKind.class);
        Facts facts = facts(place, Fact.Of.LEAD);
        return build(
                place,
                () -> new Lead(
                        place.text("id"),
                        place.text("name"),
                        kind,
                        optional(place, "profile"),
                        ends,
                        wires,
                        place.text("colour"),
                        place.text("note"),
                        place.node().path("owned").asInt(1),
                        facts),
                ends,
                wires,
                kind,
                facts);
    }

    private Socket socket(JsonPlace place) {
        Connector connector = choice(place, "connector", Connector.class);
        Form form = place.has("form") ? choice(place, "form", Form.class) : Form.SOCKET;
        Direction way = choice(place, "way", Direction.class);
        SignalKind signal = choice(place, "signal", SignalKind.class);
        Balance balance = place.has("balance") ? choice(place, "balance", Balance.class) : null;
        Map<Contact, Carries> contacts = connector == null ? null : contacts(place.get("contacts"));
        List<SocketPower> power = all(place.get("power"), this::socketPower);
        List<ChannelPair> channels = all(place.get("channels"), this::channels);
        Facts facts = facts(place, Fact.Of.SOCKET);
        return build(
                place,
                () -> new Socket(
                        place.text("id"),
                        place.text("name"),
                        connector,
                        form,
                        way,
                        signal,
                        Optional.ofNullable(balance),
                        contacts,
                        side(place),
                        new Socket.Ties(
                                optional(place, "opening"),
                                optional(place, "normalledFrom"),
                                optional(place, "monoWithout"),
                                optional(place, "parallelTo")),
                        place.texts("from"),
                        power,
                        channels,
                        facts),
                connector,
                form,
                way,
                signal,
                contacts,
                power,
                channels,
                facts);
    }

    /** Which side of a pair it is; where that is not told, as before it was kept, its mark may say it. */
    private Optional<Carries> side(JsonPlace place) {
        if (place.has("side")) {
            return Optional.ofNullable(choice(place, "side", Carries.class));
        }
        String mark = place.text("id");
        return mark.contains("left")
                ? Optional.of(Carries.LEFT)
                : mark.contains("right") ? Optional.of(Carries.RIGHT) : Optional.empty();
    }

    /** What each contact carries; null where it could not be read. */
    public Map<Contact, Carries> contacts(JsonPlace place) {
        Map<Contact, Carries> contacts = new EnumMap<>(Contact.class);
        for (String mark : place.fields()) {
            Contact contact = build(place, () -> Coded.read(Contact.class, mark));
            Carries carries = choice(place, mark, Carries.class);
            if (contact == null || carries == null) {
                return null;
            }
            contacts.put(contact, carries);
        }
        return contacts;
    }

    private SocketPower socketPower(JsonPlace place) {
        PowerKind kind = choice(place, "kind", PowerKind.class);
        PowerRole role = choice(place, "role", PowerRole.class);
        Facts facts = facts(place, Fact.Of.SOCKET_POWER);
        return build(place, () -> new SocketPower(kind, role, optional(place, "control"), facts), kind, role, facts);
    }

    private ChannelPair channels(JsonPlace place) {
        Direction way = choice(place, "way", Direction.class);
        ChannelRole role = place.has("role") || way == null
                ? choice(place, "role", ChannelRole.class)
                : ChannelRole.ofWords(way, place.text("carries"));
        return build(
                place,
                () -> new ChannelPair(way, place.text("channels"), role, place.text("carries"), place.texts("from")),
                way,
                role);
    }

    private Stage stage(JsonPlace place) {
        StageKind kind = choice(place, "kind", StageKind.class);
        Carries side = place.has("side") ? choice(place, "side", Carries.class) : null;
        Facts facts = facts(place, Fact.Of.STAGE);
        return build(
                place,
                () -> new Stage(
                        place.text("id"),
                        place.text("name"),
                        kind,
                        Optional.ofNullable(side),
                        place.texts("from"),
                        place.texts("controls"),
                        facts),
                kind,
                facts);
    }

    private DeviceControl control(JsonPlace place) {
        TaperMapping tapers = new TaperMapping(this);
        ControlKind kind = choice(place, "kind", ControlKind.class);
        Optional<Taper> taper = place.has("taper") ? orNull(tapers.taper(place.get("taper"))) : Optional.empty();
        Dial dial = tapers.dial(place);
        return build(
                place,
                () -> new DeviceControl(
                        place.text("id"), place.text("name"), kind, taper, dial, place.texts("positions")),
                kind,
                taper,
                dial);
    }

    /** Of a value that could not be read there is nothing, not even its absence. */
    private static <T> Optional<T> orNull(T read) {
        return read == null ? null : Optional.of(read);
    }

    private Powering powering(JsonPlace place) {
        PowerSource source = choice(place, "source", PowerSource.class);
        Facts facts = facts(place, Fact.Of.POWERING);
        return build(place, () -> new Powering(source, facts), source, facts);
    }

    private LeadEnd end(JsonPlace place) {
        Connector connector = choice(place, "connector", Connector.class);
        Form form = place.has("form") ? choice(place, "form", Form.class) : Form.PLUG;
        return build(place, () -> new LeadEnd(place.text("id"), place.text("name"), connector, form), connector, form);
    }

    private Wire wire(JsonPlace place) {
        Wire.Spot from = build(place.get("from"), () -> Wire.Spot.read(place.text("from")));
        Wire.Spot to = build(place.get("to"), () -> Wire.Spot.read(place.text("to")));
        Conductor conductor = place.has("conductor") ? choice(place, "conductor", Conductor.class) : Conductor.CORE;
        Facts facts = facts(place, Fact.Of.WIRE);
        return build(place, () -> new Wire(from, to, conductor, facts), from, to, conductor, facts);
    }

    // --- values ------------------------------------------------------------------------------------------------

    private Facts facts(JsonPlace owner, Fact.Of of) {
        if (!owner.has("values")) {
            return Facts.NONE;
        }
        JsonPlace place = owner.get("values");
        Facts.Builder facts = new Facts.Builder();
        boolean isWhole = true;
        for (String id : place.fields()) {
            Optional<Fact<?>> fact = Fact.named(of, id);
            if (fact.isEmpty()) {
                problem(place.get(id), "This is not a value that it can have.", "Remove it or check its spelling.");
            }
            isWhole &= fact.isPresent() && add(facts, fact.get(), place.get(id));
        }
        return isWhole ? facts.build() : null;
    }

    private <T> boolean add(Facts.Builder facts, Fact<T> fact, JsonPlace place) {
        List<Object> key = List.of(fact, place.node());
        @SuppressWarnings("unchecked") // the fact is part of the key
        Value<T> value = (Value<T>) known.get(key);
        if (value == null) {
            T is = quantity(place, "is", fact.quantity());
            Provenance from = provenance(place);
            value = build(place, () -> new Value<>(is, from), is, from);
        }
        if (value != null) {
            known.put(key, value);
            facts.with(fact, value);
        }
        return value != null;
    }

    private Provenance provenance(JsonPlace place) {
        if (place.has("reason")) {
            Provenance named = reasons.get(place.text("reason"));
            if (named == null) {
                problem(place.get("reason"), "There is no such reason.", "Name one of the reasons at the file's head.");
            }
            return named;
        }
        Provenance.Origin origin = choice(place, "from", Provenance.Origin.class);
        Provenance.Ground ground = place.has("ground") ? choice(place, "ground", Provenance.Ground.class) : null;
        LocalDate date = place.has("date") ? build(place.get("date"), () -> Provenance.date(place.text("date"))) : null;
        return build(
                place,
                () -> new Provenance(
                        origin, Optional.ofNullable(ground), place.text("source"), Optional.ofNullable(date)),
                origin);
    }

    private <E extends Enum<E> & Coded> E choice(JsonPlace parent, String field, Class<E> choices) {
        JsonPlace place = parent.get(field);
        return build(place, () -> Coded.read(choices, place.node().asText()));
    }

    private static Optional<String> optional(JsonPlace place, String field) {
        return place.has(field) ? Optional.of(place.text(field)) : Optional.empty();
    }

    private static List<Integer> numbers(JsonPlace place, String field) {
        return place.get(field).items().stream()
                .map(item -> item.node().asInt())
                .toList();
    }

    /** All items of a list; null where one of them could not be read. */
    private static <T> List<T> all(JsonPlace list, Function<JsonPlace, T> read) {
        List<T> items = list.items().stream().map(read).toList();
        return items.stream().anyMatch(Objects::isNull) ? null : items;
    }
}
