package kalodyne.core.gear.file;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import kalodyne.core.files.json.Fields;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Problems;
import kalodyne.core.files.json.Words;
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
import kalodyne.core.gear.Driver;
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
import kalodyne.core.gear.SocketState;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.gear.Wire;

/** Devices and leads. What is empty or as usual is left out. */
public final class GearForms {
    private static final Words<Carries> CARRIES = choice(Carries.class);
    private static final Words<Direction> WAY = choice(Direction.class);
    private static final Words<Wire.Spot> SPOT = new Words<>(Wire.Spot::read, Wire.Spot::write);

    private static final ObjectForm<DeviceControl> CONTROL = ObjectForm.of(f -> new DeviceControl(
            f.text("id", DeviceControl::id),
            f.text("name", DeviceControl::name),
            f.value("kind", choice(ControlKind.class), DeviceControl::kind),
            f.maybe("taper", TaperForms.TAPER, DeviceControl::taper),
            f.valueOr("dial", TaperForms.DIAL, Dial.USUAL, DeviceControl::dial),
            f.listIfAny("positions", JsonForm.TEXT, DeviceControl::positions)));

    private static final ObjectForm<LeadEnd> END = ObjectForm.of(f -> new LeadEnd(
            f.text("id", LeadEnd::id),
            f.textIfAny("name", LeadEnd::name),
            f.value("connector", choice(Connector.class), LeadEnd::connector),
            f.valueOr("form", choice(Form.class), Form.PLUG, LeadEnd::form)));

    private static final ObjectForm<ChannelPair> CHANNELS = ObjectForm.of(GearForms::channels);

    private final JsonForm<Facts> socketFacts;
    private final ObjectForm<SocketPower> socketPower;
    private final ObjectForm<SocketState> socketState;
    private final ObjectForm<Stage> stage;
    private final ObjectForm<Powering> powering;
    private final ObjectForm<Wire> wire;
    private final ObjectForm<Device> device;
    private final ObjectForm<Lead> lead;

    /** For JSON in which every value tells for itself where it is from. */
    public GearForms() {
        this(Map.of());
    }

    /**
     * For gear in a larger file.
     *
     * @param head has "reasons" that values may name instead of telling where they are from
     */
    public GearForms(JsonPlace head, Problems problems) {
        this(reasons(head.get("reasons"), problems));
    }

    private GearForms(Map<String, Provenance> reasons) {
        FactForms facts = new FactForms(reasons);
        socketFacts = facts.of(Fact.Of.SOCKET);
        JsonForm<Facts> ofPower = facts.of(Fact.Of.SOCKET_POWER);
        socketPower = ObjectForm.of(f -> new SocketPower(
                f.value("kind", choice(PowerKind.class), SocketPower::kind),
                f.value("role", choice(PowerRole.class), SocketPower::role),
                f.maybe("control", JsonForm.TEXT, SocketPower::control),
                f.valueOr("values", ofPower, Facts.NONE, SocketPower::facts)));
        socketState = ObjectForm.of(f -> new SocketState(
                f.text("control", SocketState::control),
                f.text("at", SocketState::at),
                f.maybe("signal", choice(SignalKind.class), SocketState::signal),
                f.valueOr("values", socketFacts, Facts.NONE, SocketState::facts)));
        JsonForm<Facts> ofStage = facts.of(Fact.Of.STAGE);
        stage = ObjectForm.of(f -> new Stage(
                f.text("id", Stage::id),
                f.text("name", Stage::name),
                f.value("kind", choice(StageKind.class), Stage::kind),
                f.maybe("side", CARRIES, Stage::side),
                f.listIfAny("from", JsonForm.TEXT, Stage::from),
                f.listIfAny("controls", JsonForm.TEXT, Stage::controls),
                f.valueOr("values", ofStage, Facts.NONE, Stage::facts)));
        JsonForm<Facts> ofPowering = facts.of(Fact.Of.POWERING);
        powering = ObjectForm.of(f -> new Powering(
                f.value("source", choice(PowerSource.class), Powering::source),
                f.valueOr("values", ofPowering, Facts.NONE, Powering::facts)));
        JsonForm<Facts> ofWire = facts.of(Fact.Of.WIRE);
        wire = ObjectForm.of(f -> new Wire(
                f.value("from", SPOT, Wire::from),
                f.value("to", SPOT, Wire::to),
                f.valueOr("conductor", choice(Conductor.class), Conductor.CORE, Wire::conductor),
                f.valueOr("values", ofWire, Facts.NONE, Wire::facts)));
        ObjectForm<Socket> socket = ObjectForm.of(this::socket);
        JsonForm<Facts> ofDevice = facts.of(Fact.Of.DEVICE);
        device = ObjectForm.of(f -> new Device(
                f.text("id", Device::id),
                f.text("name", Device::name),
                f.value("kind", choice(DeviceKind.class), Device::kind),
                f.maybe("profile", JsonForm.TEXT, Device::profile),
                f.textIfAny("note", Device::note),
                f.maybe("photo", JsonForm.TEXT, Device::photo),
                f.list("sockets", socket, Device::sockets),
                f.listIfAny("stages", stage, Device::stages),
                f.listIfAny("controls", CONTROL, Device::controls),
                f.listIfAny("powering", powering, Device::powering),
                f.listIfAny("sampleRatesHz", JsonForm.WHOLE, Device::sampleRatesHz),
                f.listIfAny("bitDepths", JsonForm.WHOLE, Device::bitDepths),
                f.maybe("driver", choice(Driver.class), Device::driver),
                f.valueOr("values", ofDevice, Facts.NONE, Device::facts)));
        JsonForm<Facts> ofLead = facts.of(Fact.Of.LEAD);
        lead = ObjectForm.of(f -> new Lead(
                f.text("id", Lead::id),
                f.text("name", Lead::name),
                f.value("kind", choice(LeadKind.class), Lead::kind),
                f.maybe("profile", JsonForm.TEXT, Lead::profile),
                f.list("ends", END, Lead::ends),
                f.list("wires", wire, Lead::wires),
                f.textIfAny("colour", Lead::colour),
                f.textIfAny("note", Lead::note),
                f.maybe("photo", JsonForm.TEXT, Lead::photo),
                f.maybe("owned", JsonForm.WHOLE, each -> Optional.of(each.owned()))
                        .orElse(1),
                f.valueOr("values", ofLead, Facts.NONE, Lead::facts)));
    }

