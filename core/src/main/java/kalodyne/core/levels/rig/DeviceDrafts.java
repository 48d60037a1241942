package kalodyne.core.levels.rig;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.rig.PointDraft.Link;
import kalodyne.core.levels.rig.Sides.Side;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;

/** What is inside a device, from the signals that its sockets receive to those that they give and to its tracks. */
final class DeviceDrafts {
    private static final Level USUAL_FULL_SCALE = new Level(18);
    private static final DigitalLevel USUAL_CONVERTER_NOISE = new DigitalLevel(-95);
    private static final int USUAL_BITS = 24;
    private static final Set<Carries> SIGNALS = EnumSet.of(Carries.HOT, Carries.SIGNAL, Carries.LEFT, Carries.RIGHT);

    /** A pan pot in the middle takes so much from both sides; common practice, others take up to 6 dB. */
    private static final double MIDDLE_DB = -3;

    /** Recorded music averages so far under full scale; common practice. */
    private static final double PLAYBACK_CREST_DB = 18;

    private final String id;
    private final Device device;
    private final Controls controls;
    private final Sides sides;
    private final Sounds sounds;
    private final List<Doubt> doubts;
    private final EarLevels listening;
    private final Map<String, PointDraft> drafts = new LinkedHashMap<>();

    /** The drafts that stand for the parts of the device: of a socket one for each signal, of a stage one for each side. */
    private final Map<String, Map<Side, PointDraft>> parts = new LinkedHashMap<>();

    /** Of stages with a volume: what there is before it. */
    private final Map<String, Map<Side, PointDraft>> beforeVolume = new LinkedHashMap<>();

    DeviceDrafts(String id, Device device, Controls controls, List<Doubt> doubts) {
        this.id = id;
        this.device = device;
        this.controls = controls;
        this.sides = new Sides(device);
        this.doubts = doubts;
        this.sounds = new Sounds(doubts);
        this.listening = new EarLevels(doubts);
    }

    /**
     * All of them.
     *
     * @param received signals that the sockets receive
     * @param given signals that they give
     */
    Map<String, PointDraft> drafts(List<Signal> received, List<Signal> given) {
        received.forEach(this::receive);
        List<Stage> waiting = new ArrayList<>(device.stages());
        while (!waiting.isEmpty()) {
            // Stages form no circle: one of them waits for none of the others.
            Stage next = waiting.stream()
                    .filter(stage -> stage.from().stream()
                            .map(Stage::fedBy)
                            .noneMatch(from -> waiting.stream()
                                    .anyMatch(other -> other.id().equals(from))))
                    .findFirst()
                    .orElseThrow();
            waiting.remove(next);
            sides.of(next).forEach(side -> stage(next, side));
        }
        tracks();
        given.forEach(this::give);
        received.forEach(this::hear);
        return drafts;
    }

    /** A signal that a socket of the device receives or gives. */
    record Signal(Socket socket, Carries carries) {
        Side side() {
            return Side.of(carries);
        }

        /** Under which it is known in a flow. */
        static String mark(Spot spot, Carries carries) {
            Side side = Side.of(carries);
            boolean isSingle = side == Side.MIDDLE && carries != Carries.MIC;
            return isSingle ? spot.write() : spot.write() + ":" + carries.word();
        }
    }

    private String mark(Signal signal) {
        return Signal.mark(new Spot(id, signal.socket().id()), signal.carries());
    }

    private PointDraft add(String mark, String label) {
        PointDraft draft = new PointDraft(mark, id, label);
        drafts.put(mark, draft);
        return draft;
    }

    private void know(String part, Side side, PointDraft draft) {
        parts.computeIfAbsent(part, each -> new LinkedHashMap<>()).put(side, draft);
    }

    // --- inputs ------------------------------------------------------------------------------------------------

    private void receive(Signal signal) {
        PointDraft draft = add(mark(signal), label(signal)).clippingAt(ceiling(signal.socket()));
        know(signal.socket().id(), signal.side(), draft);
        if (signal.carries() == Carries.MIC) {
            know(signal.socket().id() + ":mic", Side.MIDDLE, draft);
        }
    }

    private String label(Signal signal) {
        return signal.side() == Side.MIDDLE
                ? signal.socket().name()
                : signal.socket().name() + ", " + signal.side().word();
    }

    private Optional<Level> ceiling(Socket socket) {
        Optional<Level> most = socket.facts().quantity(Fact.MAXIMUM_LEVEL).filter(level -> !level.isSilence());
        Optional<Level> nominal = socket.facts().quantity(Fact.NOMINAL_LEVEL);
        if (most.isPresent() && nominal.isPresent() && most.get().compareTo(nominal.get()) < 0) {
            doubts.add(new Doubt(
                    new Spot(id, socket.id()),
                    device.name() + ", " + socket.name() + ": its maximum of " + most.get() + " is below its nominal "
                            + nominal.get() + ". One of the two is wrong; the higher one is used.",
                    true));
            return nominal;
        }
        return most;
    }

