package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.rig.Settings;

/**
 * Ways to hear something on loudspeakers or headphones without recording it. Each row of sockets that loudspeakers have is a way of
 * its own: balanced or not, near or far, with leads that one owns or has to get.
 */
final class HearingSearch {
    private static final int MOST_TOLD = 5;

    /** What gathers sources itself needs no mixer to be heard by. */
    private static final Set<DeviceKind> GATHERING = EnumSet.of(DeviceKind.MIXER, DeviceKind.INTERFACE, DeviceKind.DJ);

    /** What is found of an interface whose computer is not on the shelf. */
    private static final Set<FindingCode> OF_ITS_COMPUTER =
            EnumSet.of(FindingCode.POWER_NOT_FED, FindingCode.USB_NOT_SEEN);

    private final Wish wish;
    private final Stock stock;
    private final Hops hops;
    private final Present present;
    private final List<Switched> switches;
    private final Settings settings;
    private final BooleanSupplier isCancelled;
    private final Map<String, Way> found = new LinkedHashMap<>();
    private final Set<Plan.Dropped> dropped = new LinkedHashSet<>();

    HearingSearch(Wish wish, Ground ground, List<Switched> switches, Settings settings, BooleanSupplier isCancelled) {
        this.wish = wish;
        this.stock = ground.stock();
        this.hops = ground.hops();
        this.present = ground.present();
        this.switches = List.copyOf(switches);
        this.settings = settings;
        this.isCancelled = isCancelled;
    }

    /**
     * What plays it to the ears.
     *
     * @param device the source itself, the interface of a computer, or a mixer
     * @param before what comes into it, by what there is of each
     */
    private record Start(String device, List<Into> before) {}

    private record Into(List<Port> outs, List<Port> ins) {}

    Plan plan() {
        for (boolean mayGet : wish.extras().budget() == Budget.NOTHING ? List.of(false) : List.of(false, true)) {
            for (Start start : starts()) {
                rows().stream().filter(row -> !isCancelled.getAsBoolean()).forEach(row -> look(start, row, mayGet));
            }
        }
        List<Way> all = found.values().stream()
                .filter(way -> wish.extras().allows(way.missing()))
                .filter(way -> way.strands().stream()
                        .flatMap(strand -> strand.stations().stream())
                        .toList()
                        .containsAll(wish.extras().by()))
                .sorted(Comparator.comparingDouble(Way::score).thenComparing(Way::title))
                .limit(MOST_TOLD)
                .toList();
        return new Plan(all, List.copyOf(dropped), hops.looked(), impossible(all));
    }

    private Optional<String> impossible(List<Way> all) {
        return all.isEmpty()
                ? Optional.of("Nothing joins "
                        + wish.sources().stream().map(stock::name).collect(Collectors.joining(" and "))
                        + " to " + heardOn() + " in a way that works."
                        + (starts().isEmpty()
                                ? " Several sources need a mixer to be heard together: there is none on the shelf."
                                : ""))
                : Optional.empty();
    }

    private String heardOn() {
        return wish.heard().marks().stream().map(stock::name).collect(Collectors.joining(" and "));
    }

    private List<Start> starts() {
        Device source = stock.device(wish.sources().get(0));
        boolean isOne = wish.sources().size() == 1;
        Stream<Start> itself = isOne ? Stream.of(new Start(source.id(), List.of())) : Stream.empty();
        boolean isHost = isOne && source.kind().isHost();
        boolean isGathered = isOne && GATHERING.contains(source.kind());
        Stream<Start> others = isHost
                ? owned(DeviceKind.INTERFACE)
                        .map(id -> new Start(
                                id,
                                List.of(new Into(
                                        stock.ports(id).dataOut().stream().toList(),
                                        stock.ports(source.id()).dataIns()))))
                : isGathered ? Stream.empty() : owned(DeviceKind.MIXER).map(this::mixed);
        return Stream.concat(itself, others).toList();
    }

    private Stream<String> owned(DeviceKind kind) {
        return stock.ids().stream()
                .filter(id -> stock.device(id).kind() == kind && !Missing.is(id))
                .filter(id -> !wish.sources().contains(id));
    }

