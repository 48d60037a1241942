package kalodyne.core.levels.rig;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.InputSwitch;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.rig.PointDraft.Link;
import kalodyne.core.levels.rig.Sides.Side;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;
import kalodyne.core.units.ThermalNoise;

/** What is inside a device, from the signals that its sockets receive to those that they give and to its tracks. */
final class DeviceDrafts {
    private static final Set<Carries> SIGNALS = EnumSet.of(Carries.HOT, Carries.SIGNAL, Carries.LEFT, Carries.RIGHT);

    /** Recorded music averages so far under full scale; common practice. */
    private static final double PLAYBACK_CREST_DB = 18;

    private final String id;
    private final Device device;
    private final Controls controls;
    private final Sides sides;
    private final Sounds sounds;
    private final List<Doubt> doubts;
    private final EarLevels listening;
    private final DraftBook book;
    private final TrackDrafts tracks;
    private final InputPaths inputs;
    private final boolean isSounding;
    private boolean isMixedElsewhere;

    /**
     * Begins.
     *
     * @param isSounding whether what it hears or plays by itself is meant
     */
    DeviceDrafts(String id, Device device, Controls controls, List<Doubt> doubts, boolean isSounding) {
        this.isSounding = isSounding;
        this.id = id;
        this.device = device;
        this.controls = controls;
        this.sides = new Sides(device);
        this.doubts = doubts;
        this.sounds = new Sounds(doubts);
        this.listening = new EarLevels(doubts);
        this.book = new DraftBook(id);
        this.tracks = new TrackDrafts(id, device, sides, book);
        this.inputs = new InputPaths(device);
    }

    /**
     * All of them.
     *
     * @param received signals that the sockets receive
     * @param given signals that they give
     */
    Map<PointId, PointDraft> drafts(List<Signal> received, List<Signal> given) {
        received.forEach(this::receive);
        isMixedElsewhere = device.kind() == DeviceKind.MIXER && received.isEmpty();
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
        tracks.number();
        given.forEach(this::give);
        received.forEach(this::hear);
        return book.all();
    }

    /** A signal that a socket of the device receives or gives. */
    record Signal(Socket socket, Carries carries) {
        Side side() {
            return Side.of(carries);
        }

        /** Under which it is known in a flow. */
        static PointId id(Spot spot, Carries carries) {
            Side side = Side.of(carries);
            boolean isSingle = side == Side.MIDDLE && carries != Carries.MIC && carries != Carries.RETURN;
            return isSingle ? PointId.of(spot) : PointId.of(spot).of(carries.word());
        }
    }

    private PointId id(Signal signal) {
        return Signal.id(new Spot(id, signal.socket().id()), signal.carries());
    }

    // --- inputs ------------------------------------------------------------------------------------------------

    private void receive(Signal signal) {
        PointDraft draft = book.add(id(signal), label(signal))
                .clippingAt(ceiling(signal.socket(), signal.socket().mostTaken()));
        book.know(signal.socket().id(), signal.side(), draft);
        if (signal.carries() == Carries.MIC) {
            book.know(signal.socket().id() + ":mic", Side.MIDDLE, draft);
        }
    }

    private String label(Signal signal) {
        return signal.side() == Side.MIDDLE
                ? signal.socket().name()
                : signal.socket().name() + ", " + signal.side().word();
    }

