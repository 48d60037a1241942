package kalodyne.core.levels.rig;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.rig.DeviceDrafts.Signal;
import kalodyne.core.levels.rig.PointDraft.Link;
import kalodyne.core.units.Gain;

/**
 * A setup as a flow.
 *
 * @param patch what is plugged
 * @param joints what comes of it
 * @param flow from every source that is plugged to every track and ear that it reaches
 * @param leads what each input is plugged by, by its mark: "Lead 7"
 * @param doubts what is not known or contradicts itself
 * @param metres how far loudspeakers are away, of those of which it is known
 * @param loops ways on which a signal comes back; they are cut in the flow
 */
public record Rig(
        Patch patch,
        List<JointRules.Checked> joints,
        Flow flow,
        Map<String, String> leads,
        List<Doubt> doubts,
        Map<String, Double> metres,
        List<Loop> loops) {
    /** A rise above the middle by less is none. */
    private static final double LEAST_RISE_DB = 0.5;

    public Rig {
        joints = List.copyOf(joints);
        leads = Map.copyOf(leads);
        doubts = List.copyOf(doubts);
        metres = Map.copyOf(metres);
        loops = List.copyOf(loops);
    }

    /** Reads a setup. */
    public static Rig of(List<JointRules.Checked> joints, Patch patch, Settings settings) {
        return new Building(joints, patch, settings, "").rig();
    }

    /**
     * Reads a setup as if a usual converter stood behind each line output of a device: what a mixer gathers, before anybody says what
     * records it.
     */
    public static Rig recordedBehind(String mixer, List<JointRules.Checked> joints, Patch patch, Settings settings) {
        return new Building(joints, patch, settings, mixer).rig();
    }

    /** The same with its controls elsewhere: nothing else is looked at again. */
    public Rig with(Flow newFlow) {
        return new Rig(patch, joints, newFlow, leads, doubts, metres, loops);
    }

    /**
     * The same with some controls elsewhere; empty where more hangs on where they stand than what they add: pan pots decide where
     * a signal goes, and what comes back is judged by its gain.
     */
    public Optional<Rig> turned(Map<Spot, Double> positions) {
        Set<Spot> turning = flow.knobs().stream()
                .filter(knob -> !Knob.isChoice(knob.kind()))
                .map(Knob::id)
                .collect(Collectors.toSet());
        return loops.isEmpty() && turning.containsAll(positions.keySet())
                ? Optional.of(with(flow.withKnobs(knob -> {
                    Double position = positions.get(knob.id());
                    return position == null ? knob : knob.at(position).told(true);
                })))
                : Optional.empty();
    }

    /** The mark of a signal that a socket gives or receives, in the flow. */
    public static PointId point(Spot socket, Carries signal) {
        return Signal.id(socket, signal);
    }

    /** How far a loudspeaker is away. */
    public double metres(String loudspeaker) {
        return metres.getOrDefault(loudspeaker, Settings.USUAL_METRES);
    }

    /** The name of the device that a point is in. */
    public String station(Point point) {
        return Optional.ofNullable(patch.devices().get(point.station()))
                .map(Device::name)
                .orElse(point.station());
    }

    /** What leads from one point to another: "Lead 4, Little adapter". */
    public String leads(Point from, Point to) {
        return leads.getOrDefault(from.id() + ">" + to.id(), "plugged straight in");
    }

    /** "Bass synth → track 3". */
    public String name(Flow.Run run) {
        return played(run) + " → " + endName(run.end());
    }

    /** What is played in a run: "Drum box, left". */
    public String played(Flow.Run run) {
        Point source = flow.points().get(run.source());
        String played = station(source);
        boolean isPlayback = source.sound().orElseThrow().isPlayback();
        List<Spot> outputs = flow.points().stream()
                .filter(point -> point.station().equals(source.station())
                        && point.sound()
                                .filter(sound -> sound.isPlayback() == isPlayback)
                                .isPresent())
                .map(point -> point.id().spot())
                .toList();
        boolean isOneSocket = outputs.stream().distinct().count() == 1;
        // Of one socket only the side matters: "Drum box, left".
        String label = isOneSocket ? source.label().replaceFirst(".*, ", "") : source.label();
        String which = isPlayback || outputs.size() > 1 ? ", " + label : "";
        return played + which;
    }

    /** "Drum box"; "Laptop, playback". */
    public String playerName(String player) {
        String mark = Sound.deviceOf(player);
        String name =
                Optional.ofNullable(patch.devices().get(mark)).map(Device::name).orElse(mark);
        return Sound.isPlayback(player) ? name + ", playback" : name;
    }

    /** With the device where several record. */
    public String endName(int index) {
        End end = flow.ends().get(index);
        long recorders = flow.ends().stream()
                .filter(each -> each.kind() == End.Kind.TRACK)
                .map(each -> flow.points().get(each.point()).station())
                .distinct()
                .count();
        return end.kind() == End.Kind.TRACK && recorders > 1
                ? station(flow.points().get(end.point())) + ", " + end.name()
                : end.name();
    }

    private static final class Building {
        private final List<JointRules.Checked> joints;
        private final Patch patch;
        private final Settings settings;
        private final Controls controls;
        private final String gathering;
        private final List<Doubt> doubts = new ArrayList<>();
        private final List<Loop> loops = new ArrayList<>();
        private final Map<PointId, PointDraft> drafts = new LinkedHashMap<>();
        private final Map<String, String> leads = new HashMap<>();

        Building(List<JointRules.Checked> joints, Patch patch, Settings settings, String gathering) {
            this.gathering = gathering;
            this.joints = joints;
            this.patch = patch.asSwitched();
            this.settings = settings;
            this.controls = new Controls(patch, settings);
        }

        Rig rig() {
            List<Transfer> ways = new ArrayList<>();
            joints.forEach(joint -> joint.reading()
                    .ifPresent(reading -> reading.ways().stream()
                            .filter(way -> !way.isLost())
                            .forEach(way -> {
                                ways.add(way);
                                nameLeads(joint.patch(), way);
                            })));
            for (Map.Entry<String, Device> entry : patch.devices().entrySet()) {
                List<Signal> received = new ArrayList<>();
                List<Signal> given = new ArrayList<>();
                Device device = entry.getValue();
                for (Transfer way : ways) {
                    InputSignal to = way.to();
                    OutputSignal from = way.from();
                    if (to.socket().item().equals(entry.getKey())) {
                        signal(device, to.socket(), to.channel()).ifPresent(received::add);
                    }
                    if (from.socket().item().equals(entry.getKey())) {
                        signal(device, from.socket(), from.channel()).ifPresent(given::add);
                    }
                }
                DeviceDrafts inside = new DeviceDrafts(
                        entry.getKey(), device, controls, doubts, soundsByItself(entry.getKey(), device, ways));
                drafts.putAll(inside.drafts(
                        received.stream().distinct().toList(),
                        given.stream().distinct().toList()));
                if (entry.getKey().equals(gathering)) {
                    drafts.putAll(inside.recorded());
                }
            }
            ways.forEach(this::join);
            forgetUnsent(ways);
            Flow flow = flow();
            return new Rig(patch, joints, flow, leads, doubts, settings.metres(), loops);
        }

        /** Built-in microphones are meant where nothing else comes in by plug or data, and nothing goes out but to ears. */
        private boolean soundsByItself(String id, Device device, List<Transfer> ways) {
            List<Socket> plugged = device.sockets().stream()
                    .filter(socket -> patch.isPlugged(new Spot(id, socket.id())))
                    .toList();
            return switch (device.kind()) {
                case DJ -> true;
                case MICROPHONE -> plugged.stream().anyMatch(Socket::carriesData);
                default -> plugged.stream().allMatch(socket -> isNoInput(device, new Spot(id, socket.id()), ways));
            };
        }

        private boolean isNoInput(Device device, Spot spot, List<Transfer> ways) {
            boolean isData = device.socket(spot.part()).orElseThrow().signal() == SignalKind.DIGITAL;
            return isData
                    ? !device.kind().isHost()
                    : ways.stream().noneMatch(way -> way.to().socket().equals(spot))
                            && ways.stream().anyMatch(way -> way.from().socket().equals(spot) && isForEars(way.to()));
        }

        private boolean isForEars(InputSignal to) {
            return patch.devices()
                    .get(to.socket().item())
                    .facts()
                    .get(Fact.DRIVER_IMPEDANCE)
                    .isPresent();
        }

        /** What makes numbers for a computer that is not plugged only passes on, where something behind it records. */
        private void forgetUnsent(List<Transfer> ways) {
            Set<String> recording = drafts.values().stream()
                    .filter(draft -> draft.end()
                            .filter(end -> end.kind() == End.Kind.TRACK)
                            .isPresent())
                    .map(PointDraft::station)
                    .collect(Collectors.toSet());
            for (String station : recording) {
                Set<String> behind = behind(station, ways);
                behind.retainAll(recording);
                boolean isUnsent = !behind.isEmpty()
                        && !patch.devices().get(station).kind().keepsRecordings()
                        && patch.devices().get(station).sockets().stream()
                                .noneMatch(socket ->
                                        socket.carriesData() && patch.isPlugged(new Spot(station, socket.id())));
                if (isUnsent) {
                    drafts.values().stream()
                            .filter(draft -> draft.station().equals(station))
                            .forEach(PointDraft::passingOn);
                }
            }
        }

        /** The other devices that get something from one, straight or through others. */
        private static Set<String> behind(String station, List<Transfer> ways) {
            Set<String> behind = new LinkedHashSet<>();
            List<String> open = new ArrayList<>(List.of(station));
            while (!open.isEmpty()) {
                String from = open.remove(0);
                ways.stream()
                        .filter(way -> way.from().socket().item().equals(from))
                        .map(way -> way.to().socket().item())
                        .filter(to -> !to.equals(station))
                        .filter(behind::add)
                        .forEach(open::add);
            }
            return behind;
        }

        private void nameLeads(Patch joint, Transfer way) {
            String names =
                    joint.leads().values().stream().map(Lead::name).distinct().collect(Collectors.joining(", "));
            if (!names.isEmpty()) {
                leads.put(
                        Signal.id(way.from().socket(), way.from().channel()) + ">"
                                + Signal.id(way.to().socket(), way.to().channel()),
                        names);
            }
        }

        private static Optional<Signal> signal(Device device, Spot spot, Carries carries) {
            return device.socket(spot.part()).map(socket -> new Signal(socket, carries));
        }

        private void join(Transfer way) {
            PointDraft from =
                    drafts.get(Signal.id(way.from().socket(), way.from().channel()));
            PointDraft to = drafts.get(Signal.id(way.to().socket(), way.to().channel()));
            if (from != null && to != null) {
                double rise = way.resonance().above().db();
                to.fedBy(new Link(
                        from.id(), way.atMiddle(), new Gain(rise > LEAST_RISE_DB ? rise : 0), way.isInverted()));
            }
        }

        // --- flow --------------------------------------------------------------------------------------------------

        private Flow flow() {
            List<PointId> order = order();
            Set<PointId> alive = alive(order);
            List<PointId> kept = order.stream().filter(alive::contains).toList();
            Map<PointId, Integer> index = new HashMap<>();
            Map<KnobDraft, Integer> knobs = new LinkedHashMap<>();
            List<Point> points = new ArrayList<>();
            List<End> ends = new ArrayList<>();
            for (PointId id : kept) {
                PointDraft draft = drafts.get(id);
                index.put(id, points.size());
                draft.end().ifPresent(end -> ends.add(end.at(points.size())));
                OptionalInt knob = draft.knob().isEmpty()
                        ? OptionalInt.empty()
                        : OptionalInt.of(knobs.computeIfAbsent(draft.knob().get(), each -> knobs.size()));
                points.add(new Point(
                        id,
                        draft.station(),
                        draft.label(),
                        draft.sound(),
                        draft.links().stream()
                                .filter(link -> alive.contains(link.from()))
                                .map(link ->
                                        new Feed(index.get(link.from()), link.gain(), link.rise(), link.isInverted()))
                                .toList(),
                        knob,
                        draft.gain(),
                        draft.ceiling(),
                        draft.inputNoise(),
                        draft.outputNoise()));
            }
            List<Knob> all = knobs.keySet().stream().map(controls::knob).toList();
            Flow flow = new Flow(points, all, List.of());
            return new Flow(points, all, new Aims(patch, settings, flow, ends).all());
        }

        /** Each behind what feeds it. A way that comes back to itself is cut where it was found. */
        private List<PointId> order() {
            List<PointId> order = new ArrayList<>();
            Set<PointId> done = new LinkedHashSet<>();
            for (PointId id : drafts.keySet()) {
                visit(id, done, new ArrayList<>(), order);
            }
            return order;
        }

        private void visit(PointId id, Set<PointId> done, List<PointId> way, List<PointId> order) {
            if (done.contains(id)) {
                return;
            }
            way.add(id);
            for (Link link : List.copyOf(drafts.get(id).links())) {
                int back = way.indexOf(link.from());
                if (back >= 0) {
                    cut(drafts.get(id), link, way.subList(back, way.size()));
                } else {
                    visit(link.from(), done, way, order);
                }
            }
            way.remove(way.size() - 1);
            done.add(id);
            order.add(id);
        }

        /** The way was walked against the signal: from what is fed to what feeds it. */
        private void cut(PointDraft fed, Link link, List<PointId> way) {
            fed.links().remove(link);
            List<PointId> points = new ArrayList<>(way);
            Collections.reverse(points);
            double db = link.gain().db();
            for (int i = 0; i < points.size(); i++) {
                PointDraft each = drafts.get(points.get(i));
                db += each.gain().db()
                        + each.knob()
                                .map(knob -> controls.knob(knob).gain().db())
                                .orElse(0.0);
                PointId before = i == 0 ? null : points.get(i - 1);
                db += each.links().stream()
                        .filter(one -> one.from().equals(before))
                        .mapToDouble(one -> one.gain().db())
                        .max()
                        .orElse(0);
            }
            loops.add(new Loop(points, new Gain(db)));
        }

        /** Those that a sound reaches and that lead to an end. */
        private Set<PointId> alive(List<PointId> order) {
            Set<PointId> reached = new LinkedHashSet<>();
            for (PointId id : order) {
                PointDraft draft = drafts.get(id);
                if (draft.sound().isPresent()
                        || draft.links().stream().anyMatch(link -> reached.contains(link.from()))) {
                    reached.add(id);
                }
            }
            Set<PointId> leading = new LinkedHashSet<>();
            for (int i = order.size() - 1; i >= 0; i--) {
                PointId id = order.get(i);
                if (drafts.get(id).end().isPresent() || leading.contains(id)) {
                    leading.add(id);
                    drafts.get(id).links().forEach(link -> leading.add(link.from()));
                }
            }
            reached.retainAll(leading);
            return reached;
        }
    }
}
