package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.units.Print;

/**
 * What one plugs in one go: leads with their adapters that hang together, and those beside them that join the same devices for
 * the same purpose, as left and right do.
 *
 * @param patch that it is part of
 * @param chains marks of leads and adapters, those that hang together in one list; none where a device has a plug of its own
 * @param sockets of devices, those that give first
 */
record Link(Patch patch, List<List<String>> chains, List<Spot> sockets) {
    /** Ends that fit each other's sockets and must not be confused. */
    private static final Set<String> SIGNED = Set.of("microphone", "headphones", "send", "return");

    Link {
        chains = chains.stream().map(List::copyOf).toList();
        sockets = List.copyOf(sockets);
    }

    /** All of a patch, in the order in which they were plugged. */
    static List<Link> all(Patch patch) {
        Map<List<Object>, Link> links = new LinkedHashMap<>();
        apart(patch).forEach(link -> links.merge(link.purpose(), link, Link::and));
        return List.copyOf(links.values());
    }

    /** The same with everything that does not hang together by itself. */
    static List<Link> apart(Patch patch) {
        Map<String, List<Plugging>> groups = new LinkedHashMap<>();
        for (Plugging plugging : patch.pluggings()) {
            Set<String> leads = plugging.spots().stream()
                    .map(Spot::item)
                    .filter(patch.leads()::containsKey)
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            List<Plugging> joined = new ArrayList<>();
            leads.forEach(lead -> groups.getOrDefault(lead, List.of()).stream()
                    .filter(each -> !joined.contains(each))
                    .forEach(joined::add));
            joined.add(plugging);
            joined.stream()
                    .flatMap(each -> each.spots().stream())
                    .map(Spot::item)
                    .filter(patch.leads()::containsKey)
                    .forEach(leads::add);
            if (leads.isEmpty()) {
                groups.put(plugging.plug().write(), joined);
            }
            leads.forEach(lead -> groups.put(lead, joined));
        }
        return new LinkedHashSet<>(groups.values())
                .stream().map(group -> of(patch, group)).toList();
    }

    /** What it joins and for what: links that have this in common are one. */
    private List<Object> purpose() {
        return List.of(
                devices(),
                each().map(Socket::signal)
                        .map(signal -> signal.isSound() ? "sound" : signal.word())
                        .collect(Collectors.toSet()));
    }

    private Link and(Link other) {
        List<List<String>> both = new ArrayList<>(chains);
        both.addAll(other.chains);
        List<Spot> spots = new ArrayList<>(sockets);
        spots.addAll(other.sockets);
        return new Link(patch, both, givingFirst(patch, spots));
    }

    private static List<Spot> givingFirst(Patch patch, List<Spot> spots) {
        return spots.stream()
                .sorted((one, other) -> Boolean.compare(isGiving(patch, other), isGiving(patch, one)))
                .toList();
    }

    private static Link of(Patch patch, List<Plugging> group) {
        List<Spot> spots = group.stream().flatMap(each -> each.spots().stream()).toList();
        List<String> leads = spots.stream()
                .map(Spot::item)
                .filter(patch.leads()::containsKey)
                .distinct()
                .toList();
        List<Spot> sockets = spots.stream()
                .filter(spot -> patch.devices().containsKey(spot.item()))
                .toList();
        return new Link(patch, leads.isEmpty() ? List.of() : List.of(leads), givingFirst(patch, sockets));
    }

    private static boolean isGiving(Patch patch, Spot spot) {
        return patch.socket(spot).orElseThrow().way() == Direction.OUT;
    }

    String id() {
        return "plug:" + sockets.stream().map(Spot::write).sorted().collect(Collectors.joining("+"));
    }

    Stream<Socket> each() {
        return sockets.stream().map(spot -> patch.socket(spot).orElseThrow());
    }

    /** Whether a place is one of its sockets or leads. */
    boolean isAt(Place.Plugged place) {
        return sockets.contains(new Spot(place.item(), place.part())) || leads().contains(place.item());
    }

