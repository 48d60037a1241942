package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.FlowLevels;

/** What a sheet is made from, and what of it many parts ask for; that is looked for once. */
public final class SheetRig {
    private static final Set<FindingCode> HUM = EnumSet.of(FindingCode.HUM_GROUND_LOOP, FindingCode.HUM_LEAKAGE);

    private static final Set<DeviceKind> PASSIVE = EnumSet.of(
            DeviceKind.INSTRUMENT,
            DeviceKind.MICROPHONE,
            DeviceKind.HEADPHONES,
            DeviceKind.BOX,
            DeviceKind.SPEAKER,
            DeviceKind.HUB);
    /** Profiles of microphones that are clipped to clothes or to something else. */
    private static final Set<String> WORN = Set.of(
            "lavalier-camera", "lavalier-phone", "camera-mic", "headset-ctia", "headset-omtp", "headset-two-plugs");

    private static final Set<PowerSource> FED = EnumSet.of(PowerSource.BUS, PowerSource.PHANTOM, PowerSource.PLUG_IN);

    private final String title;
    private final Patch patch;
    private final List<Checked> joints;
    private final SetupLevels levels;
    private final SessionPlan sessionPlan;
    private final List<Link> links;
    private final List<List<String>> flows;
    private final List<String> loud;
    private final List<String> worn;
    private final List<List<String>> loudGroups;
    private final FlowLevels advised;
    private final Recorders recorders;
    private final List<PhantomSwitch> phantoms;

    /**
     * A rig.
     *
     * @param title of the setup
     * @param patch what is plugged
     * @param joints what comes of it
     * @param levels along its runs
     * @param sessionPlan what is to be done
     */
    public SheetRig(String title, Patch patch, List<Checked> joints, SetupLevels levels, SessionPlan sessionPlan) {
        this.title = title;
        this.patch = patch;
        this.joints = List.copyOf(joints);
        this.levels = levels;
        this.sessionPlan = sessionPlan;
        links = Link.all(patch).stream().filter(Link::isWhole).toList();
        flows = lookForFlows();
        loud = devices().stream().filter(this::isLoud).toList();
        loudGroups = lookForLoudGroups();
        worn = lookForWorn();
        advised = levels.onceAdvised();
        recorders = new Recorders(this);
        phantoms = PhantomSwitch.all(this);
    }

    String title() {
        return title;
    }

    Patch patch() {
        return patch;
    }

    List<Checked> joints() {
        return joints;
    }

    SetupLevels levels() {
        return levels;
    }

    SessionPlan sessionPlan() {
        return sessionPlan;
    }

    /** What is plugged in one go. */
    List<Link> links() {
        return links;
    }

    /** Which device gives a sound to which, as pairs. */
    List<List<String>> flows() {
        return flows;
    }

    /** The levels once every knob stands as advised. */
    FlowLevels advised() {
        return advised;
    }

    /** The marks of all that record something here. */
    public Set<String> recording() {
        return recorders.ids();
    }

    Recorders recorders() {
        return recorders;
    }

    List<PhantomSwitch> phantoms() {
        return phantoms;
    }

    Set<String> devices() {
        return patch.devices().keySet();
    }

    /** Whether a device takes part. */
    public boolean has(String id) {
        return devices().contains(id);
    }

    Device device(String id) {
        return patch.devices().get(id);
    }

    String name(String id) {
        return device(id).name();
    }

    /** "Left speaker, Right speaker". */
    String names(Collection<String> ids) {
        return ids.stream().map(this::name).collect(Collectors.joining(", "));
    }

    /** What was noticed at a link or in one of its leads, worst first. */
    List<Finding> findings(Link link) {
        return link.noticed(joints);
    }

    /** The worst ground loop that was noticed. */
    Optional<Finding> groundLoop() {
        return worst(joints.stream(), Set.of(FindingCode.HUM_GROUND_LOOP));
    }

