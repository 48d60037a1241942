package kalodyne.core.runsheet;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.rig.Monitoring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Captured;
import kalodyne.core.route.Track;

/** What is recorded where: the recorder at the end of each data lead, and the tracks in it. */
final class Recorders {
    private static final Set<DeviceKind> RECORDING = EnumSet.of(
            DeviceKind.RECORDER, DeviceKind.PHONE, DeviceKind.TABLET, DeviceKind.COMPUTER, DeviceKind.CAMERA);

    private final SheetRig rig;

    /** Of each recorder what comes into it, by what is played. */
    private final Map<String, List<Captured.Line>> lines = new LinkedHashMap<>();

    private final Map<String, Integer> tracks = new LinkedHashMap<>();

    /** Whether players hear themselves past the computer. */
    private final boolean isDirect;

    Recorders(SheetRig rig) {
        this.rig = rig;
        voltages();
        data();
        unknown();
        isDirect = !lines.isEmpty() && isHeardDirectly();
    }

    private boolean isHeardDirectly() {
        List<String> heardOn = rig.headphones().isEmpty() ? rig.loud() : rig.headphones();
        return Monitoring.of(rig.joints(), rig.patch(), Settings.NONE).isDirect(Set.copyOf(heardOn));
    }

    /** The marks of all that record something here. */
    Set<String> ids() {
        return lines.keySet();
    }

    /** How many tracks a recorder gets. */
    int tracks(String recorder) {
        return Math.max(1, tracks.getOrDefault(recorder, 1));
    }

