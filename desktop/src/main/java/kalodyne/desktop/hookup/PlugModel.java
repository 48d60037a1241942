package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.joint.Hum;
import kalodyne.core.joint.Mains;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.Cure;
import kalodyne.core.joint.rules.Cures;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.joint.rules.Offers;
import kalodyne.core.joint.rules.Offers.Offer;
import kalodyne.core.units.Print;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;

/** Changes what is plugged, and tries out what else could be. */
public final class PlugModel {
    private final StudioModel studio;
    private final JointsModel joints;
    private final Jobs jobs;
    private final ReadOnlyObjectWrapper<List<Cure>> alternatives =
            new ReadOnlyObjectWrapper<>(this, "alternatives", List.of());

    /** What is being tried out, so that what nobody waits for any more is not tried at all. */
    private final AtomicReference<Inputs> wanted = new AtomicReference<>();

    /**
     * A switch of the joint that is looked at.
     *
     * @param name "Interface, 48 V"
     * @param positions as printed beside it
     * @param at empty where nobody said
     */
    public record Switch(Spot control, String name, List<String> positions, Optional<String> at) {}

    public PlugModel(StudioModel studio, JointsModel joints, Jobs jobs) {
        this.studio = studio;
        this.joints = joints;
        this.jobs = jobs;
        joints.chosenProperty().addListener(change -> tryAlternatives());
        studio.revisionProperty().addListener(change -> tryAlternatives());
        tryAlternatives();
    }

    private Wiring wiring() {
        return studio.setup().wiring();
    }

    public List<Device> devices() {
        return studio.studio().devices();
    }

    // --- what else could be ------------------------------------------------------------------------------------

    /** What would make the joint that is looked at better, and other leads that fit; empty while it is being tried out. */
    public ReadOnlyObjectProperty<List<Cure>> alternativesProperty() {
        return alternatives.getReadOnlyProperty();
    }

    /** The best that can be done at once about the joint that is looked at, if anything makes it better. */
    public Optional<Cure> best() {
        return joints.chosen()
                .flatMap(joint -> alternatives.get().stream()
                        .filter(cure -> cure.wiring().isPresent() && cure.isBetterThan(joint))
                        .findFirst());
    }

    /** What alternatives follow from: a change of any of it, also by undoing, makes them stale. */
    private record Inputs(Optional<Checked> joint, List<Device> devices, List<Lead> leads, Wiring wiring) {}

    private void tryAlternatives() {
        Inputs now = new Inputs(joints.chosen(), devices(), studio.studio().leads(), wiring());
        if (now.equals(wanted.get())) {
            return;
        }
        wanted.set(now);
        alternatives.set(List.of());
        now.joint()
                .ifPresent(chosen -> jobs.runBriefly(
                        progress -> now.equals(wanted.get())
                                ? new Cures(now.devices(), now.leads(), shop(), now.wiring()).alternatives(chosen)
                                : List.<Cure>of(),
                        found -> {
                            if (now.equals(wanted.get())) {
                                alternatives.set(found);
                            }
                        }));
    }

    private static List<Lead> shop() {
        return Catalogue.shipped().leads().stream().map(Profile::gear).toList();
    }

    /** Plugs and switches as it says. */
    public void follow(Cure cure) {
        cure.wiring().ifPresent(after -> {
            studio.edit(Print.withinSentence(cure.words()), setup -> setup.withWiring(after));
            cure.joints().stream()
                    .findFirst()
                    .ifPresent(joint -> joints.chooseWith(joint.patch().pluggings()));
        });
    }

    // --- plugging ----------------------------------------------------------------------------------------------

    /** Whether nothing is plugged into a socket, or into another one that is the same hole. */
    public boolean isFree(Device device, Socket socket) {
        return wiring().isFree(device, socket);
    }

    /** What joins two sockets, of the leads that are free; the best first. */
    public void offers(Spot from, Spot to, Consumer<List<Offer>> delivered) {
        Offers offers = new Offers(devices(), studio.studio().leads(), wiring().plugged());
        jobs.runBriefly(progress -> offers.between(from, to), delivered);
    }

    /** Plugs it, and looks at it. */
    public void plug(Offer offer) {
        studio.edit(
                "plug " + offer.checked().title(),
                setup -> setup.withWiring(setup.wiring().plugging(offer.pluggings())));
        joints.chooseWith(offer.pluggings());
    }

    /** Pulls all plugs of the joint that is looked at. */
    public void unplug() {
        joints.chosen()
                .ifPresent(joint -> studio.edit(
                        "unplug " + joint.title(),
                        setup -> setup.withWiring(
                                setup.wiring().unplugged(joint.patch().pluggings()))));
    }

    // --- switches ----------------------------------------------------------------------------------------------

    /** The switches that matter to the joint that is looked at. */
    public List<Switch> switches() {
        List<Switch> switches = new ArrayList<>();
        joints.chosen()
                .ifPresent(joint -> joint.patch()
                        .switches()
                        .forEach(spot -> studio.studio()
                                .device(spot.item())
                                .ifPresent(device -> device.control(spot.part())
                                        .map(control -> shown(spot, device, control))
                                        .ifPresent(switches::add))));
        return switches;
    }

    /** How far apart the outlets are that the setup hangs on. */
    public Mains mains() {
        return wiring().mains();
    }

    /** Whether that matters to the joint that is looked at: it may hum by a current between two mains earths, or did until it was told. */
    public boolean asksForMains() {
        return joints.chosen()
                .filter(joint ->
                        joint.findings().stream().anyMatch(finding -> finding.code() == FindingCode.HUM_GROUND_LOOP)
                                || (mains() != Mains.UNKNOWN
                                        && joint.hum().values().stream().anyMatch(Hum::isLoop)))
                .isPresent();
    }

    /** Remembers how far apart they are. */
    public void hangsOn(Mains mains) {
        if (mains != mains()) {
            studio.edit(
                    "say how far apart the outlets are",
                    setup -> setup.withWiring(setup.wiring().with(mains)));
        }
    }

    private Switch shown(Spot spot, Device device, DeviceControl control) {
        Optional<String> at = wiring().standing(spot).filter(control.positions()::contains);
        return new Switch(spot, device.name() + ", " + control.name(), control.positions(), at);
    }

    /** Remembers how a switch stands; empty where one does not know. */
    public void stands(Switch control, Optional<String> at) {
        if (!at.equals(control.at())) {
            studio.edit(
                    at.map(position -> "switch " + control.name() + " to “" + position + "”")
                            .orElse("forget how " + control.name() + " stands"),
                    setup -> setup.withWiring(at.map(
                                    position -> setup.wiring().with(new Switched(control.control(), position)))
                            .orElseGet(() -> setup.wiring().forgetting(control.control()))));
        }
    }
}
