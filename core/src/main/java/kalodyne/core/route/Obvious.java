package kalodyne.core.route;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;

/**
 * What would come of the lead that seems obvious between two sockets.
 *
 * @param words how they would be joined: "with Lead 4", or why not
 * @param missing what of it is not owned
 * @param patch what would be plugged; empty where nothing joins them
 * @param joints what would come of it
 */
public record Obvious(String words, List<Missing> missing, Optional<Patch> patch, List<JointRules.Checked> joints) {
    public Obvious {
        missing = List.copyOf(missing);
        joints = List.copyOf(joints);
    }

    /** Whether it can be plugged and nothing speaks against it. */
    public boolean isFine() {
        return patch.isPresent()
                && joints.stream().allMatch(joint -> joint.worst().isEmpty());
    }

    /**
     * Tries the simplest leads between two sockets, as somebody would who looks at the plugs only.
     *
     * @param used marks of leads that are in use: others that do the same are tried first
     */
    static List<Obvious> between(
            Device from,
            Socket out,
            Device to,
            Socket in,
            List<Lead> leads,
            List<Lead> shop,
            Set<String> used,
            int most) {
        Stock stock = new Stock(List.of(from, to), Wiring.NONE);
        Hops hops = new Hops(stock, Drawer.of(leads, Set.of(), used, shop), leads, false);
        Port one = Port.of(from, List.of(out), 1);
        Port other = Port.of(to, List.of(in), 1);
        // A lead whose ends do the same is told once.
        Set<List<String>> seen = new HashSet<>();
        List<Obvious> all = hops.joinings().of(one.shape(), other.shape()).stream()
                .flatMap(joining -> joining.between(one, other, used).stream())
                .filter(made -> seen.add(made.marks()))
                .limit(most)
                .map(made -> of(hops, made))
                .toList();
        return all.isEmpty()
                ? List.of(new Obvious(
                        "No lead, and no two leads or adapters, join a " + out.words() + " and a " + in.words() + ".",
                        List.of(),
                        Optional.empty(),
                        List.of()))
                : all;
    }

    private static Obvious of(Hops hops, Joining.Made made) {
        List<Plugging> pluggings = made.pluggings();
        Patch patch = hops.patch(pluggings);
        String names = made.marks().stream().map(mark -> hops.lead(mark).name()).collect(Collectors.joining(" and "));
        List<Missing> missing = made.marks().stream()
                .filter(Missing::is)
                .map(mark -> Missing.of(hops.lead(mark)))
                .toList();
        return new Obvious(
                names.isEmpty() ? "Straight in, without a lead" : "With " + names,
                missing,
                Optional.of(patch),
                JointRules.check(patch));
    }
}