    // --- stages ------------------------------------------------------------------------------------------------

    private void stage(Stage stage, Side side) {
        List<Link> links = links(stage, side);
        boolean isPlayback =
                stage.kind() == StageKind.TO_ANALOGUE && stage.from().isEmpty();
        if (links.isEmpty() && !isPlayback) {
            return;
        }
        List<DeviceControl> acting = Controls.of(device, stage);
        Optional<DeviceControl> main = acting.stream()
                .filter(control -> control.kind() == ControlKind.GAIN || control.kind() == ControlKind.TRIM)
                .findFirst()
                .or(() -> acting.stream().filter(Controls::isVolume).findFirst());
        String mark = id + "." + stage.id() + (stage.side().isEmpty() && side != Side.MIDDLE ? ":" + side.word() : "");
        List<Link> next = links;
        boolean isPast = false;
        for (DeviceControl control : acting) {
            boolean isMain = main.filter(control::equals).isPresent();
            if (isMain) {
                next = List.of(Link.of(
                        main(stage, side, mark, next, Optional.of(control)).id(), 0));
                isPast = true;
            } else {
                if (!isPast && Controls.isVolume(control)) {
                    next = List.of(Link.of(
                            main(stage, side, mark, next, Optional.empty()).id(), 0));
                    isPast = true;
                }
                PointDraft more = add(mark + "/" + control.id(), control.name());
                next.forEach(more::fedBy);
                more.turnedBy(Optional.of(spot(control)));
                next = List.of(Link.of(more.id(), 0));
            }
        }
        if (!isPast) {
            next = List.of(
                    Link.of(main(stage, side, mark, next, Optional.empty()).id(), 0));
        }
        know(stage.id(), side, drafts.get(next.get(0).from()));
    }

    private Spot spot(DeviceControl control) {
        return new Spot(id, control.id());
    }

    private PointDraft main(Stage stage, Side side, String mark, List<Link> links, Optional<DeviceControl> control) {
        PointDraft draft = add(mark, stage.name());
        links.forEach(draft::fedBy);
        draft.turnedBy(control.map(this::spot));
        draft.with(stage.facts().quantity(Fact.STAGE_GAIN).orElse(Gain.NONE));
        Optional<Level> ceiling = stage.facts().quantity(Fact.STAGE_CEILING);
        Level in = stage.facts().quantity(Fact.INPUT_NOISE).orElse(Level.SILENCE);
        Level out = stage.facts().quantity(Fact.OUTPUT_NOISE).orElse(Level.SILENCE);
        switch (stage.kind()) {
            case TO_DIGITAL -> convert(draft, stage, ceiling);
            case TO_ANALOGUE -> {
                Level fullScale = stage.facts().quantity(Fact.FULL_SCALE).orElse(USUAL_FULL_SCALE);
                Level noise = converterNoise(stage).at(fullScale);
                draft.clippingAt(Optional.of(ceiling.orElse(fullScale))).noisy(in, noise);
                if (links.isEmpty()) {
                    draft.with(Sound.playedBack(
                            id,
                            new SignalLevels(fullScale, fullScale.plus(new Gain(-PLAYBACK_CREST_DB)), Level.SILENCE)));
                }
            }
            default -> draft.clippingAt(ceiling).noisy(in, out);
        }
        beforeVolume.computeIfAbsent(stage.id(), each -> new LinkedHashMap<>()).put(side, draft);
        return draft;
    }

    private static DigitalLevel converterNoise(Stage stage) {
        return stage.facts().quantity(Fact.CONVERTER_NOISE).orElse(USUAL_CONVERTER_NOISE);
    }

    private List<Link> links(Stage stage, Side side) {
        List<Link> links = new ArrayList<>();
        boolean hasMonitor = Controls.has(device, stage, ControlKind.DIRECT_MONITOR);
        boolean isMonitored = controls.isOn(id, device, stage, ControlKind.DIRECT_MONITOR);
        boolean isMuted = controls.isOn(id, device, stage, ControlKind.MUTE);
        for (String from : stage.from()) {
            Optional<Stage> before = stageOf(Stage.fedBy(from));
            boolean isOff = hasMonitor
                    && !isMonitored
                    && before.filter(each -> each.kind() != StageKind.TO_ANALOGUE)
                            .isPresent();
            if (!isOff && !isMuted) {
                source(from, side).forEach(draft -> links.add(Link.of(draft.id(), pan(before, side))));
            }
        }
        return links.stream()
                .filter(link -> !Double.isInfinite(link.gain().db()))
                .toList();
    }

