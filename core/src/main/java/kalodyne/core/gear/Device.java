package kalodyne.core.gear;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A piece of gear with sockets.
 *
 * @param id by which files know it; never changes
 * @param name as its owner calls it: "Bass synth"
 * @param kind what it is
 * @param profile the generic profile that it was made from, if any
 * @param note whatever its owner wants to remember; may be empty
 * @param photo a picture of it, beside the studio: "photos/synth.jpg"
 * @param sockets each with a mark of its own
 * @param stages each with a mark of its own; they and the sockets form no circle
 * @param controls each with a mark of its own
 * @param powering the ways of powering it, the usual one first; empty where it needs none
 * @param sampleRatesHz that it can work with; empty where it has no converter
 * @param bitDepths that it can work with
 * @param driver whether it is seen without a driver; empty where nobody knows
 * @param facts {@link Fact.Of#DEVICE}
 */
@RecordBuilder
public record Device(
        String id,
        String name,
        DeviceKind kind,
        Optional<String> profile,
        String note,
        Optional<String> photo,
        List<Socket> sockets,
        List<Stage> stages,
        List<DeviceControl> controls,
        List<Powering> powering,
        List<Integer> sampleRatesHz,
        List<Integer> bitDepths,
        Optional<Driver> driver,
        Facts facts)
        implements DeviceBuilder.With {
    private static final Set<String> UPSTREAM = Set.of("plug", "host", "phone");

    public Device {
        id = Marks.checked(id);
        name = Names.checked(name);
        note = Names.checkedNote(note);
        photo = photo.map(Names::checkedPhoto);
        sockets = List.copyOf(sockets);
        stages = List.copyOf(stages);
        controls = List.copyOf(controls);
        powering = List.copyOf(powering);
        sampleRatesHz = List.copyOf(sampleRatesHz);
        bitDepths = List.copyOf(bitDepths);
        Names.requireDistinct("sockets", sockets, Socket::id);
        Names.requireDistinct("stages", stages, Stage::id);
        Names.requireDistinct("controls", controls, DeviceControl::id);
        requireRange("sample rate", sampleRatesHz, 4000, 1_000_000);
        requireRange("bit depth", bitDepths, 8, 64);
        new References(sockets, stages, controls).check();
    }

    private static void requireRange(String what, List<Integer> numbers, int least, int most) {
        for (int number : numbers) {
            if (number < least || number > most) {
                throw new IllegalArgumentException(
                        "a " + what + " lies between " + least + " and " + most + ", got " + number);
            }
        }
    }

    public Optional<Socket> socket(String socketId) {
        // Asked for hundreds of thousands of times while ways are looked for.
        for (Socket socket : sockets) {
            if (socket.id().equals(socketId)) {
                return Optional.of(socket);
            }
        }
        return Optional.empty();
    }

    public Optional<DeviceControl> control(String controlId) {
        return controls.stream()
                .filter(control -> control.id().equals(controlId))
                .findFirst();
    }

    /** Whether it has a control that takes its level down. */
    public boolean hasVolume() {
        return controls.stream().anyMatch(control -> control.kind().isVolume());
    }

    /** Whether it can be used with nothing plugged into it: a recorder, camera or phone that hears by itself. */
    public boolean recordsByItself() {
        return kind.keepsRecordings() && stages.stream().anyMatch(Stage::isOwnSound);
    }

    /** Whether two inputs are one: a single hole, or sockets of one channel before its gain. */
    public boolean isOneInput(Socket one, Socket other) {
        return !one.id().equals(other.id())
                && (one.isSameHole(other)
                        || stages.stream()
                                .anyMatch(stage -> feeds(one, stage) && feeds(other, stage) && isGain(stage)));
    }

    private boolean isGain(Stage stage) {
        return stage.kind() == StageKind.AMPLIFIER
                && controls.stream()
                        .filter(control -> stage.controls().contains(control.id()))
                        .anyMatch(control -> control.kind() == ControlKind.GAIN || control.kind() == ControlKind.TRIM);
    }

    /** Straight, or through a stage of its own. */
    private boolean feeds(Socket socket, Stage stage) {
        return stage.from().contains(socket.id())
                || stages.stream()
                        .filter(before -> stage.from().contains(before.id())
                                && before.controls().isEmpty()
                                && before.kind() == StageKind.AMPLIFIER)
                        .anyMatch(before -> before.from().contains(socket.id()));
    }

    /** Of a hub or adapter, what goes to the computer or phone: its own plug where it has one. */
    public Optional<Socket> upstream() {
        return sockets.stream()
                .filter(socket -> socket.carriesData() && UPSTREAM.contains(socket.id()))
                .findFirst()
                .or(() -> sockets.stream()
                        .filter(socket -> socket.carriesData() && !socket.has(PowerKind.BUS, PowerRole.GIVES))
                        .findFirst());
    }

    /** Whether a socket is that, or another half of the same hole: a plug of its own beside a socket for a lead. */
    public boolean isUpstream(Socket socket) {
        return upstream()
                .filter(each -> each.equals(socket) || each.isSameHole(socket))
                .isPresent();
    }

    public Device withProfile(String newProfile) {
        return withProfile(Optional.of(newProfile));
    }

    /** With other sockets and the stages that they feed: they point at each other. */
    Device withSockets(List<Socket> newSockets, List<Stage> newStages) {
        return with().sockets(newSockets).stages(newStages).build();
    }

    /** With other sample rates in Hz and bit depths of its converters. */
    public Device withConversion(List<Integer> newSampleRatesHz, List<Integer> newBitDepths) {
        return with().sampleRatesHz(newSampleRatesHz).bitDepths(newBitDepths).build();
    }

    /** What points at what inside a device: nothing may point at what is not there, or in a circle. */
    private record References(List<Socket> sockets, List<Stage> stages, List<DeviceControl> controls) {
        void check() {
            Set<String> socketIds = ids(sockets, Socket::id);
            Set<String> stageIds = ids(stages, Stage::id);
            Set<String> controlIds = ids(controls, DeviceControl::id);
            for (Socket socket : sockets) {
                require("socket", socket.id(), stageIds, socket.from(), "stage");
                require("socket", socket.id(), socketIds, socket.ties().others(), "socket");
                socket.power()
                        .forEach(power -> require(
                                "socket",
                                socket.id(),
                                controlIds,
                                power.control().stream().toList(),
                                "control"));
                require(
                        "socket",
                        socket.id(),
                        controlIds,
                        socket.states().stream().map(SocketState::control).toList(),
                        "control");
                socket.channels().forEach(pair -> require("socket", socket.id(), stageIds, pair.from(), "stage"));
            }
            Set<String> sources = new HashSet<>(socketIds);
            sources.addAll(stageIds);
            for (Stage stage : stages) {
                require("stage", stage.id(), sources, stage.from(), "socket or stage");
                require("stage", stage.id(), controlIds, stage.controls(), "control");
            }
            requireNoCircle();
        }

        private static <T> Set<String> ids(List<T> parts, Function<T, String> id) {
            return parts.stream().map(id).collect(Collectors.toSet());
        }

        private static void require(String what, String id, Set<String> known, List<String> wanted, String kind) {
            for (String each : wanted) {
                if (!known.contains(Stage.fedBy(each))) {
                    throw new IllegalArgumentException("the " + what + " “" + id + "” points at the " + kind + " “"
                            + Names.shown(each) + "”, which is not there");
                }
            }
        }

        private void requireNoCircle() {
            Map<String, List<String>> from = new HashMap<>();
            stages.forEach(stage ->
                    from.put(stage.id(), stage.from().stream().map(Stage::fedBy).toList()));
            // What is plugged in nowhere hears another socket, and so on: that must end somewhere too.
            sockets.forEach(socket -> from.putIfAbsent(
                    socket.id(), socket.ties().normalledFrom().stream().toList()));
            Set<String> clear = new HashSet<>();
            for (String start : from.keySet()) {
                walk(start, from, new HashSet<>(), clear);
            }
        }

        private static void walk(String at, Map<String, List<String>> from, Set<String> way, Set<String> clear) {
            if (clear.contains(at)) {
                return;
            }
            if (!way.add(at)) {
                throw new IllegalArgumentException("“" + at + "” is fed by itself, in a circle");
            }
            from.getOrDefault(at, List.of()).forEach(before -> walk(before, from, way, clear));
            way.remove(at);
            clear.add(at);
        }
    }
}
