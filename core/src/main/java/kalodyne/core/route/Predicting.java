package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Stage;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules;

/** Follows a source along its way, joint by joint and stage by stage, to what is recorded of it. */
final class Predicting {
    private final Stock stock;
    private final List<JointRules.Checked> joints;

    Predicting(Stock stock, List<JointRules.Checked> joints) {
        this.stock = stock;
        this.joints = joints;
    }

    /**
     * What comes of a chain.
     *
     * @param entry where the signal comes to the converter
     */
    record Predicted(Prediction prediction, Way.Entry entry) {}

    /** Empty where the source sends data, or where it does not arrive. */
    Optional<Predicted> of(Chain chain) {
        Hop first = chain.hops().get(0);
        if (first.from().shape().isDigital()) {
            return Optional.empty();
        }
        Device source = stock.device(first.from().device());
        Spot at = first.from().sockets().get(0);
        GainWalk walk = new GainWalk(source, source.socket(at.part()).orElseThrow());
        int next = 0;
        while (next < chain.hops().size()
                && !chain.hops().get(next).from().shape().isDigital()) {
            Optional<Transfer> way = way(at, inputs(chain, next));
            if (way.isEmpty()) {
                return Optional.empty();
            }
            walk.lose(way.get().atMiddle());
            Spot out = at;
            Spot entered = way.get().to().socket();
            // Boxes without power have no inputs of their own: the signal goes through to the next device.
            while (!chain.hops().get(next).to().device().equals(entered.item())) {
                next++;
            }
            Device device = stock.device(entered.item());
            boolean goesOn = next + 1 < chain.hops().size()
                    && !chain.hops().get(next + 1).from().shape().isDigital();
            if (goesOn) {
                at = chain.hops().get(next + 1).from().sockets().get(0);
                walk.pass(device, stages(device, entered, at));
            } else {
                walk.pass(
                        device,
                        stock.inside(device.id())
                                .recording(chain.hops().get(next).to().parts().get(0)));
                GainWalk.Reached last = walk.beforeLastLoss();
                Way.Entry entry = new Way.Entry(out, entered, last.peak(), last.noise(), leads(chain, out, entered));
                return Optional.of(new Predicted(walk.prediction(), entry));
            }
            next++;
        }
        return Optional.empty();
    }

    /** The leads of the hops from an output to an input. */
    private static List<String> leads(Chain chain, Spot out, Spot in) {
        List<String> leads = new ArrayList<>();
        boolean isBetween = false;
        for (Hop hop : chain.hops()) {
            isBetween |= hop.from().sockets().contains(out);
            if (isBetween) {
                leads.addAll(hop.made().marks());
            }
            if (hop.to().sockets().contains(in)) {
                return leads;
            }
        }
        return leads;
    }

    private static Set<Spot> inputs(Chain chain, int from) {
        return chain.hops().subList(from, chain.hops().size()).stream()
                .flatMap(hop -> hop.to().sockets().stream())
                .collect(Collectors.toSet());
    }

    /** What arrives of a socket at one of some inputs: the loudest. */
    private Optional<Transfer> way(Spot from, Set<Spot> inputs) {
        return joints.stream()
                .flatMap(joint -> joint.reading().stream())
                .flatMap(reading -> reading.ways().stream())
                .filter(way -> way.from().socket().equals(from)
                        && inputs.contains(way.to().socket()))
                .max(Comparator.comparingDouble(way -> way.atMiddle().db()));
    }

    private List<Stage> stages(Device device, Spot in, Spot out) {
        return stock.inside(device.id())
                .between(in.part(), device.socket(out.part()).orElseThrow())
                .orElse(List.of());
    }
}