    private Start mixed(String mixer) {
        return new Start(
                mixer,
                wish.sources().stream()
                        .map(source -> new Into(
                                stock.ports(source).outlets(),
                                stock.ports(mixer).inlets()))
                        .toList());
    }

    /** The kinds of sockets that loudspeakers can be reached by; one row of any where there are only headphones. */
    private List<Optional<Connector>> rows() {
        List<String> speakers = wish.heard().speakers();
        Optional<String> first = speakers.stream()
                .filter(id -> SpeakersPlan.passesOn(stock, id))
                .findFirst()
                .or(() -> speakers.stream().findFirst());
        return first.map(id -> stock.ports(id).inlets().stream()
                        .map(in -> in.shape().connectors().get(0))
                        .distinct()
                        .map(Optional::of)
                        .toList())
                .orElse(List.of(Optional.empty()));
    }

    private void look(Start start, Optional<Connector> row, boolean mayGet) {
        String title = title(start, row);
        if (found.containsKey(title)) {
            return;
        }
        Plugs plugs = new Plugs(stock, hops, List.of(), present, mayGet);
        boolean isFed = start.before().stream()
                .allMatch(into -> plugs.join(into.outs(), into.ins()).isPresent());
        needed(start).ifPresent(into -> plugs.join(into.outs(), into.ins()));
        Feeders feeders = Feeders.only(start.device());
        HeadphonesPlan headphones = new HeadphonesPlan(stock, feeders, wish.heard(), plugs);
        headphones.plug();
        Optional<SideTask> speakers = new SpeakersPlan(
                        stock,
                        feeders,
                        wish.heard().speakers(),
                        plugs,
                        in -> row.isEmpty() || in.shape().connectors().contains(row.get()))
                .plugged();
        boolean isHeard = speakers.map(SideTask::isDone).orElse(true)
                && wish.heard().headphones().stream().allMatch(headphones::isPlugged);
        if (isFed && isHeard && plugs.count() > 0) {
            way(title, start, plugs, speakers).ifPresent(way -> found.put(title, way));
        }
    }

    /** An interface that lives on USB needs its computer, whatever it plays. */
    private Optional<Into> needed(Start start) {
        Device device = stock.device(start.device());
        return Optional.of(device)
                .filter(each ->
                        each.kind() == DeviceKind.INTERFACE && start.before().isEmpty())
                .flatMap(each -> stock.ports(each.id()).dataOut())
                .map(out -> new Into(
                        List.of(out),
                        stock.ids().stream()
                                .filter(id -> stock.device(id).kind().isHost())
                                .flatMap(host -> stock.ports(host).dataIns().stream())
                                .toList()));
    }

    /** Whether its computer is not on the shelf. */
    private boolean isHostAway(Start start, Patch patch) {
        return stock.device(start.device()).kind() == DeviceKind.INTERFACE
                && patch.devices().values().stream()
                        .noneMatch(device -> device.kind().isHost());
    }