    /** The worst hum in what is plugged into a device. */
    Optional<Finding> hum(String id) {
        return worst(joints.stream().filter(joint -> joint.patch().devices().containsKey(id)), HUM);
    }

    private static Optional<Finding> worst(Stream<JointRules.Checked> some, Set<FindingCode> codes) {
        return Finding.worstFirst(some.flatMap(joint -> joint.findings().stream())
                        .filter(finding -> codes.contains(finding.code()))
                        .toList())
                .stream()
                .findFirst();
    }

    /** The battery of a device, whatever it runs on. */
    Optional<Powering> battery(String id) {
        return way(id, PowerSource.BATTERY);
    }

    boolean isHost(String id) {
        return device(id).kind().isHost();
    }

    // --- power -------------------------------------------------------------------------------------------------

    /** On what a device runs: as its owner said, else as usual; empty where it runs on nothing, or nobody knows. */
    Optional<Powering> powering(String id) {
        return Optional.ofNullable(sessionPlan.powering().get(id))
                .flatMap(chosen -> way(id, chosen))
                .or(() -> usualPowering(id));
    }

    /** On the lead that feeds it, where one does; else as its maker meant it first. */
    public Optional<Powering> usualPowering(String id) {
        return way(id, PowerSource.BUS)
                .filter(bus -> isOnBus(id))
                .or(() -> device(id).powering().stream().findFirst());
    }

    private Optional<Powering> way(String id, PowerSource source) {
        return device(id).powering().stream()
                .filter(way -> way.source() == source)
                .findFirst();
    }

    private boolean isOnBus(String id) {
        return links.stream().anyMatch(link -> link.feeds(id));
    }

    /** Whether a phone or tablet is charged while it records: by a hub or adapter that a charger or power bank feeds. */
    boolean isCharged(String id) {
        return isHost(id)
                && links.stream()
                        .filter(link -> link.touches(id) && link.isOf(SignalKind.DIGITAL))
                        .flatMap(link -> link.devices().stream())
                        .filter(hub -> device(hub).kind() == DeviceKind.HUB && gives(hub, id))
                        .anyMatch(this::isOnBus);
    }

    /** Whether a hub feeds what it hangs on, the other way round than usual. */
    private boolean gives(String hub, String host) {
        return links.stream()
                .filter(link -> link.touches(hub) && link.touches(host))
                .flatMap(link -> link.sockets().stream())
                .filter(spot -> spot.item().equals(hub))
                .anyMatch(spot -> patch.socket(spot).orElseThrow().has(PowerKind.BUS, PowerRole.GIVES));
    }

    /** Whether it is a store of power, and has to be full. */
    boolean isPowerBank(String id) {
        Device device = device(id);
        return device.kind() == DeviceKind.HUB
                && device.powering().isEmpty()
                && device.sockets().stream().noneMatch(socket -> socket.has(PowerKind.BUS, PowerRole.NEEDS))
                && device.sockets().stream().allMatch(socket -> socket.has(PowerKind.BUS, PowerRole.GIVES))
                && device.sockets().size() > 0
                && device.sockets().stream().noneMatch(device::isUpstream);
    }

    /** Whether it stands on legs or hangs on an arm: microphones that are not worn or held on a camera, and cameras. */
    boolean isOnStand(String id) {
        return device(id).kind() == DeviceKind.CAMERA
                || (device(id).kind() == DeviceKind.MICROPHONE
                        && !worn.contains(id)
                        && device(id).profile().filter(WORN::contains).isEmpty());
    }

    boolean runsOn(String id, PowerSource source) {
        return powering(id).filter(way -> way.source() == source).isPresent();
    }

    /** Whether it needs power at all. */
    boolean isActive(String id) {
        return powering(id).isPresent() || !PASSIVE.contains(device(id).kind());
    }

    /** Whether it is switched on by hand; else what it is plugged into switches it on. */
    boolean isSwitched(String id) {
        return isActive(id)
                && powering(id).filter(way -> FED.contains(way.source())).isEmpty()
                && (powering(id).isPresent() || feeding(id).isEmpty());
    }

