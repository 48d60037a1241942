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
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.FlowLevels;

/** What a sheet is made from, and what of it many parts ask for; that is looked for once. */
public final class SheetRig {
    private static final Set<DeviceKind> PASSIVE = EnumSet.of(
            DeviceKind.INSTRUMENT, DeviceKind.MICROPHONE, DeviceKind.HEADPHONES, DeviceKind.BOX, DeviceKind.SPEAKER);
    private static final Set<PowerSource> FED = EnumSet.of(PowerSource.BUS, PowerSource.PHANTOM, PowerSource.PLUG_IN);

    private final String title;
    private final Patch patch;
    private final List<Checked> joints;
    private final SetupLevels levels;
    private final SessionPlan sessionPlan;
    private final List<Link> links;
    private final List<List<String>> flows;
    private final List<String> loud;
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

    boolean isHost(String id) {
        return device(id).kind().isHost();
    }

    // --- power -------------------------------------------------------------------------------------------------

    /** On what a device runs: as its owner said, else as usual; empty where it runs on nothing, or nobody knows. */
    Optional<Powering> powering(String id) {
        List<Powering> ways = device(id).powering();
        return Optional.ofNullable(sessionPlan.powering().get(id))
                .flatMap(chosen ->
                        ways.stream().filter(way -> way.source() == chosen).findFirst())
                .or(() -> ways.stream().findFirst());
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

    List<String> headphones() {
        return devices().stream()
                .filter(id -> device(id).kind() == DeviceKind.HEADPHONES)
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