    /** The devices that send data to a recorder; itself where it makes the numbers. */
    Set<String> senders(String recorder) {
        return lines.getOrDefault(recorder, List.of()).stream()
                .map(line -> line.track().sender().orElse(recorder))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    Captured captured(String recorder) {
        return new Captured(
                recorder,
                lines.get(recorder),
                isDirect,
                !rig.headphones().isEmpty(),
                !rig.loud().isEmpty(),
                rig.patch());
    }

    /** Whether headphones hang on it and its direct monitoring is, or may be switched, on. */
    boolean canBeHeardDirectly(String sender) {
        boolean hasEars = rig.links().stream()
                .filter(link -> link.touches(sender))
                .flatMap(link -> link.devices().stream())
                .anyMatch(id -> rig.device(id).kind() == DeviceKind.HEADPHONES);
        return hasEars && directSwitch(sender).isPresent();
    }

    /** The switch of direct monitoring, unless its owner wants it off. */
    Optional<DeviceControl> directSwitch(String sender) {
        return Monitoring.directSwitch(rig.patch(), sender);
    }

    // --- by voltage --------------------------------------------------------------------------------------------

    private void voltages() {
        Map<List<String>, List<End>> ends = new LinkedHashMap<>();
        Map<String, Set<String>> names = new LinkedHashMap<>();
        for (Trace trace : rig.recorded()) {
            String sender = rig.last(trace);
            boolean isOwnData =
                    rig.source(trace).equals(sender) && !host(sender).equals(sender);
            if (isOwnData) {
                // What it sends is told by its pairs.
                continue;
            }
            ends.computeIfAbsent(List.of(rig.source(trace), sender), key -> new ArrayList<>())
                    .add(rig.end(trace));
            names.computeIfAbsent(host(sender), key -> new LinkedHashSet<>())
                    .add(sender + " " + rig.end(trace).name());
        }
        names.forEach((recorder, all) -> tracks.merge(recorder, all.size(), Integer::sum));
        ends.forEach((key, found) -> {
            String sender = key.get(1);
            String recorder = host(sender);
            List<Integer> channels = found.stream()
                    .flatMapToInt(end -> end.number().stream())
                    .distinct()
                    .sorted()
                    .boxed()
                    .toList();
            boolean isSent = !recorder.equals(sender);
            String words = found.stream().map(End::name).distinct().collect(Collectors.joining(" and "));
            Track track =
                    new Track(words, isSent ? Optional.of(sender) : Optional.empty(), isSent ? channels : List.of());
            add(
                    recorder,
                    new Captured.Line(
                            rig.name(key.get(0)),
                            found.stream().map(End::name).distinct().count() > 1,
                            false,
                            recorder.equals(key.get(0)),
                            track));
        });
    }

    // --- by data -----------------------------------------------------------------------------------------------

    /** What sends data although nothing comes into it: a USB microphone, a player of records. */
    private void data() {
        for (String sender : rig.devices()) {
            List<ChannelPair> pairs = Captured.sent(rig.device(sender));
            String recorder = host(sender);
            boolean isNew = lines.getOrDefault(recorder, List.of()).stream()
                    .noneMatch(
                            line -> line.track().sender().filter(sender::equals).isPresent());
            if (!pairs.isEmpty() && !recorder.equals(sender) && isNew) {
                String words = pairs.stream()
                        .map(pair -> "channels " + pair.channels() + ": " + pair.carries())
                        .collect(Collectors.joining("; "));
                tracks.merge(recorder, pairs.stream().mapToInt(Recorders::count).sum(), Integer::sum);
                add(
                        recorder,
                        new Captured.Line(
                                rig.name(sender),
                                true,
                                false,
                                false,
                                new Track(words, Optional.of(sender), List.of())));
            }
        }
    }

    /** The pairs of sound that it sends apart: a mix with and a mix without the microphone. */
    List<ChannelPair> mixes(String sender) {
        return Captured.sent(rig.device(sender)).stream()
                .filter(pair -> pair.role().isMix())
                .toList();
    }

    // --- what is not known ------------------------------------------------------------------------------------

    /** What a recorder is plugged to although nobody knows which sound comes by it: a mixer without anything in it. */
    private void unknown() {
        rig.flows().stream()
                .filter(pair -> RECORDING.contains(rig.device(pair.get(1)).kind()))
                .filter(pair -> !lines.containsKey(pair.get(1)) && !lines.containsKey(host(pair.get(1))))
                .forEach(pair -> {
                    String socket = rig.links().stream()
                            .filter(link -> link.touches(pair.get(0)) && link.touches(pair.get(1)) && link.isAudio())
                            .flatMap(link -> link.sockets().stream())
                            .filter(spot -> spot.item().equals(pair.get(1)))
                            .map(spot -> rig.patch().socket(spot).orElseThrow().name())
                            .distinct()
                            .collect(Collectors.joining(" and "));
                    if (!socket.isEmpty()) {
                        add(
                                pair.get(1),
                                new Captured.Line(
                                        rig.name(pair.get(0)),
                                        false,
                                        false,
                                        false,
                                        new Track(socket, Optional.empty(), List.of())));
                    }
                });
    }

    private static int count(ChannelPair pair) {
        return pair.channels().matches(".*[0-9].*[0-9].*") ? 2 : 1;
    }

    private void add(String recorder, Captured.Line line) {
        lines.computeIfAbsent(recorder, key -> new ArrayList<>()).add(line);
    }

    /** The computer, tablet or phone that a device's data gets to, through hubs; itself where there is none. */
    private String host(String sender) {
        Set<String> seen = new HashSet<>(List.of(sender));
        Deque<String> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            String at = open.poll();
            if (!at.equals(sender) && rig.isHost(at)) {
                return at;
            }
            boolean isPassing = at.equals(sender) || rig.device(at).kind() == DeviceKind.HUB;
            if (isPassing) {
                rig.links().stream()
                        .filter(link -> link.touches(at) && link.isOf(SignalKind.DIGITAL))
                        .flatMap(link -> link.devices().stream())
                        .filter(seen::add)
                        .forEach(open::add);
            }
        }
        return sender;
    }

    /** Who sends to whom over a data lead. */
    static List<List<String>> sending(SheetRig rig, Link link) {
        return link.devices().stream()
                .filter(id -> !rig.isHost(id))
                .flatMap(
                        id -> link.devices().stream().filter(rig::isHost).flatMap(host -> Stream.of(List.of(id, host))))
                .toList();
    }
}
