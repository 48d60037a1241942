package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.SwitchedGear;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.Usual;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Computed;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Print;

/**
 * A cartridge on a phono input: a moving coil wants some 100 Ω and 20 dB more gain than a moving magnet, which wants 47 kΩ and a
 * capacitance, lead and input together.
 */
final class CartridgeRule implements JointRule {
    /** Further off than this its treble is bent audibly; common practice. */
    private static final double NEAR = 1.6;

    /** A load that is this many times off is that of the other kind of cartridge. */
    private static final double OTHER_KIND = 20;

    /** What a moving coil gives less than a moving magnet; common practice. */
    private static final double LESS_DB = 20;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.socket(sounding.socket()).signal() == SignalKind.PHONO)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> joint.socket(way.to().socket()).signal() == SignalKind.PHONO && !way.isLost())
                .flatMap(way -> Stream.concat(kind(joint, way), check(joint, way)));
    }

    private static Stream<Finding> kind(Joint joint, Transfer way) {
        Spot input = way.to().socket();
        Optional<Double> wanted = joint.device(way.from().socket())
                .facts()
                .quantity(Fact.WANTED_LOAD)
                .map(Impedance::ohms);
        double load = Usual.loadOhms(joint.device(input), joint.socket(input));
        boolean isCoil = wanted.filter(ohms -> load > OTHER_KIND * ohms).isPresent();
        boolean isMagnet = wanted.filter(ohms -> ohms > OTHER_KIND * load).isPresent();
        if (!isCoil && !isMagnet) {
            return Stream.empty();
        }
        String name = joint.device(way.from().socket()).name();
        String position = isCoil ? "MC" : "MM";
        Optional<String> control = SwitchedGear.choosing(joint.device(input), joint.socket(input))
                .filter(each -> each.positions().contains(position))
                .map(DeviceControl::name)
                .findFirst();
        return Joint.found(
                FindingCode.CARTRIDGE_KIND,
                isCoil ? Severity.WEAK : Severity.WRONG,
                input,
                new Figure(load, "Ω"),
                isCoil
                        ? "A moving-coil cartridge on a moving-magnet input"
                        : "A moving-magnet cartridge on a moving-coil input",
                isCoil
                        ? name + " has a moving coil (MC): here it is some " + Print.decimal(LESS_DB, 0)
                                + " dB too quiet, and sees " + Computed.resistance(load) + " in place of about "
                                + Computed.resistance(wanted.get()) + "."
                        : name + " has a moving magnet (MM): here it sees " + Computed.resistance(load)
                                + " in place of " + Computed.resistance(wanted.get())
                                + ", and loses most of its level and all its treble.",
                control.map(switched -> "Switch " + switched + " of "
                                + joint.device(input).name() + " to “" + position + "”")
                        .orElse(
                                isCoil
                                        ? "Use an input for moving coils, or a step-up transformer or preamp before this one"
                                        : "Use an input for moving magnets"));
    }

    private static Stream<Finding> check(Joint joint, Transfer way) {
        Device player = joint.device(way.from().socket());
        Optional<Double> wanted =
                player.facts().quantity(Fact.WANTED_CAPACITANCE).map(Capacitance::farads);
        double there = joint.path(way).stream()
                        .flatMap(path -> path.leads().stream())
                        .mapToDouble(CartridgeRule::farads)
                        .sum()
                + joint.socket(way.to().socket())
                        .facts()
                        .quantity(Fact.LOAD_CAPACITANCE)
                        .map(Capacitance::farads)
                        .orElse(0.0);
        if (wanted.isEmpty() || (there < NEAR * wanted.get() && there > wanted.get() / NEAR)) {
            return Stream.empty();
        }
        return Joint.found(
                FindingCode.CARTRIDGE_CAPACITANCE,
                Severity.WEAK,
                way.to().socket(),
                new Figure(there * 1e12, "pF"),
                "The cartridge wants another capacitance",
                "Lead and input together have " + Computed.capacitance(there) + ", it wants "
                        + Computed.capacitance(wanted.get()) + ": its treble is "
                        + (there > wanted.get() ? "sharp, then gone." : "a little dull."),
                there > wanted.get()
                        ? "Use a shorter lead, or one with less capacitance"
                        : "Use a lead with more capacitance");
    }

    private static double farads(Lead lead) {
        return lead.metres()
                * lead.facts()
                        .quantity(Fact.CAPACITANCE_PER_METRE)
                        .map(Capacitance::farads)
                        .orElse(0.0);
    }
}