    private Optional<Level> ceiling(Socket socket, Optional<Level> most) {
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
        List<Link> links = new ArrayList<>(links(stage, side));
        boolean isPlayback =
                stage.kind() == StageKind.TO_ANALOGUE && stage.from().isEmpty();
        if (stage.isOwnSound() && isSounding) {
            PointDraft own = book.add(PointId.of(new Spot(id, stage.id())).of("own"), ownLabel(stage, side))
                    .with(sounds.of(id, device, stage));
            links.add(Link.of(own.id(), 0));
        }
        if (isMixedElsewhere && stage.kind() == StageKind.BUS && !feedsBus(stage)) {
            PointDraft mixed = book.add(PointId.of(new Spot(id, stage.id())).of("mixed"), ownLabel(stage, side))
                    .with(sounds.mixed(id, device, stage));
            links.add(Link.of(mixed.id(), 0));
        }
        if (links.isEmpty() && !isPlayback) {
            return;
        }
        List<DeviceControl> acting = Controls.of(device, stage);
        Optional<DeviceControl> main = acting.stream()
                .filter(control -> control.kind() == ControlKind.GAIN || control.kind() == ControlKind.TRIM)
                .findFirst()
                .or(() -> acting.stream().filter(Controls::isVolume).findFirst());
        PointId stageId = PointId.of(new Spot(id, stage.id()))
                .of(stage.side().isEmpty() && side != Side.MIDDLE ? side.word() : "");
        List<Link> next = links;
        boolean isPast = false;
        for (DeviceControl control : acting) {
            boolean isMain = main.filter(control::equals).isPresent();
            if (isMain) {
                next = List.of(Link.of(
                        main(stage, side, stageId, next, Optional.of(control)).id(), 0));
                isPast = true;
            } else {
                if (!isPast && Controls.isVolume(control)) {
                    next = List.of(Link.of(
                            main(stage, side, stageId, next, Optional.empty()).id(), 0));
                    isPast = true;
                }
                PointDraft more = book.add(stageId.behind(control.id()), control.name());
                next.forEach(more::fedBy);
                more.turnedBy(Optional.of(spot(control)));
                next = List.of(Link.of(more.id(), 0));
            }
        }
        if (!isPast) {
            next = List.of(
                    Link.of(main(stage, side, stageId, next, Optional.empty()).id(), 0));
        }
        book.know(stage.id(), side, book.get(next.get(0).from()));
    }

    /** What several groups make of one mix would be that mix several times. */
    private boolean feedsBus(Stage stage) {
        return device.stages().stream()
                .filter(other -> other.kind() == StageKind.BUS)
                .flatMap(other -> other.from().stream())
                .anyMatch(from -> Stage.fedBy(from).equals(stage.id()));
    }

    /** "own sound, left"; of a player the name of what plays: "deck 1, left". */
    private static String ownLabel(Stage stage, Side side) {
        if (stage.kind() == StageKind.BUS) {
            return stage.name();
        }
        return side == Side.MIDDLE ? "own sound" : "own sound, " + side.word();
    }

    private Spot spot(DeviceControl control) {
        return new Spot(id, control.id());
    }

    private PointDraft main(
            Stage stage, Side side, PointId stageId, List<Link> links, Optional<DeviceControl> control) {
        PointDraft draft = book.add(stageId, stage.name());
        links.forEach(draft::fedBy);
        draft.turnedBy(control.map(this::spot));
        draft.with(inputs.within(stage)
                .or(() -> stage.facts().quantity(Fact.STAGE_GAIN))
                .orElse(Gain.NONE));
        Optional<Level> ceiling = stage.facts().quantity(Fact.STAGE_CEILING);
        Level in = stage.facts()
                .quantity(Fact.INPUT_NOISE)
                .map(DeviceDrafts::withoutSource)
                .orElse(Level.SILENCE);
        Level out = stage.facts().quantity(Fact.OUTPUT_NOISE).orElse(Level.SILENCE);
        switch (stage.kind()) {
            case TO_DIGITAL -> tracks.convert(draft, stage, ceiling);
            case TO_ANALOGUE -> {
                Level fullScale = stage.facts().quantity(Fact.FULL_SCALE).orElse(TrackDrafts.USUAL_FULL_SCALE);
                Level noise = TrackDrafts.noise(stage).at(fullScale);
                draft.clippingAt(Optional.of(ceiling.orElse(fullScale))).noisy(in, noise);
                if (links.isEmpty()) {
                    draft.with(Sound.playedBack(
                            id,
                            new SignalLevels(fullScale, fullScale.plus(new Gain(-PLAYBACK_CREST_DB)), Level.SILENCE)));
                }
            }
            default -> draft.clippingAt(ceiling).noisy(in, out);
        }
        book.knowBeforeInsert(stage.id(), side, draft);
        PointDraft inserted = behindInsert(stage, stageId, draft);
        book.knowBeforeVolume(stage.id(), side, inserted);
        return inserted;
    }

