package kalodyne.core.studio;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Names;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.runsheet.SpotWords;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.Setup;

/**
 * All that somebody owns and how it is connected.
 *
 * @param name "The Boathouse"
 * @param devices each with an id of its own, in the order in which they were added
 * @param leads each with an id of its own, in the order in which they were added
 * @param setups each with an id of its own, one or more
 * @param practised exercises that were answered, the oldest first
 */
@RecordBuilder
public record Studio(String name, List<Device> devices, List<Lead> leads, List<Setup> setups, List<Answer> practised)
        implements StudioBuilder.With {
    public Studio {
        name = Names.checked(name);
        devices = List.copyOf(devices);
        leads = List.copyOf(leads);
        setups = List.copyOf(setups);
        practised = List.copyOf(practised);
    }

    /** Where nothing was practised. */
    public Studio(String name, List<Device> devices, List<Lead> leads, List<Setup> setups) {
        this(name, devices, leads, setups, List.of());
    }

    /** What a new user starts with. */
    public static Studio empty() {
        return new Studio("My studio", List.of(), List.of(), List.of(Setup.empty()));
    }

    /** A studio of one setup and nothing on the shelf. */
    public static Studio of(String name, Setup setup) {
        return new Studio(name, List.of(), List.of(), List.of(setup));
    }

    public Optional<Device> device(String id) {
        return devices.stream().filter(device -> device.id().equals(id)).findFirst();
    }

    public Optional<Lead> lead(String id) {
        return leads.stream().filter(lead -> lead.id().equals(id)).findFirst();
    }

    public Optional<Setup> setup(String id) {
        return setups.stream().filter(setup -> setup.id().equals(id)).findFirst();
    }

    /** How its gear is called. Looked up and not looked for: a log asks for every knob of every take. */
    public SpotWords words() {
        Map<String, Device> devicesById = byId(devices, Device::id);
        Map<String, Lead> leadsById = byId(leads, Lead::id);
        return new SpotWords(
                id -> Optional.ofNullable(devicesById.get(id)), id -> Optional.ofNullable(leadsById.get(id)));
    }

    private static <T> Map<String, T> byId(List<T> items, Function<T, String> id) {
        return items.stream().collect(Collectors.toMap(id, Function.identity(), (one, other) -> one));
    }

    /** Gear and leads as they are plugged together in a setup; what is no longer on the shelf is left out. */
    public Patch patch(Setup setup) {
        Wiring wiring = wiring(setup);
        List<Device> filming = setup.sessionPlan().film().flatMap(this::device).filter(Device::recordsByItself).stream()
                .toList();
        boolean isNothing = wiring.plugged().isEmpty() && filming.isEmpty();
        return wiring.patch(this::device, this::lead, isNothing ? byItself() : filming);
    }

    /** What is meant where nothing is plugged: the one device that records by itself. Of several nobody knows which. */
    private List<Device> byItself() {
        List<Device> all = devices.stream().filter(Device::recordsByItself).toList();
        return all.size() == 1 ? all : List.of();
    }

    /** The wiring of a setup, with its pan pots as far as they decide what goes where. */
    public Wiring wiring(Setup setup) {
        Wiring wiring = setup.wiring();
        for (Map.Entry<Spot, Double> knob : setup.settings().positions().entrySet()) {
            boolean isPan = device(knob.getKey().item())
                    .flatMap(device -> device.control(knob.getKey().part()))
                    .filter(control -> control.kind() == ControlKind.PAN)
                    .isPresent();
            wiring = isPan ? wiring.with(new Switched(knob.getKey(), PanTaper.mark(knob.getValue()))) : wiring;
        }
        return wiring;
    }

    /** With a device added, or put in the place of the one with its id. */
    public Studio with(Device device) {
        return withDevices(put(devices, device, Device::id));
    }

    /** With a lead added, or put in the place of the one with its id. */
    public Studio with(Lead lead) {
        return withLeads(put(leads, lead, Lead::id));
    }

    /** With its recordings and its photographs under other names. */
    public Studio withFiles(UnaryOperator<String> takeFile, UnaryOperator<String> photo) {
        return withSetups(setups.stream()
                        .map(setup -> setup.withFiles(takeFile, photo))
                        .toList())
                .withDevices(devices.stream()
                        .map(device -> device.withPhoto(device.photo().map(photo)))
                        .toList())
                .withLeads(leads.stream()
                        .map(lead -> lead.withPhoto(lead.photo().map(photo)))
                        .toList());
    }

    /** With a setup added, or put in the place of the one with its id. */
    public Studio with(Setup setup) {
        return withSetups(put(setups, setup, Setup::id));
    }

    /** With one setup changed. */
    public Studio changing(String setupId, UnaryOperator<Setup> change) {
        return setup(setupId).map(setup -> with(change.apply(setup))).orElse(this);
    }

    public Studio withoutDevice(String id) {
        return withDevices(
                devices.stream().filter(device -> !device.id().equals(id)).toList());
    }

    public Studio withoutLead(String id) {
        return withLeads(leads.stream().filter(lead -> !lead.id().equals(id)).toList());
    }

    public Studio withoutSetup(String id) {
        return withSetups(
                setups.stream().filter(setup -> !setup.id().equals(id)).toList());
    }

    /** A name that no other of these has: the one wanted, or with a number behind it. */
    public static String freeName(String wanted, Collection<String> taken) {
        Set<String> names = taken instanceof Set<String> set ? set : new HashSet<>(taken);
        String free = wanted;
        for (int number = 2; names.contains(free); number++) {
            String tail = " " + number;
            int room = Names.LONGEST_NAME - tail.length();
            free = (wanted.length() > room ? wanted.substring(0, room) : wanted) + tail;
        }
        return free;
    }

    private static <T> List<T> put(List<T> items, T item, Function<T, String> id) {
        List<T> changed = new ArrayList<>(items);
        for (int i = 0; i < changed.size(); i++) {
            if (id.apply(changed.get(i)).equals(id.apply(item))) {
                changed.set(i, item);
                return changed;
            }
        }
        changed.add(item);
        return changed;
    }
}
