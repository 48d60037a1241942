package kalodyne.core.route;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.rig.Settings;

/** Makes a proposal of chains of hops: computes all of it together, and says what comes of it. */
final class WayMaker {
    private final Stock stock;
    private final Hops hops;
    private final Wish wish;
    private final Present present;
    private final Settings settings;
    private final boolean mayGet;

    /**
     * Makes proposals.
     *
     * @param present what is plugged already
     * @param settings how controls stand, and how they should be set
     * @param mayGet whether what belongs to a way beside the recording may be got
     */
    WayMaker(Stock stock, Hops hops, Wish wish, Present present, Settings settings, boolean mayGet) {
        this.settings = settings;
        this.present = present;
        this.mayGet = mayGet;
        this.stock = stock;
        this.hops = hops;
        this.wish = wish;
    }

    /** A proposal that can be computed, or why there is none; neither where it costs more than it may. */
    record Made(Optional<Proposal> proposal, Optional<Plan.Dropped> dropped) {
        private static final Made NONE = new Made(Optional.empty(), Optional.empty());
    }

    Made of(List<Chain> chains) {
        Proposal proposal = proposal(chains);
        Optional<Finding> fatal = proposal.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> Faults.of(finding) == Faults.Grade.FATAL
                        || (Faults.of(finding) == Faults.Grade.CAUTION && !canBeTurnedDown(chains)))
                .findFirst();
        if (fatal.isPresent()) {
            return new Made(
                    Optional.empty(),
                    Optional.of(new Plan.Dropped(
                            words(chains),
                            fatal.get().title() + ". " + fatal.get().text())));
        }
        return wish.extras().allows(proposal.missing()) ? new Made(Optional.of(proposal), Optional.empty()) : Made.NONE;
    }

    private Proposal proposal(List<Chain> chains) {
        Plugs plugs = new Plugs(stock, hops, chains, present, mayGet);
        Feeders feeders = Feeders.of(chains, wish.heard().through(), stock);
        HeadphonesPlan listening = new HeadphonesPlan(stock, feeders, wish.heard(), plugs);
        listening.plug();
        List<SideTask> sideTasks =
                new ArrayList<>(new SpeakersPlan(stock, feeders, wish.heard().speakers(), plugs)
                        .plugged().stream().toList());
        if (wish.extras().inTempo()) {
            sideTasks.add(new Clocking(stock, plugs).of(chains, wish));
        }
        Feeding feeding = new Feeding(stock, plugs, chains, wish);
        sideTasks.addAll(feeding.plugged());
        wish.extras().also().stream()
                .sorted()
                .map(new Capturing(stock, chains)::of)
                .forEach(sideTasks::add);
        List<Plugging> pluggings = Stream.concat(Chain.pluggings(chains).stream(), plugs.pluggings())
                .distinct()
                .toList();
        return new Proposal(
                chains,
                listening,
                feeding,
                sideTasks,
                hops.patch(pluggings),
                hops.together(pluggings),
                Missing.of(
                        Stream.concat(Chain.hops(chains), plugs.hops().stream()).toList(),
                        stock,
                        hops,
                        wish.extras().spending()),
                present.replugging().inTheWayOf(pluggings));
    }

    /**
     * What is plugged for a proposal, and what belongs to it; all that can be said before it is known what comes of it.
     *
     * @param joints what comes of it, roughly
     */
    record Proposal(
            List<Chain> chains,
            HeadphonesPlan listening,
            Feeding feeding,
            List<SideTask> sideTasks,
            Patch patch,
            List<JointRules.Checked> joints,
            List<Missing> missing,
            List<Plugging> unplugged) {}

    /** The way that a proposal is, as far as one sees roughly and by itself. */
    Way roughly(Proposal proposal) {
        return way(
                proposal,
                proposal.joints(),
                Expectation.of(proposal.joints(), proposal.patch(), wish.target(), settings));
    }

    /**
     * The way that a proposal is.
     *
     * @param joints what comes of what it plugs
     * @param expected what comes of all that is plugged then
     */
    Way way(Proposal proposal, List<JointRules.Checked> joints, Expectation expected) {
        List<Chain> chains = proposal.chains();
        List<Way.Strand> strands =
                chains.stream().map(chain -> strand(chain, joints, expected)).toList();
        Way.MonitorFeed monitoring = proposal.listening().monitoring(expected);
        List<SideTask> sideTasks = Stream.concat(
                        proposal.sideTasks().stream(), proposal.feeding().loads(proposal.patch()).stream())
                .toList();
        Scoring scoring = new Scoring(wish, stock, strands, joints, proposal.missing(), sourceChannels(chains));
        scoring.sideTasks(monitoring, sideTasks);
        scoring.sockets(chains, stock);
        scoring.unplugged(proposal.unplugged(), stock);
        return new Way(
                title(chains),
                strands,
                monitoring,
                sideTasks,
                proposal.patch(),
                joints,
                expected.turns(),
                proposal.missing(),
                proposal.unplugged(),
                scoring.score(),
                scoring.reasons());
    }

    /** Whether what comes last before a recorder has a control that takes its level down. */
    private boolean canBeTurnedDown(List<Chain> chains) {
        return chains.stream()
                .allMatch(chain -> chain.hops().stream()
                        .filter(hop -> !hop.from().shape().isDigital())
                        .map(hop -> stock.device(hop.from().device()))
                        .anyMatch(Device::hasVolume));
    }

    private int sourceChannels(List<Chain> chains) {
        return chains.stream()
                .mapToInt(chain -> sourceChannels(chain.hops().get(0).from()))
                .sum();
    }

    private int sourceChannels(Port first) {
        return first.shape().isDigital()
                ? first.shape().channels()
                : stock.ports(first.device()).sides();
    }

    // --- strands -----------------------------------------------------------------------------------------------

    private Way.Strand strand(Chain chain, List<JointRules.Checked> joints, Expectation expected) {
        List<String> stations =
                new ArrayList<>(List.of(chain.hops().get(0).from().device()));
        List<List<String>> leads = new ArrayList<>();
        int breaks = 0;
        for (Hop hop : chain.hops()) {
            stations.add(hop.to().device());
            leads.add(hops.names(hop));
            breaks += hop.breaks();
        }
        Track track = Track.of(chain, stock);
        String recorder = chain.last().device();
        return new Way.Strand(
                stations,
                leads,
                channels(chain, joints),
                breaks,
                chain.hops().stream().mapToInt(hops::special).sum(),
                track,
                expected.of(stations.get(0), recorder, track));
    }

    /** How many channels are kept apart through all hops. */
    private int channels(Chain chain, List<JointRules.Checked> joints) {
        Port first = chain.hops().get(0).from();
        int kept = Math.min(first.shape().channels(), sourceChannels(first));
        for (Hop hop : chain.hops()) {
            if (!hop.from().shape().isDigital()) {
                kept = Math.min(kept, Math.min(hop.from().shape().channels(), arriving(hop, joints)));
            }
        }
        return kept;
    }

    /** Into how many inputs the signals of a port go, each the most into one. */
    private static int arriving(Hop hop, List<JointRules.Checked> joints) {
        Set<InputSignal> reached = new HashSet<>();
        Set<Object> sources = new HashSet<>();
        joints.stream()
                .flatMap(joint -> joint.reading().stream())
                .forEach(reading -> reading.ways().stream()
                        .map(Transfer::from)
                        .filter(from -> hop.from().sockets().contains(from.socket()))
                        .filter(sources::add)
                        .forEach(from -> reading.ways().stream()
                                .filter(way -> way.from().equals(from) && !way.isLost())
                                .max((a, b) -> Double.compare(
                                        a.atMiddle().db(), b.atMiddle().db()))
                                .ifPresent(way -> reached.add(way.to()))));
        return Math.max(1, reached.size());
    }

    // --- words -------------------------------------------------------------------------------------------------

    private String title(List<Chain> chains) {
        Set<String> between = new LinkedHashSet<>();
        for (Chain chain : chains) {
            chain.hops().stream()
                    .limit(chain.hops().size() - 1L)
                    .forEach(hop -> between.add(stock.device(hop.to().device()).name()));
        }
        if (between.isEmpty()) {
            Port last = chains.get(0).last();
            return "Straight into " + stock.device(last.device()).name() + ", "
                    + stock.device(last.device())
                            .socket(last.parts().get(0))
                            .orElseThrow()
                            .name();
        }
        return "By " + String.join(", then ", between);
    }

    private String words(List<Chain> chains) {
        Chain chain = chains.get(chains.size() - 1);
        String names = Stream.concat(
                        Stream.of(chain.hops().get(0).from().device()),
                        chain.hops().stream().map(hop -> hop.to().device()))
                .map(id -> stock.device(id).name())
                .collect(Collectors.joining(" → "));
        String leads = chain.hops().stream()
                .flatMap(hop -> hop.made().marks().stream())
                .map(mark -> hops.lead(mark).name())
                .distinct()
                .collect(Collectors.joining(", "));
        return names + (leads.isEmpty() ? "" : ", with " + leads);
    }
}
