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
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Hearing;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules;

/** Makes a proposal of chains of hops: computes all of it together, and says what comes of it. */
final class WayMaker {
    private final Stock stock;
    private final Hops hops;
    private final Wish wish;
    private final Present present;
    private final boolean mayGet;

    /**
     * Makes proposals.
     *
     * @param present what is plugged already
     * @param mayGet whether what belongs to a way beside the recording may be got
     */
    WayMaker(Stock stock, Hops hops, Wish wish, Present present, boolean mayGet) {
        this.present = present;
        this.mayGet = mayGet;
        this.stock = stock;
        this.hops = hops;
        this.wish = wish;
    }

    /** Either of the two. */
    record Made(Optional<Way> way, Optional<Plan.Dropped> dropped) {}

    Made of(List<Chain> chains) {
        Plugs plugs = new Plugs(stock, hops, chains, present, mayGet);
        Listening listening = new Listening(stock, chains, wish.heard(), plugs);
        Way.Monitoring monitoring = listening.headphones();
        List<Aside> asides = new ArrayList<>(listening.speakers().stream().toList());
        if (wish.extras().inTempo()) {
            asides.add(new Clocking(stock, plugs).of(chains, wish));
        }
        asides.addAll(new Feeding(stock, plugs, chains, wish).asides());
        wish.extras().also().stream()
                .sorted()
                .map(new Capturing(stock, chains)::of)
                .forEach(asides::add);
        List<Plugging> pluggings = Stream.concat(Chain.pluggings(chains).stream(), plugs.pluggings())
                .distinct()
                .toList();
        Patch patch = hops.patch(pluggings);
        List<JointRules.Checked> joints = hops.joints(pluggings);
        Optional<Finding> fatal = joints.stream()
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
        List<Way.Strand> strands =
                chains.stream().map(chain -> strand(chain, joints)).toList();
        List<Missing> missing =
                missing(Stream.concat(Chain.hops(chains), plugs.hops().stream()).toList());
        if (missing.stream().anyMatch(each -> !wish.extras().budget().allows(each.price()))) {
            return new Made(Optional.empty(), Optional.empty());
        }
        Scoring scoring = new Scoring(wish, stock, strands, joints, missing, sourceChannels(chains));
        scoring.asides(monitoring, asides);
        List<Plugging> unplugged = present.replugging().inTheWayOf(pluggings);
        scoring.unplugged(unplugged, stock);
        return new Made(
                Optional.of(new Way(
                        title(chains),
                        strands,
                        monitoring,
                        asides,
                        patch,
                        joints,
                        missing,
                        unplugged,
                        scoring.score(),
                        scoring.reasons())),
                Optional.empty());
    }

    /** Whether what comes last before a recorder has a control that takes its level down. */
    private boolean canBeTurnedDown(List<Chain> chains) {
        return chains.stream()
                .allMatch(chain -> chain.hops().stream()
                        .filter(hop -> !hop.from().shape().isDigital())
                        .map(hop -> stock.device(hop.from().device()))
                        .anyMatch(GainWalk::canBeTurnedDown));
    }

    /** How many channels the sources give, headphones left out where there is another output. */
    private int sourceChannels(List<Chain> chains) {
        return chains.stream()
                .mapToInt(chain -> sourceChannels(chain.hops().get(0).from()))
                .sum();
    }

    private int sourceChannels(Port first) {
        if (first.shape().isDigital()) {
            return first.shape().channels();
        }
        List<Port> all = stock.ports(first.device()).outlets();
        List<Port> lines = all.stream()
                .filter(port -> port.shape().signal() != SignalKind.HEADPHONE)
                .toList();
        return (lines.isEmpty() ? all : lines)
                .stream().mapToInt(port -> port.shape().channels()).max().orElse(1);
    }

    // --- strands -----------------------------------------------------------------------------------------------

    private Way.Strand strand(Chain chain, List<JointRules.Checked> joints) {
        List<String> stations =
                new ArrayList<>(List.of(chain.hops().get(0).from().device()));
        List<List<String>> leads = new ArrayList<>();
        int breaks = 0;
        for (Hop hop : chain.hops()) {
            stations.add(hop.to().device());
            leads.add(hop.made().marks().stream()
                    .map(mark -> hops.lead(mark).name())
                    .toList());
            breaks += breaks(hop);
        }
        Optional<Predicting.Predicted> predicted = new Predicting(stock, joints).of(chain);
        return new Way.Strand(
                stations,
                leads,
                channels(chain, joints),
                breaks,
                specialLeads(chain),
                Track.of(chain, stock),
                predicted.map(Predicting.Predicted::prediction),
                predicted.map(Predicting.Predicted::entry));
    }

    /** USB leads are meant to differ at their ends; adapters too. */
    private int specialLeads(Chain chain) {
        return (int) chain.hops().stream()
                .filter(hop -> !hop.from().shape().isDigital())
                .flatMap(hop -> hop.made().marks().stream())
                .distinct()
                .map(hops::lead)
                .filter(Joinings::isSpecial)
                .count();
    }

    /** Plugs one behind the other: of two strands side by side one counts. */
    private static int breaks(Hop hop) {
        int links = hop.made().joining().links().size();
        int strands = Math.max(
                hop.from().shape().connectors().size(),
                hop.to().shape().connectors().size());
        boolean isParted = strands == 2
                && hop.from().shape().connectors().size()
                        != hop.to().shape().connectors().size();
        return isParted ? 1 + (links - 1) / 2 : links / strands;
    }

    /** How many channels are kept apart through all hops. */
    private static int channels(Chain chain, List<JointRules.Checked> joints) {
        int kept = chain.hops().get(0).from().shape().channels();
        for (Hop hop : chain.hops()) {
            if (!hop.from().shape().isDigital()) {
                kept = Math.min(kept, Math.min(hop.from().shape().channels(), arriving(hop, joints)));
            }
        }
        return kept;
    }

    /** Into how many inputs the signals of a port go, each the most into one. */
    private static int arriving(Hop hop, List<JointRules.Checked> joints) {
        Set<Hearing> reached = new HashSet<>();
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

    private List<Missing> missing(List<Hop> all) {
        List<Missing> missing = new ArrayList<>();
        all.stream()
                .flatMap(hop -> Stream.of(hop.from().device(), hop.to().device()))
                .distinct()
                .filter(Missing::is)
                .forEach(id -> missing.add(Missing.of(stock.device(id))));
        all.stream()
                .flatMap(hop -> hop.made().marks().stream())
                .filter(Missing::is)
                .distinct()
                .forEach(mark -> missing.add(Missing.of(hops.lead(mark))));
        return missing;
    }
}