    /** With a plug in its insert a channel hears only what comes back there. */
    private PointDraft behindInsert(Stage stage, PointId stageId, PointDraft main) {
        Optional<Socket> insert = device.sockets().stream()
                .filter(socket -> socket.contacts().containsValue(Carries.RETURN))
                .filter(socket -> socket.from().stream().map(Stage::fedBy).anyMatch(stage.id()::equals))
                .filter(socket -> controls.isPlugged(new Spot(id, socket.id())))
                .findFirst();
        if (insert.isEmpty()) {
            return main;
        }
        PointDraft behind =
                book.add(stageId.behind(insert.get().id()), insert.get().name());
        Optional.ofNullable(book.get(Signal.id(new Spot(id, insert.get().id()), Carries.RETURN)))
                .ifPresent(back -> behind.fedBy(Link.of(back.id(), 0)));
        return behind;
    }

    /** A noise figure is measured with a source, whose thermal noise is in it: the source that is plugged brings its own. */
    private static Level withoutSource(Level rated) {
        double own = Math.pow(rated.volts(), 2)
                - Math.pow(ThermalNoise.of(ThermalNoise.RATED_SOURCE).volts(), 2);
        // A figure that is better than its source was measured otherwise.
        return own > 0 ? Level.ofVolts(Math.sqrt(own)) : rated;
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
            boolean isHeard = InputSwitch.isHeard(device, stage, from, control -> controls.standing(id, control));
            if (isHeard && !isOff && !isMuted) {
                double db = inputs.before(stage, from).db();
                source(from, side).stream()
                        .flatMap(draft -> panned(draft, before, side).stream())
                        .forEach(draft -> links.add(Link.of(draft.id(), db)));
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

    /** Behind the pan pot on the way to a side, or the balance of a stereo channel; nothing where it is turned to the other one. */
    private Optional<PointDraft> panned(PointDraft draft, Optional<Stage> before, Side side) {
        Optional<DeviceControl> pan =
                before.filter(stage -> side != Side.MIDDLE).flatMap(stage -> Controls.pan(device, stage));
        if (pan.isEmpty()) {
            return Optional.of(draft);
        }
        PointId point = PointId.of(new Spot(id, before.get().id()))
                .of(side.word())
                .behind(pan.get().id());
        if (book.get(point) != null) {
            return Optional.of(book.get(point));
        }
        PanTaper taper = ((PanTaper) pan.get().taper().orElseThrow())
                .to(side == Side.LEFT ? PanTaper.Side.LEFT : PanTaper.Side.RIGHT);
        boolean isStereo =
                sides.of(before.get()).size() > 1 || before.get().side().isPresent();
        KnobDraft knob = new KnobDraft(spot(pan.get()), Optional.of(isStereo ? taper.asBalance() : taper));
        return Double.isInfinite(controls.knob(knob).gain().db())
                ? Optional.empty()
                : Optional.of(book.add(point, pan.get().name())
                        .fedBy(Link.of(draft.id(), 0))
                        .turnedBy(knob));
    }

    /** What a reference means for one side: the same side of it, or its middle; for the middle, one side of a pair. */
    private List<PointDraft> source(String reference, Side side) {
        String mark = Stage.fedBy(reference);
        Map<Side, PointDraft> there = book.has(reference)
                ? book.of(reference)
                : book.has(mark) ? book.of(mark) : normalled(mark).orElse(Map.of());
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
                .filter(book::has)
                .map(book::of);
    }

    // --- outputs -----------------------------------------------------------------------------------------------

    private void give(Signal signal) {
        Socket socket = signal.socket();
        List<Link> links = socket.from().stream()
                .flatMap(from -> given(from, signal).stream())
                .map(draft -> Link.of(draft.id(), 0))
                .distinct()
                .toList();
        if (!socket.from().isEmpty() && links.isEmpty()) {
            return;
        }
        PointDraft draft = book.add(id(signal), label(signal)).clippingAt(ceiling(socket, socket.mostGiven()));
        draft.turnedBy(Controls.atOutput(device, socket).map(this::spot));
        if (socket.from().isEmpty()) {
            draft.with(sounds.of(id, device, socket));
        } else {
            links.forEach(draft::fedBy);
        }
    }

    /** The send of an insert is taken before the fader. */
    private List<PointDraft> given(String from, Signal signal) {
        Map<Side, PointDraft> before =
                signal.carries() == Carries.SEND ? book.beforeInsert(Stage.fedBy(from)) : Map.of();
        return before.isEmpty()
                ? source(from, signal.side())
                : List.of(before.getOrDefault(
                        signal.side(), before.values().iterator().next()));
    }

    /** With a usual converter behind each of its line outputs, where it records nothing itself. */
    Map<PointId, PointDraft> recorded() {
        boolean recordsItself =
                book.all().values().stream().anyMatch(draft -> draft.end().isPresent());
        if (!recordsItself) {
            device.sockets().stream()
                    .filter(socket -> socket.way() == Direction.OUT && socket.signal() == SignalKind.LINE)
                    .flatMap(socket -> signals(socket).stream())
                    .forEach(this::record);
        }
        return book.all();
    }

    private List<Signal> signals(Socket socket) {
        return socket.contacts().values().stream()
                .filter(SIGNALS::contains)
                .map(carries -> new Signal(socket, carries))
                .toList();
    }

    private void record(Signal signal) {
        if (book.get(id(signal)) == null) {
            give(signal);
        }
        Optional.ofNullable(book.get(id(signal)))
                .ifPresent(draft -> tracks.usual(id(signal).behind("recorded"), label(signal), draft));
    }

    // --- ears --------------------------------------------------------------------------------------------------

    private static final Set<SignalKind> DRIVERS = Set.of(SignalKind.HEADPHONE, SignalKind.HEADSET);

    private void hear(Signal signal) {
        PointDraft draft = book.get(id(signal));
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
            Side side = signal.side() == Side.MIDDLE
                    ? signal.socket().side().map(Side::of).orElse(Side.MIDDLE)
                    : signal.side();
            speaker(signal.socket(), side);
        }
    }

    /** Behind the last stage that the input feeds and nothing else is fed by. */
    private void speaker(Socket socket, Side side) {
        device.stages().stream()
                .filter(stage -> EarLevels.isDriving(device, stage))
                .filter(stage -> stage.from().stream().map(Stage::fedBy).anyMatch(socket.id()::equals))
                .findFirst()
                .map(stage -> book.of(stage.id()))
                // A subwoofer hears both sides and is one.
                .filter(there -> !EarLevels.isSubwoofer(device)
                        || there.values().stream().allMatch(each -> each.end().isEmpty()))
                .flatMap(there -> Optional.ofNullable(there.getOrDefault(side, there.get(Side.MIDDLE))))
                .filter(draft -> draft.end().isEmpty())
                .ifPresent(draft -> draft.ending(EarLevels.speaker(
                                device, socket, device.name() + (EarLevels.isSubwoofer(device) ? "" : earOf(side))))
                        .clippingAt(Optional.of(EarLevels.loudestAt(socket))));
    }

    private static String earOf(Side side) {
        return side == Side.MIDDLE ? "" : ", " + side.word();
    }
}