    private static Map<String, Provenance> reasons(JsonPlace named, Problems problems) {
        Map<String, Provenance> reasons = new HashMap<>();
        for (String name : named.fields()) {
            FactForms.PROVENANCE.read(named.get(name), problems).ifPresent(reason -> reasons.put(name, reason));
        }
        return reasons;
    }

    /** One of a list, by its word. */
    public static <E extends Enum<E> & Coded> Words<E> choice(Class<E> choices) {
        return new Words<>(word -> Coded.read(choices, word), Coded::word);
    }

    public ObjectForm<Device> device() {
        return device;
    }

    public ObjectForm<Lead> lead() {
        return lead;
    }

    private Socket socket(Fields<Socket> f) {
        String id = f.text("id", Socket::id);
        return new Socket(
                id,
                f.text("name", Socket::name),
                f.value("connector", choice(Connector.class), Socket::connector),
                f.valueOr("form", choice(Form.class), Form.SOCKET, Socket::form),
                f.value("way", WAY, Socket::way),
                f.value("signal", choice(SignalKind.class), Socket::signal),
                f.maybe("balance", choice(Balance.class), Socket::balance),
                contacts(f, Socket::contacts),
                f.maybe("side", CARRIES, Socket::side).or(() -> sideOf(id)),
                new Socket.Ties(
                        f.maybe("opening", JsonForm.TEXT, it -> it.ties().opening()),
                        f.maybe("normalledFrom", JsonForm.TEXT, it -> it.ties().normalledFrom()),
                        f.maybe("monoWithout", JsonForm.TEXT, it -> it.ties().monoWithout()),
                        f.maybe("parallelTo", JsonForm.TEXT, it -> it.ties().parallelTo())),
                f.listIfAny("from", JsonForm.TEXT, Socket::from),
                f.listIfAny("power", socketPower, Socket::power),
                f.listIfAny("channels", CHANNELS, Socket::channels),
                f.listIfAny("states", socketState, Socket::states),
                f.valueOr("values", socketFacts, Facts.NONE, Socket::facts));
    }

    /** Which side of a pair it is, where that is not told, as before it was kept. */
    private static Optional<Carries> sideOf(String id) {
        return id.contains("left")
                ? Optional.of(Carries.LEFT)
                : id.contains("right") ? Optional.of(Carries.RIGHT) : Optional.empty();
    }

    /** What each contact carries; those that carry nothing are left out. */
    public static <T> Map<Contact, Carries> contacts(Fields<T> f, Function<T, Map<Contact, Carries>> get) {
        return f.map("contacts", choice(Contact.class), CARRIES, from -> {
            Map<Contact, Carries> used = new EnumMap<>(Contact.class);
            get.apply(from).forEach((contact, carries) -> {
                if (carries != Carries.NOTHING) {
                    used.put(contact, carries);
                }
            });
            return used;
        });
    }

    private static ChannelPair channels(Fields<ChannelPair> f) {
        Direction way = f.value("way", WAY, ChannelPair::way);
        String channels = f.text("channels", ChannelPair::channels);
        // Before it was kept, the words told the role.
        Optional<ChannelRole> role = f.maybe("role", choice(ChannelRole.class), it -> Optional.of(it.role()));
        String carries = f.text("carries", ChannelPair::carries);
        return new ChannelPair(
                way,
                channels,
                role.orElseGet(() -> ChannelRole.ofWords(way, carries)),
                carries,
                f.listIfAny("from", JsonForm.TEXT, ChannelPair::from));
    }
}
