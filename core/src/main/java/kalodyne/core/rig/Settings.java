package kalodyne.core.rig;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gain.GainSchool;
import kalodyne.core.gain.Wanted;
import kalodyne.core.joint.Spot;

/**
 * How the controls of a setup stand, and how they should be set.
 *
 * @param positions of the controls of which it is known, from 0 to 1
 * @param locked those that must stay
 * @param school where the gain is made
 * @param aim where the signal should lie in the tracks
 * @param balanceDb how much louder than the others each device should be where several are mixed
 */
public record Settings(
        Map<Spot, Double> positions,
        Set<Spot> locked,
        GainSchool school,
        AimSchool aim,
        Map<String, Double> balanceDb) {
    public static final Settings NONE =
            new Settings(Map.of(), Set.of(), GainSchool.STRONG_SOURCE, AimSchool.PLAYER, Map.of());

    public Settings {
        positions = Map.copyOf(positions);
        locked = Set.copyOf(locked);
        balanceDb = Map.copyOf(balanceDb);
    }

    public Settings turned(Map<Spot, Double> more) {
        Map<Spot, Double> all = new HashMap<>(positions);
        all.putAll(more);
        return new Settings(all, locked, school, aim, balanceDb);
    }

    public Settings locked(Spot control, boolean isLocked) {
        Set<Spot> all = new LinkedHashSet<>(locked);
        if (isLocked) {
            all.add(control);
        } else {
            all.remove(control);
        }
        return new Settings(positions, all, school, aim, balanceDb);
    }

    public Settings with(GainSchool newSchool) {
        return new Settings(positions, locked, newSchool, aim, balanceDb);
    }

    public Settings with(AimSchool newAim) {
        return new Settings(positions, locked, school, newAim, balanceDb);
    }

    public Settings balanced(String device, double db) {
        Map<String, Double> all = new HashMap<>(balanceDb);
        all.put(device, db);
        return new Settings(positions, locked, school, aim, all);
    }

    public Wanted wanted() {
        return new Wanted(school, balanceDb);
    }
}
