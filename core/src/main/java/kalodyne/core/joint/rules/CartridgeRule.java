package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Print;

/** A magnetic cartridge that sees another capacitance than it wants: lead and input together. */
final class CartridgeRule implements JointRule {
    /** Further off than this its treble is bent audibly; common practice. */
    private static final double NEAR = 1.6;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.socket(sounding.socket()).signal() == SignalKind.PHONO)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> joint.socket(way.to().socket()).signal() == SignalKind.PHONO && !way.isLost())
                .flatMap(way -> check(joint, way));
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
                "Lead and input together have " + Print.prefixed(there, "F") + ", it wants "
                        + Print.prefixed(wanted.get(), "F") + ": its treble is "
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