    /** What was noticed at it or in one of its leads, worst first. */
    List<Finding> noticed(List<Checked> joints) {
        return Finding.worstFirst(joints.stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> finding.place() instanceof Place.Plugged at && isAt(at))
                .toList());
    }

    boolean isOf(SignalKind kind) {
        return each().anyMatch(socket -> socket.signal() == kind);
    }

    /** Whether a sound goes through it as a voltage. */
    boolean isAudio() {
        return each().anyMatch(socket -> socket.signal().isSound());
    }

    /** Whether it joins two things. What has a free end does not. */
    boolean isWhole() {
        return sockets.size() > 1;
    }

    boolean touches(String device) {
        return sockets.stream().anyMatch(spot -> spot.item().equals(device));
    }

    /** The devices that it joins, those that give first. */
    List<String> devices() {
        return sockets.stream().map(Spot::item).distinct().toList();
    }

    /** Whether a device gets bus power through it. */
    boolean feeds(String device) {
        return sockets.stream()
                        .filter(spot -> spot.item().equals(device))
                        .anyMatch(spot -> patch.socket(spot).orElseThrow().has(PowerKind.BUS, PowerRole.NEEDS))
                && feeders().anyMatch(other -> !other.equals(device));
    }

    /** Those that give bus power to it. */
    Stream<String> feeders() {
        return sockets.stream()
                .filter(spot -> patch.socket(spot).orElseThrow().has(PowerKind.BUS, PowerRole.GIVES))
                .map(Spot::item);
    }

    /** Marks of all leads and adapters. */
    List<String> leads() {
        return chains.stream().flatMap(List::stream).toList();
    }

    /** Whether something must be put together before it is plugged. */
    boolean isPutTogether() {
        return chains.stream().anyMatch(chain -> chain.size() > 1);
    }

    /** "Lead 7 (blue)", "Lead 4 with Little adapter", "2 × Lead 15"; the plug of a device where there is no lead. */
    String leadWords() {
        List<String> names = chains.stream()
                .map(chain -> chain.stream()
                        .map(mark -> name(patch.leads().get(mark)))
                        .collect(Collectors.joining(" with ")))
                .toList();
        return names.isEmpty()
                ? "Plug of " + patch.devices().get(withPlug().item()).name()
                : counted(names);
    }

    /** The one of two devices that goes straight into the other one. */
    private Spot withPlug() {
        return sockets.stream()
                .filter(spot -> patch.socket(spot).orElseThrow().form() == Form.PLUG)
                .findFirst()
                .orElse(sockets.get(sockets.size() - 1));
    }

    /** "Lead 7, 2 × Lead 15": each name once, with how often it is there. */
    static String counted(List<String> names) {
        return names.stream()
                .distinct()
                .map(name -> {
                    int count = Collections.frequency(names, name);
                    return count == 1 ? name : count + " × " + name;
                })
                .collect(Collectors.joining(", "));
    }

    private static String name(Lead lead) {
        boolean isTold = lead.colour().isEmpty() || lead.name().contains(lead.colour());
        return lead.name() + (isTold ? "" : " (" + lead.colour() + ")");
    }

    /** "Bass synth, Out → Interface, Input 3". */
    String endWords() {
        List<Spot> giving =
                sockets.stream().filter(spot -> isGiving(patch, spot)).toList();
        List<Spot> first = giving.isEmpty() || giving.size() == sockets.size() ? sockets.subList(0, 1) : giving;
        List<Spot> rest = sockets.stream().filter(spot -> !first.contains(spot)).toList();
        return words(first) + (rest.isEmpty() ? "" : " → " + words(rest));
    }

    /** How ends that look alike are told apart: "red is right, white is left", "“microphone” goes to Groovebox". */
    List<String> signs() {
        return leads().stream()
                .map(mark -> patch.leads().get(mark))
                .filter(lead -> lead.ends().size() > 2)
                .distinct()
                .flatMap(this::signs)
                .distinct()
                .toList();
    }

    private Stream<String> signs(Lead lead) {
        List<String> names = lead.ends().stream().map(LeadEnd::name).toList();
        if (names.stream().anyMatch(name -> name.contains("red"))) {
            return Stream.of("Red is right, white or black is left");
        }
        String mark = leads().stream()
                .filter(each -> patch.leads().get(each).equals(lead))
                .findFirst()
                .orElseThrow();
        List<String> goes = lead.ends().stream()
                .filter(end -> SIGNED.contains(end.name()))
                .flatMap(end -> beyond(new Spot(mark, end.id()), Set.of(mark))
                        .map(device -> "“" + end.name() + "” to "
                                + patch.devices().get(device).name()))
                .toList();
        return goes.isEmpty() ? Stream.of() : Stream.of("By the signs on it: " + Print.listed(goes));
    }

    /** The devices that are reached from an end of a lead, away from that lead. */
    private Stream<String> beyond(Spot end, Set<String> passed) {
        return patch.pluggings().stream()
                .filter(plugging -> plugging.spots().contains(end))
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::item)
                .filter(item -> !passed.contains(item))
                .flatMap(item -> patch.devices().containsKey(item) ? Stream.of(item) : through(item, passed));
    }

    private Stream<String> through(String lead, Set<String> passed) {
        Set<String> more = new HashSet<>(passed);
        more.add(lead);
        return patch.leads().get(lead).ends().stream().flatMap(end -> beyond(new Spot(lead, end.id()), more));
    }

    private String words(List<Spot> spots) {
        Map<String, List<String>> names = new LinkedHashMap<>();
        spots.forEach(
                spot -> names.computeIfAbsent(patch.devices().get(spot.item()).name(), device -> new ArrayList<>())
                        .add(patch.socket(spot).orElseThrow().name()));
        return names.entrySet().stream()
                .map(entry -> entry.getKey() + ", " + String.join(" and ", entry.getValue()))
                .collect(Collectors.joining("; "));
    }
}
