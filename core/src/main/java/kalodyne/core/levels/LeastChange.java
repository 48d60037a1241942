package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.rules.JointChecks;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.Advised;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * The least change of a rig after which the knobs along a run can do what is wanted: each is made, and everything computed anew.
 * What costs nothing goes before what must be bought; of two of a kind the one with less noise.
 */
public final class LeastChange {
    /** Pads and boosters as they are sold; common practice. */
    private static final double[] PADS_DB = {10, 15, 20, 30, 40};

    private static final double[] BOOSTS_DB = {10, 20, 25, 30, 40};
    private static final double[] PREAMPS_DB = {10, 20, 30, 40, 50, 60};

    /** Of a microphone twice and four times as far, and half as far; farther it is the room that is heard. Common practice. */
    private static final double[] DISTANCES_DB = {-6, -12, 6};

    private static final Level BOOSTER_NOISE = new Level(-128);
    private static final Level BOOSTER_CEILING = new Level(10);

    /** Above this it is no microphone that is boosted. */
    private static final Level LINE = new Level(-15);

    private final Rig rig;
    private final Settings settings;
    private final Wanted wanted;
    private final Trace trace;
    private final BooleanSupplier isCancelled;
    private final List<Change> found = new ArrayList<>();

    /**
     * A change that helps.
     *
     * @param kind what sort of change
     * @param words an instruction: "Put a pad of 20 dB between Bass synth and Mixer"
     * @param range the loudest peak above the noise at the end, once it is made and the advice followed
     * @param aimed the aimed line at the end then, on its scale
     */
    public record Change(Kind kind, String words, Gain range, double aimed) {
        /** In the order of what they cost. */
        public enum Kind {
            UNLOCK,
            SWITCH,
            DISTANCE,
            OTHER_SOCKET,
            OTHER_OUTPUT,
            PAD,
            BOOSTER,
            PREAMP
        }
    }

    private LeastChange(Rig rig, Settings settings, Trace trace, BooleanSupplier isCancelled) {
        this.rig = rig;
        this.settings = settings;
        this.wanted = settings.wanted();
        this.trace = trace;
        this.isCancelled = isCancelled;
    }

    /**
     * Changes that help a run, the least first; none where nothing is in its way, or where nothing helps.
     *
     * @param isCancelled asked between two of them
     */
    public static List<Change> of(Rig rig, Settings settings, Trace trace, BooleanSupplier isCancelled) {
        LeastChange changes = new LeastChange(rig, settings, trace, isCancelled);
        if (changes.isFine(rig.flow())) {
            return List.of();
        }
        changes.unlock();
        changes.switches();
        changes.distance();
        changes.otherSockets();
        changes.padsAndBoosters();
        return changes.found.stream()
                .sorted(Comparator.comparing(Change::kind)
                        .thenComparing(change -> change.range().db(), Comparator.reverseOrder()))
                .toList();
    }

    // --- trying --------------------------------------------------------------------------------------------------

    private PointId sourceId() {
        return rig.flow().points().get(trace.path().source()).id();
    }

    private Optional<Flow> advised(Flow flow) {
        OptionalInt source = flow.indexOf(sourceId());
        if (source.isEmpty() || isCancelled.getAsBoolean()) {
            return Optional.empty();
        }
        Advised advised = GainAdviser.adviseAround(flow, wanted, source.getAsInt());
        return Optional.of(advised.followedOn(flow));
    }

    private boolean isFine(Flow flow) {
        return fine(flow).isPresent();
    }

    /** A run of the source to an end of the same kind that is in its aim with nothing clipping, once the advice is followed. */
    private Optional<FlowEnd> fine(Flow flow) {
        return advised(flow).flatMap(then -> {
            FlowLevels levels = FlowLevels.of(then);
            End.Kind kind = rig.flow().ends().get(trace.path().end()).kind();
            int source = then.indexOf(sourceId()).orElseThrow();
            return then.runs().stream()
                    .filter(run -> run.source() == source
                            && then.ends().get(run.end()).kind() == kind
                            && then.ends().get(run.end()).isTolerated(levels.aimed(run.end()))
                            && run.points().stream().noneMatch(levels::clips))
                    .map(run -> new FlowEnd(levels.range(run.end()), levels.aimed(run.end())))
                    .findFirst();
        });
    }

