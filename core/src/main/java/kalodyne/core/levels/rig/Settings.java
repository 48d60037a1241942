package kalodyne.core.levels.rig;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
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
 * @param metres how far loudspeakers are from whoever listens, of those of which it is known
 */
@RecordBuilder
public record Settings(
        Map<Spot, Double> positions,
        Set<Spot> locked,
        GainSchool school,
        AimSchool aim,
        Map<String, Double> balanceDb,
        Map<String, Double> metres)
        implements SettingsBuilder.With {
    /** Where a loudspeaker is taken to stand while nobody said; common practice in small rooms. */
    public static final double USUAL_METRES = 1;

    public static final Settings NONE =
            new Settings(Map.of(), Set.of(), GainSchool.STRONG_SOURCE, AimSchool.PLAYER, Map.of(), Map.of());

    public Settings {
        positions = Map.copyOf(positions);
        locked = Set.copyOf(locked);
        balanceDb = Map.copyOf(balanceDb);
        metres = Map.copyOf(metres);
    }

    public Settings turned(Map<Spot, Double> more) {
        Map<Spot, Double> all = new HashMap<>(positions);
        all.putAll(more);
        return withPositions(all);
    }

    /** What was turned since; empty where anything else is different, too. */
    public Optional<Map<Spot, Double>> turnedSince(Settings before) {
        if (!withPositions(Map.of()).equals(before.withPositions(Map.of()))
                || !positions.keySet().containsAll(before.positions.keySet())) {
            return Optional.empty();
        }
        Map<Spot, Double> turned = new HashMap<>(positions);
        turned.entrySet().removeAll(before.positions.entrySet());
        return Optional.of(turned);
    }

    public Settings locked(Spot control, boolean isLocked) {
        Set<Spot> all = new LinkedHashSet<>(locked);
        if (isLocked) {
            all.add(control);
        } else {
            all.remove(control);
        }
        return withLocked(all);
    }

    public Settings with(GainSchool newSchool) {
        return withSchool(newSchool);
    }

    public Settings with(AimSchool newAim) {
        return withAim(newAim);
    }

    public Settings balanced(String device, double db) {
        Map<String, Double> all = new HashMap<>(balanceDb);
        all.put(device, db);
        return withBalanceDb(all);
    }

    /** With a loudspeaker so far away. */
    public Settings away(String loudspeaker, double newMetres) {
        Map<String, Double> all = new HashMap<>(metres);
        all.put(loudspeaker, newMetres);
        return withMetres(all);
    }

    /** How far away a loudspeaker is. */
    public double metres(String loudspeaker) {
        return metres.getOrDefault(loudspeaker, USUAL_METRES);
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
        Map<String, Double> away = new HashMap<>(metres);
        away.putAll(other.metres);
        return new Settings(turned(other.positions).positions, all, other.school, other.aim, balance, away);
    }

    /** The same with the marks of gear changed. */
    public Settings renamed(UnaryOperator<Spot> anew) {
        Map<Spot, Double> moved = new HashMap<>();
        positions.forEach((spot, position) -> moved.put(anew.apply(spot), position));
        return new Settings(
                moved,
                locked.stream().map(anew).collect(Collectors.toSet()),
                school,
                aim,
                byDevice(balanceDb, anew),
                byDevice(metres, anew));
    }

    private static Map<String, Double> byDevice(Map<String, Double> values, UnaryOperator<Spot> anew) {
        Map<String, Double> moved = new HashMap<>();
        values.forEach(
                (device, value) -> moved.put(anew.apply(new Spot(device, "x")).item(), value));
        return moved;
    }

    public Wanted wanted() {
        return new Wanted(school, balanceDb);
    }
}
