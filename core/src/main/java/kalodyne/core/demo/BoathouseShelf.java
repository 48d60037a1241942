package kalodyne.core.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kalodyne.core.files.Table;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import org.apache.commons.csv.CSVRecord;

/** What stands on the shelf of the demonstration studio: generic profiles with names, notes and some invented values. */
final class BoathouseShelf {
    /** The ribbon microphone must not get any. */
    private static final Switched PHANTOM_OFF = new Switched(new Spot("mixer", "phantom"), "off");

    private static final Switched DIRECT_ON = new Switched(new Spot("interface", "direct"), "on");

    private BoathouseShelf() {}

    static Studio fill(Studio studio) {
        Studio filled = studio;
        for (CSVRecord row : rows("shelf.csv")) {
            filled = with(filled, row);
        }
        Setup trio = filled.setups().get(0);
        Setup mixed = Setup.bare("setup-2", "Through the mixer");
        return filled.with(plugged(trio, "plugged.csv", "knobs.csv", List.of()))
                .with(plugged(mixed, "plugged-mixer.csv", "knobs-mixer.csv", List.of(PHANTOM_OFF, DIRECT_ON)));
    }

    private static Setup plugged(Setup setup, String plugs, String stand, List<Switched> switches) {
        List<Plugging> plugged = rows(plugs).stream()
                .map(row -> new Plugging(Spot.read(row.get("plug")), Spot.read(row.get("socket"))))
                .toList();
        Map<Spot, Double> knobs = new HashMap<>();
        rows(stand).forEach(row -> knobs.put(Spot.read(row.get("knob")), Double.parseDouble(row.get("at"))));
        return setup.withWiring(new Wiring(plugged, switches)).withSettings(Settings.NONE.turned(knobs));
    }

    private static List<CSVRecord> rows(String table) {
        return Table.rows(BoathouseShelf.class, table);
    }

    private static Studio with(Studio studio, CSVRecord row) {
        String profile = row.get("profile");
        String id = row.get("name").toLowerCase(Locale.ROOT).replace(' ', '-');
        if (profile.isEmpty()) {
            // One more value of what was put there before.
            Device told = studio.device(id).orElseThrow();
            return studio.with(Parts.with(told, row.get("part"), facts(Parts.of(told), row)));
        }
        var device = Catalogue.shipped().device(profile);
        if (device.isPresent()) {
            Device own = device.get()
                    .gear()
                    .withId(id)
                    .withName(row.get("name"))
                    .withProfile(profile)
                    .withNote(row.get("note"));
            return studio.with(
                    row.get("part").isEmpty() ? own : Parts.with(own, row.get("part"), facts(Parts.of(own), row)));
        }
        Lead own = Catalogue.shipped()
                .lead(profile)
                .orElseThrow()
                .gear()
                .withId(id)
                .withName(row.get("name"))
                .withProfile(profile)
                .withColour(row.get("colour"))
                .withOwned(Integer.parseInt(row.get("owned")))
                .withNote(row.get("note"));
        return studio.with(
                row.get("part").isEmpty() ? own : Parts.with(own, row.get("part"), facts(Parts.of(own), row)));
    }

    private static Facts facts(List<Part> parts, CSVRecord row) {
        Part part = Parts.find(parts, row.get("part")).orElseThrow();
        return with(part.facts(), Fact.named(part.of(), row.get("value")).orElseThrow(), row);
    }

    private static <T> Facts with(Facts facts, Fact<T> fact, CSVRecord row) {
        return facts.with(fact, new Value<>(fact.quantity().read(row.get("is")), Provenance.read(row.get("from"))));
    }
}