    private record FlowEnd(Gain range, double aimed) {}

    private boolean offer(Change.Kind kind, String words, Flow flow) {
        Optional<FlowEnd> end = fine(flow);
        end.ifPresent(each -> found.add(new Change(kind, words, each.range(), each.aimed())));
        return end.isPresent();
    }

    // --- locks ---------------------------------------------------------------------------------------------------

    private void unlock() {
        for (Knob knob : rig.flow().knobs()) {
            if (knob.isLocked() && settings.locked().contains(knob.id())) {
                Flow free = rig.flow().withKnobs(each -> each.id().equals(knob.id()) ? each.locked(false) : each);
                offer(Change.Kind.UNLOCK, "Unlock " + knob.words(), free);
            }
        }
    }

    // --- switches ------------------------------------------------------------------------------------------------

    /** Switches between inputs, and of an input's kind, along the run at each of their other positions. */
    private void switches() {
        for (String mark :
                trace.marks().stream().flatMap(Optional::stream).distinct().toList()) {
            Device device = rig.patch().devices().get(mark);
            for (DeviceControl control : device.controls()) {
                Optional<String> standing = rig.patch().standing(new Spot(mark, control.id()));
                if (control.kind() == ControlKind.INPUT_SELECT) {
                    control.positions().stream()
                            .filter(position ->
                                    standing.filter(position::equals).isEmpty())
                            .forEach(position -> switched(new Spot(mark, control.id()), control, position));
                }
            }
        }
    }

    private void switched(Spot spot, DeviceControl control, String position) {
        if (isCancelled.getAsBoolean()) {
            return;
        }
        List<Switched> all = Stream.concat(
                        rig.patch().switched().stream()
                                .filter(each -> !each.control().equals(spot)),
                        Stream.of(new Switched(spot, position)))
                .toList();
        Patch patch = rig.patch().withSwitched(all);
        List<Checked> joints = new JointChecks().check(patch, List.of());
        offer(
                Change.Kind.SWITCH,
                "Set " + control.name() + " on "
                        + rig.patch().devices().get(spot.item()).name() + " to " + position,
                Rig.of(joints, patch, settings).flow());
    }

    // --- distance ------------------------------------------------------------------------------------------------

    private void distance() {
        int source = trace.path().source();
        Point point = rig.flow().points().get(source);
        if (!trace.isOfMicrophone()) {
            return;
        }
        String name = rig.station(point);
        for (double db : DISTANCES_DB) {
            Flow moved = rig.flow()
                    .withPoint(source, point.with(point.sound().orElseThrow().louderBy(new Gain(db))));
            String words = db < 0
                    ? "Go " + (db < -6 ? "four times" : "twice") + " as far from " + name + ": " + (int) -db
                            + " dB less"
                    : "Go half as far from " + name + ": " + (int) db + " dB more";
            if (offer(Change.Kind.DISTANCE, words, moved)) {
                return;
            }
        }
    }

    // --- pads and boosters -----------------------------------------------------------------------------------------

    private void padsAndBoosters() {
        List<Integer> points = trace.path().points();
        for (int i = 1; i < points.size(); i++) {
            Point from = rig.flow().points().get(points.get(i - 1));
            int to = points.get(i);
            boolean isJoint = !from.station().equals(rig.flow().points().get(to).station());
            if (isJoint && found.stream().noneMatch(change -> change.kind() == Change.Kind.SWITCH)) {
                pads(points.get(i - 1), to);
                boosters(points.get(i - 1), to);
            }
        }
    }

    private String between(int from, int to) {
        return " between " + rig.station(rig.flow().points().get(from)) + " and "
                + rig.station(rig.flow().points().get(to));
    }