    private Optional<Way> way(String title, Start start, Plugs plugs, Optional<SideTask> speakers) {
        List<Plugging> pluggings = plugs.pluggings().toList();
        Patch patch = hops.patch(pluggings).withThoseSwitched(switches);
        boolean isHostAway = isHostAway(start, patch);
        List<JointRules.Checked> all = JointRules.togetherAsPlanned(
                patch, patch.parted().stream().map(JointRules::alone).toList());
        List<JointRules.Checked> joints = isHostAway
                ? all.stream().map(joint -> joint.without(OF_ITS_COMPUTER)).toList()
                : all;
        Optional<Finding> fatal = joints.stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> Faults.of(finding) == Faults.Grade.FATAL)
                .findFirst();
        if (fatal.isPresent()) {
            dropped.add(new Plan.Dropped(
                    title, fatal.get().title() + ". " + fatal.get().text()));
            return Optional.empty();
        }
        Expectation expected = Expectation.ofHearing(joints, patch, settings);
        List<Missing> missing =
                Missing.of(plugs.hops(), stock, hops, wish.extras().spending());
        List<Way.Strand> strands = wish.sources().stream()
                .map(source -> strand(source, plugs.hops(), expected))
                .toList();
        Way.MonitorFeed heard = new Way.MonitorFeed(heardOn() + " on " + stock.name(start.device()), true, 0, true);
        Stream<SideTask> reach = speakers.stream()
                .map(each -> new SideTask(SideTask.Of.LEADS, reach(isBalanced(plugs.hops(), joints)), true));
        Stream<SideTask> host = Stream.of(new SideTask(
                        SideTask.Of.POWER,
                        stock.name(start.device())
                                + " lives on USB: it plays while it is plugged into its computer or a charger",
                        true))
                .filter(each -> isHostAway);
        List<SideTask> sideTasks =
                Stream.of(speakers.stream(), reach, host).flatMap(each -> each).toList();
        Scoring scoring = new Scoring(
                wish,
                stock,
                strands,
                joints,
                missing,
                SpeakersPlan.lines(stock, start.device()).stream()
                        .mapToInt(out -> out.shape().channels())
                        .max()
                        .orElse(1));
        List<Plugging> unplugged = present.replugging().inTheWayOf(pluggings);
        scoring.sideTasks(heard, sideTasks);
        scoring.unplugged(unplugged, stock);
        return Optional.of(new Way(
                title,
                strands,
                heard,
                sideTasks,
                patch,
                joints,
                expected.turns(),
                missing,
                unplugged,
                scoring.score(),
                scoring.reasons()));
    }

    /** From a source to the first of what it is heard on. */
    private Way.Strand strand(String source, List<Hop> plugged, Expectation expected) {
        List<String> stations = new ArrayList<>(List.of(source));
        List<List<String>> leads = new ArrayList<>();
        int breaks = 0;
        int special = 0;
        int channels = 2;
        List<String> before = new ArrayList<>();
        for (Hop hop : plugged) {
            String last = stations.get(stations.size() - 1);
            boolean isData = hop.from().shape().isDigital();
            // A computer's data come back on the lead by which an interface sends.
            Port from = isData ? hop.to() : hop.from();
            Port to = isData ? hop.from() : hop.to();
            if (from.device().equals(last) && !stations.contains(to.device())) {
                stations.add(to.device());
                leads.add(
                        Stream.concat(before.stream(), hops.names(hop).stream()).toList());
                before.clear();
                breaks += hop.breaks();
                special += hops.special(hop);
                channels = Math.min(
                        channels, Math.min(from.shape().channels(), to.shape().channels()));
            } else if (from.device().equals(last) && to.device().equals(last)) {
                // A splitter: what hangs on it comes next.
                before.addAll(hops.names(hop));
                breaks += hop.breaks();
            }
        }
        return new Way.Strand(
                stations,
                leads,
                channels,
                breaks,
                special,
                Track.HEARD,
                expected.heardOn(player(source), Set.copyOf(wish.heard().marks())));
    }

    /** What an interface plays for a computer counts as its own. */
    private Optional<String> player(String source) {
        return Optional.of(source).filter(id -> !stock.device(id).kind().isHost());
    }

    private static String reach(boolean isBalanced) {
        return isBalanced
                ? "balanced: leads up to about 300 m (1000 ft) stay quiet"
                : "unbalanced: leads up to about 3 m (10 ft), longer ones pick up hum";
    }

    /** Whether both legs go all the way to the loudspeakers. */
    private boolean isBalanced(List<Hop> plugged, List<JointRules.Checked> joints) {
        Set<Spot> ends = plugged.stream()
                .filter(hop -> !hop.from().shape().isDigital())
                .filter(hop -> stock.device(hop.to().device()).kind() == DeviceKind.SPEAKER)
                .flatMap(hop -> Stream.concat(hop.from().sockets().stream(), hop.to().sockets().stream()))
                .collect(Collectors.toSet());
        return ends.stream().allMatch(stock::isBalanced)
                && joints.stream()
                        .filter(joint -> joint.patch().devices().keySet().stream()
                                .anyMatch(wish.heard().speakers()::contains))
                        .flatMap(joint -> joint.findings().stream())
                        .noneMatch(finding -> finding.code() == FindingCode.BALANCED_HALF);
    }

    private String title(Start start, Optional<Connector> row) {
        String from = start.before().isEmpty() ? "Straight" : "By " + stock.name(start.device());
        return from
                + row.map(connector -> " into the " + connector.word() + " inputs")
                        .orElse(" to the ears");
    }
}
