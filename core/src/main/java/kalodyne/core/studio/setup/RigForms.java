package kalodyne.core.studio.setup;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import kalodyne.core.files.json.Fields;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.joint.Mains;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.levels.rig.Settings;

/** What is plugged and how the controls stand and should be set. */
public final class RigForms {
    static final Words<String> MARK = new Words<>(mark -> mark, mark -> mark);
    private static final Words<Spot> SPOT = new Words<>(Spot::read, Spot::write);

    private static final ObjectForm<Plugging> PLUGGING = ObjectForm.of(
            f -> new Plugging(f.value("plug", SPOT, Plugging::plug), f.value("socket", SPOT, Plugging::socket)));

    private static final ObjectForm<Switched> SWITCHED =
            ObjectForm.of(f -> new Switched(f.value("switch", SPOT, Switched::control), f.text("at", Switched::at)));

    /** What goes into what, and how switches stand. */
    public static final ObjectForm<Wiring> WIRING = ObjectForm.of(RigForms::wiring);

    public static final ObjectForm<Settings> SETTINGS = ObjectForm.of(f -> new Settings(
            f.map("knobs", SPOT, JsonForm.NUMBER, it -> sorted(it.positions())),
            Set.copyOf(f.list(
                    "locked",
                    SPOT,
                    it -> it.locked().stream()
                            .sorted(Comparator.comparing(Spot::write))
                            .toList())),
            f.value("gain", Words.of(GainSchool.class, GainSchool.STRONG_SOURCE), Settings::school),
            f.value("aim", Words.of(AimSchool.class, AimSchool.PLAYER), Settings::aim),
            f.map("balanceDb", MARK, JsonForm.NUMBER, it -> new TreeMap<>(it.balanceDb())),
            f.mapIfAny("metres", MARK, JsonForm.NUMBER, it -> new TreeMap<>(it.metres()))));

    private RigForms() {}

    private static Wiring wiring(Fields<Wiring> f) {
        List<Plugging> plugged = f.listIfAny("plugged", PLUGGING, Wiring::plugged);
        List<Switched> switches = f.listIfAny("switches", SWITCHED, Wiring::switches);
        Set<Spot> seen = new HashSet<>();
        for (int i = 0; f.isWhole() && i < switches.size(); i++) {
            if (!seen.add(switches.get(i).control())) {
                f.problem("This switch stands in the list twice.", "Take one of them out.", "switches", i, "switch");
            }
        }
        return new Wiring(
                plugged, switches, f.valueOr("mains", GearForms.choice(Mains.class), Mains.UNKNOWN, Wiring::mains));
    }

    private static Map<Spot, Double> sorted(Map<Spot, Double> positions) {
        Map<Spot, Double> sorted = new TreeMap<>(Comparator.comparing(Spot::write));
        sorted.putAll(positions);
        return sorted;
    }
}
