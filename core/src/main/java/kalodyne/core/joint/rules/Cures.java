package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;

/** What would make a joint better, of what one owns: every change is tried out on the circuit before it is told. */
public final class Cures {
    private static final int MOST = 5;

    /** Switches that can be to blame for what is noticed of a joint. */
    private static final Set<ControlKind> SWITCHED =
            EnumSet.of(ControlKind.PHANTOM, ControlKind.GROUND_LIFT, ControlKind.INPUT_SELECT);

    private static final int MOST_OF_A_KIND = 2;
    private static final int MOST_TO_COMPARE = 6;

    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final List<Lead> leads;
    private final List<Lead> shop;
    private final Wiring wiring;

    /**
     * The shelf, and what is plugged.
     *
     * @param shop leads that one could get; told only where nothing owned does it
     */
    public Cures(List<Device> devices, List<Lead> leads, List<Lead> shop, Wiring wiring) {
        devices.forEach(device -> this.devices.put(device.id(), device));
        this.leads = List.copyOf(leads);
        this.shop = List.copyOf(shop);
        this.wiring = wiring;
    }

    /** The best first; nothing where nothing is wrong, or where nothing helps. */
    public List<Cure> of(JointRules.Checked joint) {
        if (joint.worst().isEmpty()) {
            return List.of();
        }
        Trial trial = new Trial(joint, devices, leads, wiring);
        List<Cure> all = new ArrayList<>(switches(trial));
        Optional<Ends> ends = Ends.of(joint);
        all.addAll(PairBetween.of(trial));
        ends.ifPresent(two -> {
            all.addAll(OtherPorts.of(trial, two));
            all.addAll(otherLeads(trial, two, MOST_OF_A_KIND));
            all.addAll(OtherSockets.of(trial, two));
            all.addAll(SidesApart.of(trial, two));
            all.addAll(BoxBetween.of(trial, two));
        });
        // What would have to be got is told only where it does better than all that is there.
        int owned = better(joint, all).mapToInt(Cure::rank).max().orElse(0);
        // A lead mends what is wrong with the joint by itself, not what only the whole rig tells.
        int byItself = JointRules.checkOne(joint.patch()).rank();
        ends.stream()
                .flatMap(two -> toGet(two).stream())
                .filter(cure -> cure.rank() > owned && cure.rank() > byItself)
                .forEach(all::add);
        List<Cure> best = new ArrayList<>();
        better(joint, all)
                .sorted(Cure.BEST_FIRST)
                .filter(cure ->
                        best.stream().filter(each -> each.kind() == cure.kind()).count() < MOST_OF_A_KIND)
                .forEach(best::add);
        return best.stream().limit(MOST).toList();
    }

    /** What is better, and behind it the other leads that fit, to compare with. */
    public List<Cure> alternatives(JointRules.Checked joint) {
        List<Cure> all = new ArrayList<>(of(joint));
        Set<Wiring> known = new HashSet<>(Set.of(wiring));
        all.forEach(cure -> cure.wiring().ifPresent(known::add));
        Ends.of(joint).stream()
                .flatMap(ends -> otherLeads(new Trial(joint, devices, leads, wiring), ends, MOST_TO_COMPARE).stream())
                .filter(cure -> known.add(cure.wiring().orElseThrow()))
                .forEach(all::add);
        return all;
    }

    /** A switch is told where it takes the worst away, not where it makes less of what is wrong. */
    private static Stream<Cure> better(JointRules.Checked joint, List<Cure> cures) {
        return cures.stream()
                .filter(cure -> cure.isBetterThan(joint))
                .filter(cure -> cure.kind() != Cure.Kind.SWITCH || cure.rank() > joint.rank());
    }

    // --- switches ----------------------------------------------------------------------------------------------

    private static List<Cure> switches(Trial trial) {
        return trial.joint().patch().devices().entrySet().stream()
                .flatMap(entry -> entry.getValue().controls().stream()
                        .filter(control -> SWITCHED.contains(control.kind())
                                && !control.positions().isEmpty())
                        .flatMap(control -> control.positions().stream().map(at -> {
                            Switched now = new Switched(new Spot(entry.getKey(), control.id()), at);
                            return trial.cure(
                                    Cure.Kind.SWITCH,
                                    "Switch " + control.name() + " of "
                                            + entry.getValue().name() + " to “" + at + "”",
                                    trial.wiring().with(now),
                                    trial.joint().patch().pluggings());
                        })))
                .toList();
    }

    // --- leads -------------------------------------------------------------------------------------------------

    private static List<Cure> otherLeads(Trial trial, Ends ends, int most) {
        String present = names(trial.joint().patch().leads().values());
        return trial.offers().between(ends.from(), ends.to()).stream()
                .filter(offer -> !offer.words().equals(present))
                .limit(most)
                .map(offer -> trial.cure(
                        Cure.Kind.LEAD,
                        offer.leads().isEmpty()
                                ? "Plug it straight in, without " + present
                                : "Use " + offer.words() + (present.isEmpty() ? "" : " instead of " + present),
                        trial.without().plugging(offer.pluggings()),
                        offer.pluggings()))
                .toList();
    }

    private static String names(Collection<Lead> leads) {
        return leads.stream().map(Lead::name).collect(Collectors.joining(", "));
    }

    private List<Cure> toGet(Ends ends) {
        return new Offers(List.copyOf(devices.values()), shop, List.of())
                .between(ends.from(), ends.to()).stream()
                        .limit(1)
                        .map(offer -> new Cure(
                                Cure.Kind.GET, "Get: " + offer.words(), Optional.empty(), List.of(offer.checked())))
                        .toList();
    }
}
