package kalodyne.core.joint.rules;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Driver;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Print;

/**
 * The whole chain of what is recorded over USB, from its power to its data to the recorder: what nothing feeds is dead, and what is
 * not seen records nothing, however well the rest is plugged.
 */
final class ChainRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        Supplies supplies = Supplies.of(rig.patch(), rig.contacts());
        Stream<Finding> unplugged = rig.patch().devices().keySet().stream().flatMap(id -> unplugged(rig, id));
        Stream<Finding> unfed = supplies.unfed().stream().flatMap(spot -> unfed(rig, spot));
        Stream<Finding> shorts =
                supplies.loads().stream().filter(load -> !load.isFed()).flatMap(load -> tooLittle(rig, load));
        Stream<Finding> drops = supplies.digital()
                .flatMap(spot -> supplies.tooLow(spot).stream().flatMap(volts -> tooLow(rig, spot, volts)));
        Stream<Finding> data = supplies.digital().flatMap(spot -> data(rig, spot));
        return Stream.of(unplugged, unfed, shorts, drops, data).flatMap(each -> each);
    }

    // --- power -------------------------------------------------------------------------------------------------

    /** Its only use is at a computer, and nothing leads there; where none is owned, it is not meant yet. */
    private static Stream<Finding> unplugged(WholeRig rig, String id) {
        Device device = rig.patch().devices().get(id);
        List<Spot> usb = rig.spots(id)
                .filter(spot -> rig.socket(spot).signal() == SignalKind.DIGITAL && sends(rig, spot))
                .toList();
        boolean isAtComputer = device.kind() == DeviceKind.INTERFACE || Supplies.hasOnlyBus(device);
        if (!isAtComputer || !rig.isHostOwned() || usb.isEmpty() || usb.stream().anyMatch(rig::isPlugged)) {
            return Stream.empty();
        }
        boolean isDead = Supplies.hasOnlyBus(device);
        return Joint.found(
                isDead ? FindingCode.POWER_NOT_FED : FindingCode.USB_NOT_SEEN,
                Severity.WRONG,
                usb.get(0),
                new Figure(0, "USB leads"),
                isDead ? "It has no power: its USB lead is missing" : "Its USB lead is missing",
                isDead
                        ? device.name()
                                + " lives on USB, and nothing is plugged there. It is dead, and no computer sees it."
                        : "Nothing is plugged into " + rig.name(usb.get(0)) + ": no computer sees it.",
                "Plug its USB lead into the computer, or into a phone or tablet that feeds it");
    }

    private static boolean sends(WholeRig rig, Spot spot) {
        return rig.socket(spot).channels().stream().anyMatch(pair -> pair.way() != Direction.IN);
    }

    private static Stream<Finding> unfed(WholeRig rig, Spot spot) {
        Optional<Spot> beside = joined(rig, spot).findFirst();
        boolean isForCharger = beside.filter(other -> isForCharger(rig, other)).isPresent();
        return Joint.found(
                isForCharger ? FindingCode.USB_CHARGE_SOCKET : FindingCode.POWER_NOT_FED,
                Severity.WRONG,
                spot,
                new Figure(0, "mA"),
                isForCharger ? "This socket is for a charger" : "Nothing feeds it",
                isForCharger
                        ? rig.name(beside.get()) + " takes power and gives none, and no data: "
                                + rig.device(spot).name() + " stays dead there."
                        : rig.device(spot).name() + " lives on USB, and no power comes to " + rig.name(spot) + ".",
                isForCharger
                        ? "Plug it into another socket of "
                                + rig.device(beside.get()).name() + ", and the charger here"
                        : "Plug it into a port of the computer, or into a hub that is fed");
    }

    /** A socket through which a hub is fed and nothing else goes. */
    private static boolean isForCharger(WholeRig rig, Spot spot) {
        return rig.socket(spot).has(PowerKind.BUS, PowerRole.NEEDS)
                && !rig.socket(spot).carriesData();
    }

    private static Stream<Finding> tooLittle(WholeRig rig, BusLoad load) {
        Spot fed = load.living().get(0);
        return Joint.found(
                FindingCode.POWER_BUS_SHORT,
                Severity.WRONG,
                fed,
                new Figure(load.drawnAmperes() * 1e3, "mA"),
                "This port does not feed it",
                load.words(rig.patch()) + ": its lamp blinks, or it drops out mid-take.",
                "Use a hub or adapter that is fed by a charger or power bank, or the device's own supply");
    }

    private static Stream<Finding> tooLow(WholeRig rig, Spot spot, double volts) {
        return Joint.found(
                FindingCode.POWER_BUS_DROP,
                Severity.WEAK,
                spot,
                new Figure(volts, "V"),
                "This USB lead is too long or too thin",
                "Of the port's voltage " + Print.decimal(volts, 1) + " V arrive at "
                        + rig.device(spot).name() + "; it needs 4.4 V. It may drop out.",
                "Use a shorter USB lead, or one with thicker wires");
    }

    // --- data --------------------------------------------------------------------------------------------------

    private static Stream<Finding> data(WholeRig rig, Spot spot) {
        boolean carriesData = rig.socket(spot).carriesData();
        if (!carriesData || rig.device(spot).kind().isHost()) {
            return Stream.empty();
        }
        Optional<Spot> other = joined(rig, spot)
                .filter(each -> rig.socket(each).carriesData())
                .filter(each -> !rig.contacts().led(spot, Carries.DATA).contains(each))
                .findFirst();
        if (other.isPresent()) {
            return Joint.found(
                    FindingCode.USB_CHARGE_ONLY,
                    Severity.WRONG,
                    spot,
                    new Figure(0, "data wires"),
                    "This lead only charges",
                    "Power reaches " + rig.name(spot) + ", data does not: it will not be seen.",
                    "Use a lead with data wires");
        }
        Optional<Spot> host = host(rig, spot);
        Optional<Device> handheld =
                host.map(rig::device).filter(device -> device.kind().isHandheld());
        if (handheld.isPresent()
                && rig.device(spot).driver().filter(Driver.NEEDED::equals).isPresent()) {
            return driver(rig, spot, handheld.get());
        }
        boolean isForComputer = rig.device(spot).kind() == DeviceKind.INTERFACE
                || (Supplies.hasOnlyBus(rig.device(spot)) && sends(rig, spot));
        boolean isJoined = !rig.contacts().led(spot, Carries.DATA).isEmpty();
        return isForComputer && rig.isHostOwned() && isJoined && host.isEmpty()
                ? Joint.found(
                        FindingCode.USB_NOT_SEEN,
                        Severity.WRONG,
                        spot,
                        new Figure(0, "computers"),
                        "No computer or phone is behind it",
                        "What " + rig.device(spot).name() + " is plugged into feeds it, but records nothing.",
                        "Lead its USB on to a computer, phone or tablet")
                : Stream.empty();
    }

    /** Sockets of other devices that any wire of a lead gets to. */
    private static Stream<Spot> joined(WholeRig rig, Spot spot) {
        return Stream.of(Carries.POWER, Carries.GROUND)
                .flatMap(carried -> rig.contacts().led(spot, carried).stream())
                .filter(other -> !other.item().equals(spot.item()))
                .distinct();
    }

    private static Stream<Finding> driver(WholeRig rig, Spot spot, Device handheld) {
        return Joint.found(
                FindingCode.USB_DRIVER,
                Severity.WRONG,
                spot,
                new Figure(0, "computers"),
                "It needs a driver, and phones load none",
                rig.device(spot).name() + " is seen only with a driver of its maker. " + handheld.name()
                        + " feeds it, its lamp may light, and nothing is recorded.",
                "Use a device that works without a driver (class-compliant), or a computer with the driver");
    }

    /** The computer, phone or tablet that data gets to, through hubs and adapters too. */
    private static Optional<Spot> host(WholeRig rig, Spot from) {
        Set<Spot> known = new LinkedHashSet<>(Set.of(from));
        Deque<Spot> open = new ArrayDeque<>(known);
        while (!open.isEmpty()) {
            for (Spot there : rig.contacts().led(open.poll(), Carries.DATA)) {
                if (rig.device(there).kind().isHost()) {
                    return Optional.of(there);
                }
                rig.spots(there.item())
                        .filter(spot -> rig.socket(spot).carriesData())
                        .filter(known::add)
                        .forEach(open::add);
            }
        }
        return Optional.empty();
    }
}
