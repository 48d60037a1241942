package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Wiring;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.desktop.job.Jobs;

/** Finds ways to record what somebody wishes, beside what is plugged already, and plugs one of them. */
public final class WayModel {
    private final StudioModel studio;
    private final JointsModel joints;
    private final Jobs jobs;

    /** Counts the searches: only the latest is waited for. */
    private final AtomicInteger asked = new AtomicInteger();

    public WayModel(StudioModel studio, JointsModel joints, Jobs jobs) {
        this.studio = studio;
        this.joints = joints;
        this.jobs = jobs;
    }

    /** What can be played. */
    public List<Device> sources() {
        return studio.studio().devices().stream().filter(Planner::isSource).toList();
    }

    /** What can record. */
    public List<Device> recorders() {
        return studio.studio().devices().stream().filter(Planner::isRecorder).toList();
    }

    public List<Device> headphones() {
        return studio.studio().devices().stream()
                .filter(device -> device.kind() == DeviceKind.HEADPHONES)
                .toList();
    }

    /** Searches; what was asked for before is not delivered any more. */
    public void find(Wish wish, Consumer<Plan> delivered) {
        int asking = asked.incrementAndGet();
        List<Device> devices = studio.studio().devices();
        List<Lead> leads = studio.studio().leads();
        Wiring plugged = studio.setup().wiring();
        jobs.runBriefly(
                progress -> new Planner(devices, leads, Catalogue.shipped(), plugged)
                        .plan(wish, () -> !progress.report(0) || asking != asked.get()),
                plan -> {
                    if (asking == asked.get()) {
                        delivered.accept(plan);
                    }
                });
    }

    /** Plugs all of a way, in one step that can be taken back; only where all of it is owned. */
    public void use(Way way) {
        if (way.missing().isEmpty()) {
            studio.edit(
                    "plug “" + way.title() + "”",
                    setup ->
                            setup.withWiring(setup.wiring().plugging(way.patch().pluggings())));
            way.patch().parted().stream().findFirst().ifPresent(part -> joints.chooseWith(part.pluggings()));
        }
    }

    /** The name of a device that a way goes through. */
    public static String name(Way way, String mark) {
        return Optional.ofNullable(way.patch().devices().get(mark))
                .map(Device::name)
                .orElse(mark);
    }
}