    /** The link that gives it the power that it runs on. */
    Optional<Link> feeding(String id) {
        boolean isOnOwn =
                powering(id).filter(way -> way.source() != PowerSource.BUS).isPresent();
        return isOnOwn
                ? Optional.empty()
                : links().stream().filter(link -> link.feeds(id)).findFirst();
    }

    // --- sound -------------------------------------------------------------------------------------------------

    /** What makes a noise in the room when something pops: powered speakers, and amplifiers of speakers. */
    boolean isLoud(String id) {
        boolean isPoweredSpeaker =
                device(id).kind() == DeviceKind.SPEAKER && powering(id).isPresent();
        return isPoweredSpeaker
                || links().stream()
                        .filter(link -> link.isOf(SignalKind.SPEAKER))
                        .anyMatch(link -> link.devices().get(0).equals(id));
    }

    List<String> loud() {
        return loud;
    }

    /** Loud ones that hear the same are switched together. */
    List<List<String>> loudGroups() {
        return loudGroups;
    }

    private List<List<String>> lookForLoudGroups() {
        Map<Set<String>, List<String>> groups = new LinkedHashMap<>();
        for (String id : loud) {
            Set<String> heard = flows.stream()
                    .filter(pair -> pair.get(1).equals(id))
                    .map(pair -> pair.get(0))
                    .collect(Collectors.toSet());
            groups.computeIfAbsent(heard, key -> new ArrayList<>()).add(id);
        }
        return List.copyOf(groups.values());
    }

    /** What is worn on the ears: headphones, and headsets that are heard. */
    List<String> worn() {
        return worn;
    }

    private List<String> lookForWorn() {
        Set<String> heard = heard().stream().map(this::last).collect(Collectors.toSet());
        return devices().stream()
                .filter(id -> device(id).kind() == DeviceKind.HEADPHONES
                        || (device(id).kind() == DeviceKind.MICROPHONE && heard.contains(id)))
                .toList();
    }

    List<String> microphones() {
        return devices().stream()
                .filter(id -> device(id).kind() == DeviceKind.MICROPHONE)
                .toList();
    }

    private List<List<String>> lookForFlows() {
        Stream<List<String>> voltages = joints.stream()
                .flatMap(joint -> joint.reading().stream())
                .flatMap(reading -> reading.ways().stream())
                .filter(way -> !way.isLost())
                .map(way ->
                        List.of(way.from().socket().item(), way.to().socket().item()));
        Stream<List<String>> data = links().stream()
                .filter(link -> link.isOf(SignalKind.DIGITAL))
                .flatMap(link -> Recorders.sending(this, link).stream());
        return Stream.concat(voltages, data)
                .filter(pair -> !pair.get(0).equals(pair.get(1)))
                .distinct()
                .toList();
    }

    /** The runs that are recorded, in the order of the tracks' devices. */
    List<Trace> recorded() {
        return levels.traces().stream()
                .filter(trace -> end(trace).kind() == End.Kind.TRACK)
                .toList();
    }

    /** Those that are heard. */
    List<Trace> heard() {
        return levels.traces().stream()
                .filter(trace -> end(trace).kind() != End.Kind.TRACK)
                .toList();
    }

    End end(Trace trace) {
        return levels.rig().flow().ends().get(trace.path().end());
    }

    /** The device that a run starts at. */
    String source(Trace trace) {
        return levels.rig().flow().points().get(trace.path().source()).station();
    }

    /** The device that makes numbers of it, or that is listened to. */
    String last(Trace trace) {
        return levels.rig().flow().points().get(end(trace).point()).station();
    }

    /** The devices that are played into a track. */
    Set<String> players() {
        Set<String> players = new LinkedHashSet<>();
        recorded().forEach(trace -> players.add(source(trace)));
        return players;
    }
}
