package kalodyne.core.studio.setup;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.levels.rig.Settings;

/** How controls stand and should be set, as JSON and back; what is left out is as most would have it. */
public final class SettingsMapping extends Mapping {
    private static final String LEVELS = "levels";

    /** A mapping of the settings in a larger file. */
    public SettingsMapping(Mapping larger) {
        super(larger);
    }

    /** Puts the settings, where there are any, into the setup of a larger file. */
    public static void write(ObjectNode setup, Settings settings) {
        if (settings.equals(Settings.NONE)) {
            return;
        }
        ObjectNode node = setup.putObject(LEVELS);
        ObjectNode knobs = node.putObject("knobs");
        Map<String, Double> sorted = new TreeMap<>();
        settings.positions().forEach((spot, position) -> sorted.put(spot.write(), position));
        sorted.forEach(knobs::put);
        ArrayNode locked = node.putArray("locked");
        settings.locked().stream().map(Spot::write).sorted().forEach(locked::add);
        node.put("gain", WishMapping.word(settings.school())).put("aim", WishMapping.word(settings.aim()));
        ObjectNode balance = node.putObject("balanceDb");
        new TreeMap<>(settings.balanceDb()).forEach(balance::put);
    }

    /** The settings of a setup. */
    public Settings settings(JsonPlace setup) {
        if (!setup.has(LEVELS)) {
            return Settings.NONE;
        }
        JsonPlace levels = setup.get(LEVELS);
        Map<Spot, Double> positions = new HashMap<>();
        Map<String, Double> balance = new HashMap<>();
        numbers(levels.get("knobs"), (name, number) -> spot(levels.get("knobs").get(name), name, positions, number));
        numbers(levels.get("balanceDb"), balance::put);
        Set<Spot> locked = new HashSet<>();
        for (JsonPlace place : levels.get("locked").items()) {
            Spot spot = build(place, () -> Spot.read(place.node().asText()));
            if (spot != null) {
                locked.add(spot);
            }
        }
        return new Settings(
                positions,
                locked,
                WishMapping.of(GainSchool.class, levels.textOr("gain", "")).orElse(GainSchool.STRONG_SOURCE),
                WishMapping.of(AimSchool.class, levels.textOr("aim", "")).orElse(AimSchool.PLAYER),
                balance);
    }

    private void spot(JsonPlace place, String name, Map<Spot, Double> positions, double position) {
        Spot spot = build(place, () -> Spot.read(name));
        if (spot != null) {
            positions.put(spot, position);
        }
    }

    private static void numbers(JsonPlace object, BiConsumer<String, Double> each) {
        object.node()
                .properties()
                .forEach(field -> each.accept(field.getKey(), field.getValue().asDouble()));
    }
}
