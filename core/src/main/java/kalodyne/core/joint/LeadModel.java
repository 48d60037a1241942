package kalodyne.core.joint;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Conductor;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Wire;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Impedance;

/**
 * Puts a lead or adapter into a circuit: each wire with its resistance, and half of the capacitance between a core and what
 * it is led with at either end.
 */
final class LeadModel {
    /** A wire whose resistance is not known: a good joint. */
    private static final double LEAST_OHMS = 0.01;

    private final Board board;
    private final String id;
    private final Lead lead;
    private final double metres;

    LeadModel(Board board, String id, Lead lead) {
        this.board = board;
        this.id = id;
        this.lead = lead;
        this.metres = lead.metres();
    }

    void put() {
        lead.wires().forEach(wire -> board.resistor(node(wire.from()), node(wire.to()), ohms(wire)));
        double farads = metres
                * lead.facts()
                        .quantity(Fact.CAPACITANCE_PER_METRE)
                        .map(Capacitance::farads)
                        .orElse(0.0);
        if (farads > 0) {
            lead.wires().stream()
                    .filter(wire -> wire.conductor() == Conductor.CORE && isBetweenEnds(wire))
                    .forEach(core -> companion(core).ifPresent(beside -> capacitance(core, beside, farads)));
        }
    }

    private double ohms(Wire wire) {
        Facts facts = lead.facts();
        double perMetre = (wire.conductor() == Conductor.SHIELD
                        ? facts.quantity(Fact.SHIELD_RESISTANCE).or(() -> facts.quantity(Fact.CORE_RESISTANCE))
                        : facts.quantity(Fact.CORE_RESISTANCE))
                .map(Impedance::ohms)
                .orElse(0.0);
        double built = wire.facts().quantity(Fact.RESISTOR).map(Impedance::ohms).orElse(0.0);
        return Math.max(LEAST_OHMS, metres * perMetre + built);
    }

    private void capacitance(Wire core, Wire beside, double farads) {
        boolean isAlong = core.from().end().equals(beside.from().end());
        board.capacitor(node(core.from()), node(isAlong ? beside.from() : beside.to()), farads / 2);
        board.capacitor(node(core.to()), node(isAlong ? beside.to() : beside.from()), farads / 2);
    }

    /** The shield that goes the same way, or else another core that does. */
    private Optional<Wire> companion(Wire core) {
        List<Wire> along = lead.wires().stream()
                .filter(wire -> !wire.equals(core) && ends(wire).equals(ends(core)))
                .toList();
        Stream<Wire> shields = along.stream().filter(wire -> wire.conductor() == Conductor.SHIELD);
        // Of two cores without a shield, the second is the first one's companion; once is enough.
        return shields.findFirst()
                .or(() -> along.stream()
                        .filter(wire ->
                                lead.wires().indexOf(wire) > lead.wires().indexOf(core))
                        .findFirst());
    }

    private static boolean isBetweenEnds(Wire wire) {
        return !wire.from().end().equals(wire.to().end());
    }

    private static Set<String> ends(Wire wire) {
        return isBetweenEnds(wire)
                ? Set.of(wire.from().end(), wire.to().end())
                : Set.of(wire.from().end());
    }

    private String node(Wire.Spot spot) {
        return board.node(new Spot(id, spot.end()), spot.contact());
    }
}