    private void pads(int from, int to) {
        Optional<Socket> output = socket(from);
        boolean isFed = output.filter(LeastChange::isFedByCable).isPresent();
        boolean isLoud =
                output.filter(socket -> socket.signal() == SignalKind.SPEAKER).isPresent();
        if (isFed || isLoud) {
            return;
        }
        boolean isPhantom = output.filter(socket -> socket.has(PowerKind.PHANTOM, PowerRole.NEEDS))
                .isPresent();
        for (double pad : PADS_DB) {
            String words = "Put a pad of " + (int) pad + " dB" + (isPhantom ? " that lets phantom power pass" : "")
                    + between(from, to);
            if (offer(Change.Kind.PAD, words, withFeed(from, to, -pad))) {
                return;
            }
        }
    }

    private Flow withFeed(int from, int to, double db) {
        Point fed = rig.flow().points().get(to);
        List<Feed> feeds = fed.feeds().stream()
                .map(feed -> feed.from() == from ? feed.plus(new Gain(db)) : feed)
                .toList();
        return rig.flow().withPoint(to, fed.withFeeds(feeds));
    }

    private void boosters(int from, int to) {
        Level peak = FlowLevels.of(rig.flow()).peak(from);
        boolean isMicrophone =
                socket(from).filter(socket -> socket.signal() == SignalKind.MIC).isPresent();
        boolean isFed = socket(from).filter(LeastChange::isFedByCable).isPresent()
                || socket(from)
                        .filter(socket -> socket.has(PowerKind.PHANTOM, PowerRole.NEEDS))
                        .isPresent();
        if (peak.compareTo(LINE) > 0 || !isMicrophone || isFed) {
            return;
        }
        // A booster lives on phantom power; where there is none it takes a preamp.
        boolean isPowered = socket(to)
                .filter(socket -> socket.has(PowerKind.PHANTOM, PowerRole.GIVES))
                .isPresent();
        for (double boost : isPowered ? BOOSTS_DB : PREAMPS_DB) {
            String words = isPowered
                    ? "Put a booster of " + (int) boost + " dB" + between(from, to)
                    : "Put a microphone preamp" + between(from, to) + ", its gain near " + (int) boost + " dB";
            Change.Kind kind = isPowered ? Change.Kind.BOOSTER : Change.Kind.PREAMP;
            if (offer(kind, words, withBooster(from, to, boost))) {
                return;
            }
        }
    }

    /** The socket that a point stands for; empty where it is none. */
    private Optional<Socket> socket(int point) {
        return rig.patch().socket(rig.flow().points().get(point).id().spot());
    }

    /** What lives on the bias of the socket that it is plugged into: nothing that is put between passes it on. */
    private static boolean isFedByCable(Socket socket) {
        return socket.has(PowerKind.PLUG_IN, PowerRole.NEEDS) || socket.signal() == SignalKind.HEADSET;
    }

    /** The point that is fed gets the booster's gain, noise and ceiling before its own: as one more point. */
    private Flow withBooster(int from, int to, double db) {
        List<Point> points = new ArrayList<>();
        Flow flow = rig.flow();
        for (int i = 0; i < flow.points().size(); i++) {
            if (i == to) {
                points.add(new Point(
                        PointId.of(new Spot("booster", "booster")),
                        "booster",
                        "booster",
                        Optional.empty(),
                        List.of(Feed.of(from, 0)),
                        OptionalInt.empty(),
                        new Gain(db),
                        Optional.of(BOOSTER_CEILING),
                        BOOSTER_NOISE,
                        Level.SILENCE));
            }
            points.add(shifted(flow.points().get(i), i, from, to));
        }
        List<End> ends = flow.ends().stream()
                .map(end -> end.at(end.point() >= to ? end.point() + 1 : end.point()))
                .toList();
        return new Flow(points, flow.knobs(), ends);
    }