    private Optional<Stage> stageOf(String stageId) {
        return device.stages().stream()
                .filter(stage -> stage.id().equals(stageId))
                .findFirst();
    }

    /** What a pan pot, or the balance of a stereo channel, takes on the way to a side. */
    private double pan(Optional<Stage> before, Side side) {
        if (before.isEmpty() || side == Side.MIDDLE || !Controls.has(device, before.get(), ControlKind.PAN)) {
            return 0;
        }
        int pan = controls.pan(id, device, before.get());
        boolean isOther = pan != 0 && (pan < 0) != (side == Side.LEFT);
        boolean isBalance = before.get().side().isPresent();
        return isOther ? Double.NEGATIVE_INFINITY : pan == 0 && !isBalance ? MIDDLE_DB : 0;
    }

    /** What a reference means for one side: the same side of it, or its middle; for the middle, one side of a pair. */
    private List<PointDraft> source(String reference, Side side) {
        String mark = Stage.fedBy(reference);
        Map<Side, PointDraft> there = parts.getOrDefault(
                parts.containsKey(reference) ? reference : mark, normalled(mark).orElse(Map.of()));
        Optional<Side> told = Stage.sideOf(reference).map(Sides::read).filter(each -> each != Side.MIDDLE);
        if (told.isPresent()) {
            boolean isWanted = side == Side.MIDDLE || told.get() == side;
            return isWanted && there.containsKey(told.get()) ? List.of(there.get(told.get())) : List.of();
        }
        if (side != Side.MIDDLE) {
            return Optional.ofNullable(there.get(side)).or(() -> Optional.ofNullable(there.get(Side.MIDDLE))).stream()
                    .toList();
        }
        return there.containsKey(Side.MIDDLE)
                ? List.of(there.get(Side.MIDDLE))
                : there.values().stream().limit(1).toList();
    }

    /** Where nothing is plugged into the right one of a pair, it hears the left one. */
    private Optional<Map<Side, PointDraft>> normalled(String socket) {
        return device.socket(socket)
                .flatMap(each -> each.ties().normalledFrom())
                .map(parts::get);
    }

    // --- tracks ------------------------------------------------------------------------------------------------

    private void convert(PointDraft draft, Stage stage, Optional<Level> ceiling) {
        Level fullScale = stage.facts().quantity(Fact.FULL_SCALE).orElse(USUAL_FULL_SCALE);
        track(draft, fullScale, converterNoise(stage), ceiling);
    }

    private void track(PointDraft draft, Level fullScale, DigitalLevel noise, Optional<Level> ceiling) {
        int bits = device.bitDepths().stream()
                .filter(each -> each <= 32)
                .max(Integer::compare)
                .orElse(USUAL_BITS);
        Level rounding = DigitalLevel.quantisingNoise(bits).at(fullScale);
        draft.clippingAt(Optional.of(
                        ceiling.filter(each -> each.compareTo(fullScale) < 0).orElse(fullScale)))
                .noisy(Level.SILENCE, noise.at(fullScale).withUncorrelated(rounding))
                .ending(AimSchool.EVEN.on(new End(
                        0,
                        "",
                        OptionalInt.empty(),
                        End.Kind.TRACK,
                        fullScale,
                        -1,
                        0,
                        End.Line.PEAK,
                        OptionalInt.of(bits))));
    }

    /** Names the tracks as the computer counts them; what a mixer sends as data without saying how gets a usual converter. */
    private void tracks() {
        for (Socket socket : device.sockets()) {
            for (ChannelPair pair : socket.channels()) {
                int first = first(pair);
                boolean isOut = pair.way() != Direction.IN && first > 0;
                for (int i = 0; isOut && i < pair.from().size(); i++) {
                    track(pair, pair.from().get(i), first + i);
                }
            }
        }
        int count = 0;
        for (Stage stage : device.stages()) {
            if (stage.kind() == StageKind.TO_DIGITAL) {
                for (Side side : sides.of(stage)) {
                    count++;
                    PointDraft draft = parts.getOrDefault(stage.id(), Map.of()).get(side);
                    if (draft != null
                            && draft.end().filter(end -> end.name().isEmpty()).isPresent()) {
                        name(draft, count);
                    }
                }
            }
        }
    }

