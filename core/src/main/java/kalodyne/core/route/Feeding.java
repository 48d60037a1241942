package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.BusLoad;
import kalodyne.core.units.Current;

/** What feeds what on a way: bus power against what the ports give, phantom power, chargers for hubs and phones. */
final class Feeding {
    private final Stock stock;
    private final Plugs plugs;
    private final List<Chain> chains;
    private final Wish wish;

    Feeding(Stock stock, Plugs plugs, List<Chain> chains, Wish wish) {
        this.stock = stock;
        this.plugs = plugs;
        this.chains = List.copyOf(chains);
        this.wish = wish;
    }

    /** Plugs what has to be fed, and tells of it. */
    List<SideTask> plugged() {
        List<SideTask> sideTasks = new ArrayList<>();
        boolean isHubFed = true;
        for (String hub : hubs()) {
            boolean needs = wish.extras().charging() || !canFeed(stock.device(wish.target()), hub);
            if (needs) {
                SideTask fed = fed(hub);
                isHubFed &= fed.isDone();
                sideTasks.add(fed);
            }
        }
        hops().flatMap(hop -> phantom(hop).stream()).distinct().forEach(sideTasks::add);
        if (wish.extras().charging()) {
            sideTasks.add(charging(isHubFed));
        } else {
            battery().ifPresent(sideTasks::add);
        }
        return sideTasks;
    }

    private Stream<Hop> hops() {
        return Chain.hops(chains);
    }

    private List<String> hubs() {
        return hops().map(hop -> hop.to().device())
                .distinct()
                .filter(id -> !stock.ports(id).feeds().isEmpty())
                .toList();
    }

    // --- hubs and chargers -------------------------------------------------------------------------------------

    /** Whether the recorder's own port gives as much as all draws that hangs on a hub. */
    private boolean canFeed(Device recorder, String hub) {
        double drawn = hops().filter(
                        hop -> hop.to().device().equals(hub) && hop.to().shape().isDigital())
                .map(hop -> hop.from().device())
                .distinct()
                .mapToDouble(id -> drawn(stock.device(id)))
                .sum();
        double given = recorder.sockets().stream()
                .flatMap(socket -> socket.busSupply().stream())
                .mapToDouble(Current::amperes)
                .max()
                .orElse(0);
        return drawn <= given;
    }

    private SideTask fed(String hub) {
        Optional<Hop> hop = plugs.join(supplies(), stock.ports(hub).feeds());
        return hop.map(each -> new SideTask(
                        SideTask.Of.POWER,
                        stock.name(each.from().device()) + " feeds " + stock.name(hub)
                                + ". Plug it in before the rest.",
                        true))
                .orElseGet(() -> new SideTask(
                        SideTask.Of.POWER,
                        stock.name(hub)
                                + " needs a charger or power bank at its charging socket: none is free with a lead.",
                        false));
    }

    private List<Port> supplies() {
        return stock.ids().stream()
                .flatMap(id -> stock.ports(id).supplies().stream())
                .toList();
    }

    /** How long the recorder lasts by itself: a battery breaks no ground loop that is not there, and ends a long take. */
    private Optional<SideTask> battery() {
        Device recorder = stock.device(wish.target());
        return recorder.powering().stream()
                .filter(powering -> powering.source() == PowerSource.BATTERY)
                .flatMap(powering -> powering.facts().printed(Fact.RUNS_FOR).stream())
                .findFirst()
                .map(hours -> new SideTask(
                        SideTask.Of.POWER,
                        recorder.name() + " runs about " + hours + " on its battery, with no charger to hum",
                        true));
    }

    private SideTask charging(boolean isHubFed) {
        Device recorder = stock.device(wish.target());
        boolean isByHub = hubs().stream().anyMatch(hub -> gives(stock.device(hub)));
        if (isByHub && isHubFed) {
            return new SideTask(SideTask.Of.CHARGING, recorder.name() + " is charged through the hub", true);
        }
        boolean hasOwn = recorder.powering().stream().map(Powering::source).anyMatch(source -> isMains(source));
        if (hasOwn) {
            return new SideTask(
                    SideTask.Of.CHARGING, recorder.name() + " on its own supply; if that hums, on its battery", true);
        }
        Optional<Hop> direct = plugs.join(supplies(), stock.ports(wish.target()).dataIns());
        return direct.map(hop -> new SideTask(
                        SideTask.Of.CHARGING,
                        stock.name(hop.from().device()) + " charges " + recorder.name()
                                + "; if that hums, on its battery",
                        true))
                .orElseGet(() -> new SideTask(
                        SideTask.Of.CHARGING,
                        recorder.name()
                                + " is not charged meanwhile: charge it before. A hub with a charging socket would do it.",
                        false));
    }

    private static boolean isMains(PowerSource source) {
        return source == PowerSource.MAINS_EARTHED
                || source == PowerSource.MAINS_UNEARTHED
                || source == PowerSource.ADAPTER_EARTHED
                || source == PowerSource.ADAPTER_UNEARTHED;
    }

    /** Whether the side towards the computer gives power too. */
    private boolean gives(Device hub) {
        return stock.ports(hub.id())
                .dataOut()
                .flatMap(port -> hub.socket(port.parts().get(0)))
                .flatMap(Socket::busSupply)
                .isPresent();
    }

    // --- bus power ---------------------------------------------------------------------------------------------

    /** What is drawn of each port that gives bus power, against what it gives; what nobody knows of a port. */
    List<SideTask> loads(Patch patch) {
        Stream<SideTask> known = BusLoad.of(patch).stream()
                .filter(load -> !load.living().isEmpty())
                .map(load -> new SideTask(SideTask.Of.POWER, load.words(patch), load.isFed()));
        Stream<SideTask> unknown = hops().filter(hop -> hop.from().shape().isDigital())
                .filter(hop -> drawn(stock.device(hop.from().device())) > 0)
                .filter(hop -> port(hop).busSupply().isEmpty())
                .map(hop -> new SideTask(
                        SideTask.Of.POWER,
                        "What " + stock.name(hop.to().device()) + " gives is not known; "
                                + stock.name(hop.from().device()) + " runs on it",
                        true));
        return Stream.concat(known, unknown).distinct().toList();
    }

    private Socket port(Hop hop) {
        return stock.device(hop.to().device()).socket(hop.to().parts().get(0)).orElseThrow();
    }

    /** What a device draws of its bus; nothing where it usually runs on something else. */
    private static double drawn(Device device) {
        return device.powering().stream()
                .findFirst()
                .filter(powering -> powering.source() == PowerSource.BUS)
                .flatMap(powering -> powering.facts().quantity(Fact.DRAWN_CURRENT))
                .map(Current::amperes)
                .orElse(0.0);
    }

    // --- phantom power -----------------------------------------------------------------------------------------

    private Optional<SideTask> phantom(Hop hop) {
        boolean needs = hop.from().sockets().stream().anyMatch(spot -> has(spot, PowerRole.NEEDS));
        boolean gives = hop.to().sockets().stream().anyMatch(spot -> has(spot, PowerRole.GIVES));
        return needs && gives
                ? Optional.of(new SideTask(
                        SideTask.Of.POWER,
                        stock.name(hop.from().device()) + " needs phantom power: "
                                + stock.name(hop.to().device()) + " gives it. Plug in first, then switch it on.",
                        true))
                : Optional.empty();
    }

    private boolean has(Spot spot, PowerRole role) {
        return stock.device(spot.item())
                .socket(spot.part())
                .filter(socket -> socket.has(PowerKind.PHANTOM, role))
                .isPresent();
    }
}