    private static Point shifted(Point point, int index, int from, int to) {
        return point.withFeeds(point.feeds().stream()
                .map(feed -> {
                    boolean isBoosted = index == to && feed.from() == from;
                    int now = isBoosted ? to : feed.from() >= to ? feed.from() + 1 : feed.from();
                    return new Feed(now, feed.gain(), feed.rise(), feed.isInverted());
                })
                .toList());
    }

    // --- other sockets -------------------------------------------------------------------------------------------

    /** The plugs of this run into other sockets of the same gear. */
    private void otherSockets() {
        List<Integer> points = trace.path().points();
        for (int i = 1; i < points.size(); i++) {
            Point from = rig.flow().points().get(points.get(i - 1));
            Point to = rig.flow().points().get(points.get(i));
            if (!from.station().equals(to.station())) {
                replug(Change.Kind.OTHER_SOCKET, to);
                replug(Change.Kind.OTHER_OUTPUT, from);
            }
        }
    }

    private void replug(Change.Kind kind, Point point) {
        Device device = rig.patch().devices().get(point.station());
        if (device == null) {
            return;
        }
        Spot present = point.id().spot();
        Direction way = kind == Change.Kind.OTHER_SOCKET ? Direction.IN : Direction.OUT;
        for (Socket socket : device.sockets()) {
            Spot other = new Spot(point.station(), socket.id());
            boolean isOther = !other.equals(present)
                    && socket.way() == way
                    && socket.form() == Form.SOCKET
                    && !rig.patch().isTaken(other);
            if (isOther && !isCancelled.getAsBoolean()) {
                replugged(present, other).ifPresent(patch -> tryPatch(kind, other, socket, patch));
            }
        }
    }

    /** With the plug that is in one socket in another; empty where it does not go in. */
    private Optional<Patch> replugged(Spot present, Spot other) {
        Patch patch = rig.patch();
        List<Plugging> pluggings = patch.pluggings().stream()
                .map(plugging -> plugging.socket().equals(present) ? new Plugging(plugging.plug(), other) : plugging)
                .toList();
        boolean isMoved = !pluggings.equals(patch.pluggings());
        boolean fits = pluggings.stream()
                .filter(plugging -> plugging.socket().equals(other))
                .allMatch(plugging -> !patch.readings(plugging).isEmpty());
        return isMoved && fits
                ? Optional.of(new Patch(
                        patch.devices(), patch.leads(), pluggings, patch.busy(), patch.switched(), patch.mains()))
                : Optional.empty();
    }

    private void tryPatch(Change.Kind kind, Spot now, Socket socket, Patch patch) {
        List<Checked> joints = new JointChecks().check(patch, List.of());
        Rig changed = Rig.of(joints, patch, settings);
        String words = (kind == Change.Kind.OTHER_SOCKET ? "Plug it into " : "Take it from ") + socket.name() + " of "
                + patch.devices().get(now.item()).name();
        boolean isHarmless = joints.stream()
                .filter(joint ->
                        joint.patch().pluggings().stream().map(Plugging::socket).anyMatch(now::equals))
                .noneMatch(Checked::cannotWork);
        if (!isHarmless) {
            return;
        }
        if (kind == Change.Kind.OTHER_SOCKET) {
            offer(kind, words, changed.flow());
        } else {
            otherOutput(words, changed, socket);
        }
    }

    /** From another output the run begins at another point. */
    private void otherOutput(String words, Rig changed, Socket socket) {
        Point source = rig.flow().points().get(trace.path().source());
        Trace.all(changed).stream()
                .filter(other -> other.key().contains("." + socket.id())
                        || other.key().startsWith(source.id().write()))
                .filter(other -> other.marks().get(0).equals(trace.marks().get(0)))
                .findFirst()
                .flatMap(other -> new LeastChange(changed, settings, other, isCancelled).fine(changed.flow()))
                .ifPresent(end -> found.add(new Change(Change.Kind.OTHER_OUTPUT, words, end.range(), end.aimed())));
    }
}
