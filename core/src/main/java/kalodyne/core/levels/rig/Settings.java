package kalodyne.core.levels.rig;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.GainSchool;
import kalodyne.core.levels.gain.Wanted;

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

    /** Both; where both know how a control stands, the other one is right. */
    public Settings joined(Settings other) {
        if (other.equals(NONE)) {
            return this;
        }
        Set<Spot> all = new LinkedHashSet<>(locked);
        all.addAll(other.locked);
        Map<String, Double> balance = new HashMap<>(balanceDb);
        balance.putAll(other.balanceDb);
        return new Settings(turned(other.positions).positions, all, other.school, other.aim, balance);
    }

    /** The same with the marks of gear changed. */
    public Settings renamed(UnaryOperator<Spot> anew) {
        Map<Spot, Double> moved = new HashMap<>();
        positions.forEach((spot, position) -> moved.put(anew.apply(spot), position));
        Map<String, Double> balance = new HashMap<>();
        balanceDb.forEach(
                (device, db) -> balance.put(anew.apply(new Spot(device, "x")).item(), db));
        return new Settings(moved, locked.stream().map(anew).collect(Collectors.toSet()), school, aim, balance);
    }

    public Wanted wanted() {
        return new Wanted(school, balanceDb);
    }
}
