package kalodyne.core.runsheet;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.rig.Monitoring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Captured;
import kalodyne.core.route.Track;
import kalodyne.core.units.Print;

/** What is recorded where: the recorder at the end of each data lead, and the tracks in it. */
final class Recorders {
    private static final Set<DeviceKind> RECORDING = EnumSet.of(
            DeviceKind.RECORDER, DeviceKind.PHONE, DeviceKind.TABLET, DeviceKind.COMPUTER, DeviceKind.CAMERA);

    /** What channels carry although nothing is plugged into what sends them. */
    private static final Set<ChannelRole> OWN = EnumSet.of(
            ChannelRole.OWN_SOUND, ChannelRole.MIX, ChannelRole.MIX_WITH_VOICE, ChannelRole.MIX_WITHOUT_VOICE);

    /** One socket for both sides is one socket. */
    private static final Pattern SIDE = Pattern.compile(", (left|right)$");

    private final SheetRig rig;

    /** Of each recorder what comes into it, by what is played. */
    private final Map<String, List<Captured.Line>> lines = new LinkedHashMap<>();

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
        List<String> heardOn = rig.worn().isEmpty() ? rig.loud() : rig.worn();
        return Monitoring.of(rig.joints(), rig.patch(), Settings.NONE).isDirect(Set.copyOf(heardOn));
    }

    /** The marks of all that record something here. */
    Set<String> ids() {
        return lines.keySet();
    }

    /** Whether what it keeps is a film: a camera's, or that of what films beside another recording. */
    boolean isFilm(String id) {
        return rig.device(id).kind() == DeviceKind.CAMERA
                || rig.sessionPlan().film().filter(id::equals).isPresent();
    }

    /** How many channels a recorder writes. */
    int channels(String recorder) {
        return Math.max(
                1,
                captured(recorder).lines().stream()
                        .mapToInt(line -> line.isStereo() ? 2 : 1)
                        .sum());
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
                !rig.worn().isEmpty(),
                !rig.loud().isEmpty(),
                rig.patch());
    }

    /** Whether headphones hang on it and its direct monitoring is, or may be switched, on. */
    boolean canBeHeardDirectly(String sender) {
        boolean hasEars = rig.links().stream()
                .filter(link -> link.touches(sender))
                .flatMap(link -> link.devices().stream())
                .anyMatch(rig.worn()::contains);
        return hasEars && directSwitch(sender).isPresent();
    }

    /** The switch of direct monitoring, unless its owner wants it off. */
    Optional<DeviceControl> directSwitch(String sender) {
        return Monitoring.directSwitch(rig.patch(), sender);
    }

    // --- by voltage --------------------------------------------------------------------------------------------

    /** A source at what makes the numbers of it; of several mixes that this sends, at one. */
    private record Entry(String source, String sender, Optional<ChannelPair> mix) {}

    private void voltages() {
        Map<Entry, List<End>> ends = new LinkedHashMap<>();
        Map<Entry, Set<String>> sockets = new HashMap<>();
        for (Trace trace : rig.recorded()) {
            String sender = rig.last(trace);
            boolean isOwnData =
                    rig.source(trace).equals(sender) && !host(sender).equals(sender);
            if (!isOwnData) {
                // What it sends of its own is told by its pairs.
                End end = rig.end(trace);
                Entry entry = new Entry(rig.source(trace), sender, mixOf(sender, end));
                ends.computeIfAbsent(entry, key -> new ArrayList<>()).add(end);
                sockets.computeIfAbsent(entry, key -> new LinkedHashSet<>())
                        .add(SIDE.matcher(trace.socket()).replaceFirst(""));
            }
        }
        ends.forEach((entry, found) -> {
            String recorder = host(entry.sender());
            boolean isSent = !recorder.equals(entry.sender());
            List<Integer> channels = found.stream()
                    .flatMapToInt(end -> end.number().stream())
                    .distinct()
                    .sorted()
                    .boxed()
                    .toList();
            Track track = isSent
                    ? new Track(
                            entry.mix()
                                    .map(pair -> "channels " + pair.channels() + ": " + pair.carries())
                                    .orElseGet(() -> Print.listed(found.stream()
                                            .map(End::name)
                                            .distinct()
                                            .toList())),
                            Optional.of(entry.sender()),
                            channels)
                    : new Track(Print.listed(List.copyOf(sockets.get(entry))), Optional.empty(), List.of());
            add(
                    recorder,
                    new Captured.Line(
                            List.of(rig.name(entry.source())),
                            found.stream().map(End::name).distinct().count() > 1,
                            false,
                            recorder.equals(entry.source()),
                            track));
        });
    }

    /** Which of several mixes that a device sends at once a track is part of. */
    private Optional<ChannelPair> mixOf(String sender, End end) {
        List<ChannelPair> mixes = mixes(sender);
        return mixes.size() < 2
                ? Optional.empty()
                : mixes.stream()
                        .filter(pair -> end.number().isPresent()
                                && pair.numbers().contains(end.number().getAsInt()))
                        .findFirst();
    }

    // --- by data -----------------------------------------------------------------------------------------------

    /** What sends a sound of its own although nothing comes into it: a USB microphone, a player of records. */
    private void data() {
        for (String sender : rig.devices()) {
            String recorder = host(sender);
            boolean isNew = lines.getOrDefault(recorder, List.of()).stream()
                    .noneMatch(
                            line -> line.track().sender().filter(sender::equals).isPresent());
            if (!recorder.equals(sender) && isNew) {
                Captured.sent(rig.device(sender)).stream()
                        .filter(pair -> OWN.contains(pair.role()))
                        .forEach(pair -> add(
                                recorder,
                                new Captured.Line(
                                        List.of(rig.name(sender)),
                                        pair.numbers().size() > 1,
                                        false,
                                        false,
                                        new Track(
                                                "channels " + pair.channels() + ": " + pair.carries(),
                                                Optional.of(sender),
                                                pair.numbers()))));
            }
        }
    }

    /** The pairs of sound that it sends apart: a mix with and a mix without the microphone. */
    List<ChannelPair> mixes(String sender) {
        return Captured.sent(rig.device(sender)).stream()
                .filter(pair -> pair.role().isMix())
                .toList();
    }

    /** The computers and phones that record nothing, but play what is heard: each with what it plays on. */
    Map<String, String> onlyPlaying() {
        Map<String, String> playing = new LinkedHashMap<>();
        rig.heard().stream().map(rig::source).forEach(player -> {
            String host = host(player);
            if (rig.isHost(host) && !host.equals(player) && !lines.containsKey(host)) {
                playing.putIfAbsent(host, player);
            }
        });
        return playing;
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
                                        List.of(rig.name(pair.get(0))),
                                        false,
                                        false,
                                        false,
                                        new Track(socket, Optional.empty(), List.of())));
                    }
                });
    }

    /** An interface without a computer keeps nothing. */
    private void add(String recorder, Captured.Line line) {
        if (!RECORDING.contains(rig.device(recorder).kind())) {
            return;
        }
        lines.computeIfAbsent(recorder, key -> new ArrayList<>()).add(line);
    }

    /** The computer, tablet or phone that a device's data gets to, through hubs; itself where there is none. */
    String host(String sender) {
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
