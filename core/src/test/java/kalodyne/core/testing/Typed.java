package kalodyne.core.testing;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Wire;
import kalodyne.core.joint.Patch;

/** Rigs in which somebody typed over a value: "subwoofer stage high-left crossover=150 Hz"; nothing behind the equals sign makes it unknown. */
public final class Typed {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);

    private Typed() {}

    /** One change, or none where it is null; "crossed midi-din" crosses contacts 4 and 5 of the leads. */
    public static Patch over(Patch patch, String change) {
        if (change == null) {
            return patch;
        }
        Map<String, Device> devices = new LinkedHashMap<>(patch.devices());
        Map<String, Lead> leads = new LinkedHashMap<>(patch.leads());
        if (change.startsWith("crossed ")) {
            leads.replaceAll((mark, lead) -> crossed(lead));
        } else {
            String item = change.substring(0, change.indexOf(' '));
            String part = change.substring(change.indexOf(' ') + 1, change.lastIndexOf(' ', change.indexOf('=')));
            String fact = change.substring(change.lastIndexOf(' ', change.indexOf('=')) + 1, change.indexOf('='));
            String text = change.substring(change.indexOf('=') + 1);
            devices.computeIfPresent(item, (mark, device) -> changed(device, part, fact, text));
            leads.replaceAll((mark, lead) -> lead.id().equals(item) ? changed(lead, part, fact, text) : lead);
        }
        return new Patch(devices, leads, patch.pluggings(), patch.busy(), patch.switched());
    }

    private static Device changed(Device device, String mark, String name, String text) {
        Facts facts = changed(Parts.find(Parts.of(device), mark).orElseThrow(), name, text);
        // What follows from an average is not unknown: that goes with the peak.
        return Parts.with(device, mark, text.isEmpty() ? facts.without(Fact.AVERAGE_LEVEL) : facts);
    }

    private static Lead changed(Lead lead, String mark, String name, String text) {
        return Parts.with(lead, mark, changed(Parts.find(Parts.of(lead), mark).orElseThrow(), name, text));
    }

    private static Facts changed(Part part, String name, String text) {
        Optional<Fact<?>> fact = Fact.all(part.of()).stream()
                .filter(each -> each.id().equals(name))
                .findFirst();
        return part.facts().corrected(fact.orElseThrow(), text, TODAY);
    }

    private static Lead crossed(Lead lead) {
        List<Wire> wires = lead.wires().stream()
                .map(wire -> new Wire(wire.from(), crossed(wire.to()), wire.conductor(), wire.facts()))
                .toList();
        return new Lead(
                lead.id(),
                lead.name(),
                lead.kind(),
                lead.profile(),
                lead.ends(),
                wires,
                lead.colour(),
                lead.note(),
                lead.photo(),
                lead.owned(),
                lead.facts());
    }

    private static Wire.Spot crossed(Wire.Spot spot) {
        return switch (spot.contact()) {
            case FOUR -> new Wire.Spot(spot.end(), Contact.FIVE);
            case FIVE -> new Wire.Spot(spot.end(), Contact.FOUR);
            default -> spot;
        };
    }
}
