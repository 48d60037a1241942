package kalodyne.desktop.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.joint.rules.Offers;
import kalodyne.core.joint.rules.Offers.Offer;

/** What is plugged in the setup that is looked at: every joint as it was computed, and the one that is chosen. */
public final class JointsModel {
    private final StudioModel studio;
    private final ReadOnlyObjectWrapper<List<Checked>> joints = new ReadOnlyObjectWrapper<>(this, "joints", List.of());
    private final ReadOnlyObjectWrapper<Optional<Checked>> chosen =
            new ReadOnlyObjectWrapper<>(this, "chosen", Optional.empty());

    /** Of joints that an edit did not touch, nothing is computed again. */
    private Map<Patch, Checked> known = Map.of();

    private Inputs computed;

    /** All that joints follow from. */
    private record Inputs(List<Device> devices, List<Lead> leads, Wiring wiring) {}

    public JointsModel(StudioModel studio) {
        this.studio = studio;
        studio.revisionProperty().addListener(change -> refresh());
        refresh();
    }

    public ReadOnlyObjectProperty<List<Checked>> jointsProperty() {
        return joints.getReadOnlyProperty();
    }

    public List<Checked> joints() {
        return joints.get();
    }

    public ReadOnlyObjectProperty<Optional<Checked>> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    public Optional<Checked> chosen() {
        return chosen.get();
    }

    private void refresh() {
        Inputs inputs = new Inputs(
                studio.studio().devices(),
                studio.studio().leads(),
                studio.setup().wiring());
        if (inputs.equals(computed)) {
            return;
        }
        computed = inputs;
        Map<Patch, Checked> now = new HashMap<>();
        List<Checked> all = studio.studio().patch(studio.setup()).parted().stream()
                .map(part -> {
                    Checked checked = known.containsKey(part) ? known.get(part) : JointRules.checkOne(part);
                    now.put(part, checked);
                    return checked;
                })
                .toList();
        known = now;
        Optional<Checked> before = chosen();
        joints.set(all);
        chosen.set(before.flatMap(this::sameAs).or(() -> worst(all)));
    }

    /** The joint that stands where another one stood: the one with the same first plug. */
    private Optional<Checked> sameAs(Checked before) {
        return joints().stream()
                .filter(joint -> joint.patch().pluggings().stream()
                        .anyMatch(plugging -> before.patch().pluggings().contains(plugging)))
                .findFirst();
    }

    /** What is looked at before anything was chosen: where most is wrong. */
    private static Optional<Checked> worst(List<Checked> all) {
        return all.stream().min(Comparator.comparingInt(Checked::rank));
    }

    public void choose(Checked joint) {
        chosen.set(Optional.of(joint));
    }

    /** Looks at the joint in which something was noticed. */
    public void choose(Place.Plugged place) {
        joints().stream()
                .filter(joint -> joint.patch().pluggings().stream()
                        .flatMap(plugging -> Stream.of(plugging.plug(), plugging.socket()))
                        .anyMatch(spot ->
                                spot.item().equals(place.item()) && spot.part().equals(place.part())))
                .findFirst()
                .ifPresent(this::choose);
    }

    /** What was noticed anywhere, worst first. */
    public List<Finding> findings() {
        return Finding.worstFirst(
                joints().stream().flatMap(joint -> joint.findings().stream()).toList());
    }

    /** What to do about the worst that was noticed, notes left out: "Drum box → Interface: take left and right to two inputs". */
    public Optional<String> next() {
        Optional<Finding> first = findings().stream()
                .filter(finding ->
                        finding.severity() != Severity.NOTE && finding.remedy().isPresent())
                .findFirst();
        return first.flatMap(finding -> joints().stream()
                .filter(joint -> joint.findings().contains(finding))
                .findFirst()
                .map(joint -> joint.title() + ": "
                        + lowered(finding.remedy().orElseThrow().words())));
    }

    private static String lowered(String words) {
        return Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }

    // --- plugging ----------------------------------------------------------------------------------------------

    public List<Device> devices() {
        return studio.studio().devices();
    }

    /** Whether nothing is plugged into a socket, or into another one that is the same hole. */
    public boolean isFree(Spot socket) {
        Set<Spot> taken = studio.setup().wiring().plugged().stream()
                .flatMap(plugging -> Stream.of(plugging.plug(), plugging.socket()))
                .collect(Collectors.toSet());
        return studio.studio().device(socket.item()).stream()
                .flatMap(device -> sameHole(device, socket.part()))
                .noneMatch(part -> taken.contains(new Spot(socket.item(), part)));
    }

    private static Stream<String> sameHole(Device device, String part) {
        Optional<String> opening =
                device.socket(part).flatMap(socket -> socket.ties().opening());
        return device.sockets().stream()
                .filter(socket -> socket.id().equals(part)
                        || (opening.isPresent() && socket.ties().opening().equals(opening)))
                .map(Socket::id);
    }

    /** What joins two sockets, of the leads that are free; the best first. */
    public List<Offer> offers(Spot from, Spot to) {
        return new Offers(
                        devices(),
                        studio.studio().leads(),
                        studio.setup().wiring().plugged())
                .between(from, to);
    }

    /** "Lead 4, Little adapter". */
    public String words(Offer offer) {
        String names = offer.leads().stream()
                .map(mark -> offer.checked().patch().leads().get(mark).name())
                .collect(Collectors.joining(", "));
        return names.isEmpty() ? "straight in" : names;
    }

    /** Plugs it, and looks at it. */
    public void plug(Offer offer) {
        String title = offer.checked().title();
        studio.edit("plug " + title, setup -> {
            List<Plugging> more = new ArrayList<>(setup.wiring().plugged());
            more.addAll(offer.pluggings());
            return setup.withWiring(setup.wiring().withPlugged(more));
        });
        joints().stream()
                .filter(joint -> joint.patch().pluggings().containsAll(offer.pluggings()))
                .findFirst()
                .ifPresent(this::choose);
    }

    /** Pulls all plugs of the joint that is chosen. */
    public void unplug() {
        chosen().ifPresent(joint -> studio.edit(
                "unplug " + joint.title(),
                setup -> setup.withWiring(setup.wiring()
                        .withPlugged(setup.wiring().plugged().stream()
                                .filter(plugging -> !joint.patch().pluggings().contains(plugging))
                                .toList()))));
    }

    /** "Lead 7", "Lead 4, Little adapter", "plugged straight in". */
    public static String through(Checked joint) {
        String leads = joint.patch().leads().values().stream().map(Lead::name).collect(Collectors.joining(", "));
        return leads.isEmpty() ? "plugged straight in" : leads;
    }
}