    private void track(ChannelPair pair, String from, int number) {
        boolean isBeforeFader = pair.role() == ChannelRole.BEFORE_FADERS;
        Map<Side, PointDraft> there = (isBeforeFader ? beforeVolume : parts).getOrDefault(from, Map.of());
        there.values().stream().findFirst().ifPresent(draft -> {
            if (draft.end().isPresent()) {
                name(draft, number);
            } else {
                PointDraft converter = add(id + ".track-" + number, "Track " + number);
                converter.fedBy(Link.of(draft.id(), 0));
                track(converter, USUAL_FULL_SCALE, USUAL_CONVERTER_NOISE, Optional.empty());
                name(converter, number);
            }
        });
    }

    private static void name(PointDraft draft, int number) {
        draft.ending(draft.end().orElseThrow().numbered(number));
    }

    /** Of "3–4" the 3; 0 where channels have no numbers. */
    private static int first(ChannelPair pair) {
        String digits = pair.channels().replaceFirst("[^0-9].*", "");
        return digits.isEmpty() || digits.length() > 4 ? 0 : Integer.parseInt(digits);
    }

    // --- outputs -----------------------------------------------------------------------------------------------

    private void give(Signal signal) {
        Socket socket = signal.socket();
        List<Link> links = socket.from().stream()
                .flatMap(from -> source(from, signal.side()).stream())
                .map(draft -> Link.of(draft.id(), 0))
                .distinct()
                .toList();
        if (!socket.from().isEmpty() && links.isEmpty()) {
            return;
        }
        PointDraft draft = add(mark(signal), label(signal)).clippingAt(ceiling(socket));
        draft.turnedBy(Controls.atOutput(device, socket).map(this::spot));
        if (socket.from().isEmpty()) {
            draft.with(sounds.of(id, device, socket));
        } else {
            links.forEach(draft::fedBy);
        }
    }

    /** With a usual converter behind each of its line outputs, where it records nothing itself. */
    Map<String, PointDraft> recorded() {
        boolean recordsItself =
                drafts.values().stream().anyMatch(draft -> draft.end().isPresent());
        if (!recordsItself) {
            device.sockets().stream()
                    .filter(socket -> socket.way() == Direction.OUT && socket.signal() == SignalKind.LINE)
                    .flatMap(socket -> signals(socket).stream())
                    .forEach(this::record);
        }
        return drafts;
    }

    private List<Signal> signals(Socket socket) {
        return socket.contacts().values().stream()
                .filter(SIGNALS::contains)
                .map(carries -> new Signal(socket, carries))
                .toList();
    }

    private void record(Signal signal) {
        if (!drafts.containsKey(mark(signal))) {
            give(signal);
        }
        Optional.ofNullable(drafts.get(mark(signal))).ifPresent(draft -> {
            PointDraft converter = add(mark(signal) + "/recorded", label(signal));
            converter.fedBy(Link.of(draft.id(), 0));
            track(converter, USUAL_FULL_SCALE, USUAL_CONVERTER_NOISE, Optional.empty());
        });
    }

    // --- ears --------------------------------------------------------------------------------------------------

    private static final Set<SignalKind> DRIVERS = Set.of(SignalKind.HEADPHONE, SignalKind.HEADSET);

    private void hear(Signal signal) {
        PointDraft draft = drafts.get(mark(signal));
        String ear = signal.side() == Side.MIDDLE
                ? device.name()
                : device.name() + ", " + signal.side().word();
        if (DRIVERS.contains(signal.socket().signal())
                && signal.carries() != Carries.MIC
                && device.facts().get(Fact.DRIVER_IMPEDANCE).isPresent()) {
            listening
                    .phones(device, ear, new Spot(id, signal.socket().id()))
                    .ifPresent(end -> draft.ending(end).clippingAt(EarLevels.mostIntoPhones(device)));
        } else if (EarLevels.isPoweredSpeaker(device)) {
            speaker(signal.socket(), signal.side());
        }
    }

    /** Behind the last stage that the input feeds and nothing else is fed by. */
    private void speaker(Socket socket, Side side) {
        device.stages().stream()
                .filter(stage -> stage.kind() == StageKind.AMPLIFIER)
                .filter(stage -> stage.from().stream().map(Stage::fedBy).anyMatch(socket.id()::equals))
                .findFirst()
                .map(stage -> parts.getOrDefault(stage.id(), Map.of()))
                .flatMap(there -> Optional.ofNullable(there.getOrDefault(side, there.get(Side.MIDDLE))))
                .filter(draft -> draft.end().isEmpty())
                .ifPresent(draft -> draft.ending(EarLevels.speaker(device, socket, device.name() + earOf(side)))
                        .clippingAt(Optional.of(EarLevels.loudestAt(socket))));
    }

    private static String earOf(Side side) {
        return side == Side.MIDDLE ? "" : ", " + side.word();
    }
}
