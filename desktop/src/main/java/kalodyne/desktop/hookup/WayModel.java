package kalodyne.desktop.hookup;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Wiring;
import kalodyne.core.route.Obvious;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Spending;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Acquired;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.RunChoice;
import kalodyne.desktop.model.StudioModel;

/** Finds ways to record what somebody wishes, beside what is plugged already, and makes one of them what is plugged. */
public final class WayModel {
    private static final Set<DeviceKind> PLAYED = Set.of(
            DeviceKind.INSTRUMENT,
            DeviceKind.MICROPHONE,
            DeviceKind.SYNTH,
            DeviceKind.DRUM_MACHINE,
            DeviceKind.PIANO,
            DeviceKind.TURNTABLE,
            DeviceKind.DJ,
            DeviceKind.WIRELESS);

    private static final Set<DeviceKind> BETWEEN = EnumSet.of(
            DeviceKind.MIXER,
            DeviceKind.PREAMP,
            DeviceKind.BOX,
            DeviceKind.INTERFACE,
            DeviceKind.RECORDER,
            DeviceKind.DJ);

    private final StudioModel studio;
    private final JointsModel joints;
    private final Jobs jobs;

    private Object looking = new Object();

    /** Counts the searches: only the latest is waited for. */
    private final AtomicInteger asked = new AtomicInteger();

    public WayModel(StudioModel studio, JointsModel joints, Jobs jobs) {
        this.studio = studio;
        this.joints = joints;
        this.jobs = jobs;
    }

    // --- what can be wished ------------------------------------------------------------------------------------

    /** What can be played, computers last. */
    public List<Device> sources() {
        List<Device> all = studio.studio().devices();
        return Stream.concat(
                        all.stream().filter(Planner::isSource),
                        all.stream()
                                .filter(device -> !Planner.isSource(device)
                                        && device.kind().isHost()))
                .toList();
    }

    /** The one thing that is played, where there is one. */
    public Optional<Device> onlySource() {
        return only(sources().stream().filter(device -> PLAYED.contains(device.kind())));
    }

    /** The one thing that keeps what it records, where there is one. */
    public Optional<Device> onlyRecorder() {
        return only(recorders().stream().filter(device -> device.kind().keepsRecordings()));
    }

    private static Optional<Device> only(Stream<Device> some) {
        List<Device> all = some.toList();
        return all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
    }

    /** What can record. */
    public List<Device> recorders() {
        return studio.studio().devices().stream().filter(Planner::isRecorder).toList();
    }

    /** What a sound can go through on its way: mixers, preamps, interfaces, boxes. */
    public List<Device> between() {
        return studio.studio().devices().stream()
                .filter(device -> BETWEEN.contains(device.kind()))
                .toList();
    }

    public List<Device> headphones() {
        return studio.studio().devices().stream()
                .filter(device -> device.kind() == DeviceKind.HEADPHONES)
                .toList();
    }

    /** Loudspeakers that something can be plugged into at line level. */
    public List<Device> speakers() {
        return studio.studio().devices().stream()
                .filter(device -> device.kind() == DeviceKind.SPEAKER)
                .filter(device -> device.sockets().stream().anyMatch(socket -> socket.signal() == SignalKind.LINE))
                .toList();
    }

    public Optional<Device> device(String mark) {
        return studio.studio().devices().stream()
                .filter(device -> device.id().equals(mark))
                .findFirst();
    }

    /** What was looked for last in this setup, as far as it is still on the shelf. */
    public Optional<Wish> wish() {
        return studio.setup().wish();
    }

    /** What counted most when anything was looked for in this studio. */
    public Priority usuallyFirst() {
        return lastWish().map(Wish::first).orElse(Priority.CLEAN);
    }

    public Priority usuallyThen() {
        return lastWish().map(Wish::then).orElse(Priority.CHEAP);
    }

    /** With what was written down in any setup of this studio. */
    public Spending prices(Spending present) {
        Map<String, Double> all = new HashMap<>();
        studio.studio().setups().stream()
                .flatMap(setup -> setup.wish().stream())
                .forEach(wish -> all.putAll(wish.extras().spending().prices()));
        all.putAll(present.prices());
        return new Spending(present.most(), all);
    }

    private Optional<Wish> lastWish() {
        return studio.studio().setups().stream()
                .flatMap(setup -> setup.wish().stream())
                .findFirst();
    }

    // --- looking -----------------------------------------------------------------------------------------------

    /**
     * Searches; what was asked for before is not delivered any more.
     *
     * @param early is given the first ways, before all are found
     */
    public void find(Wish wish, Consumer<List<Way>> early, Consumer<Plan> delivered) {
        int asking = asked.incrementAndGet();
        Planner planner = planner();
        keep(wish);
        jobs.runBriefly(
                progress -> planner.plan(
                        wish,
                        () -> !progress.report(0) || asking != asked.get(),
                        first -> jobs.onScreen(() -> {
                            if (asking == asked.get()) {
                                early.accept(first);
                            }
                        })),
                plan -> {
                    if (asking == asked.get()) {
                        delivered.accept(plan);
                    }
                });
    }

    private Planner planner() {
        List<Device> devices = studio.studio().devices();
        List<Lead> leads = studio.studio().leads();
        return new Planner(
                devices,
                leads,
                Catalogue.shipped(),
                studio.setup().wiring(),
                studio.setup().settings());
    }

    /** The choice stays with the studio; all that is looked for from one opening on is one step to take back. */
    private void keep(Wish wish) {
        if (!studio.isReadOnly()) {
            studio.change(
                    looking,
                    "look for a way to record",
                    studio.studio().with(studio.setup().withWish(Optional.of(wish))));
        }
    }

    /** Somebody begins to look for something else. */
    public void begin() {
        looking = new Object();
    }

    /** Nobody waits for what is being looked for any more. */
    public void stop() {
        asked.incrementAndGet();
    }

    /** What would come of the simplest leads between two sockets. */
    public void obvious(Device from, Socket out, Device to, Socket in, Consumer<List<Obvious>> delivered) {
        Planner planner = planner();
        jobs.runBriefly(progress -> planner.obvious(from, out, to, in), delivered);
    }

    // --- using -------------------------------------------------------------------------------------------------

    /**
     * Plugs all of a way, from which its runs follow, in one step that can be taken back; what was missing is there now, and is put
     * on the shelf.
     */
    public void use(Way way) {
        Acquired acquired = Acquired.of(studio.studio(), way);
        Setup plugged = used(studio.setup(), way, acquired.plugging(way.patch().pluggings()));
        studio.change(null, "use “" + way.title() + "”", acquired.studio().with(plugged));
        if (!studio.isReadOnly()) {
            way.strands().stream()
                    .map(strand -> strand.stations().get(0) + ".")
                    .flatMap(source ->
                            studio.runs().stream().filter(run -> run.key().startsWith(source) && run.isRecorded()))
                    .findFirst()
                    .map(RunChoice::key)
                    .ifPresent(studio::showRun);
            way.patch().parted().stream()
                    .findFirst()
                    .ifPresent(part -> joints.chooseWith(acquired.plugging(part.pluggings())));
        }
    }

    private static Setup used(Setup setup, Way way, List<Plugging> pluggings) {
        Wiring wiring = setup.wiring().unplugged(way.unplugged());
        Set<Plugging> there = new HashSet<>(wiring.plugged());
        return setup.withWiring(wiring.plugging(
                pluggings.stream().filter(plugging -> !there.contains(plugging)).toList()));
    }
}
