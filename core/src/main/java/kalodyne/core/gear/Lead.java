package kalodyne.core.gear;

import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Length;

/**
 * A lead between two sockets.
 *
 * @param name the number or colour on it: "Lead 7"
 * @param plugs which plugs it has: "TS to TS"
 * @param length from plug to plug
 * @param capacitancePerMetre between its wires
 * @param resistance of both wires, there and back
 */
public record Lead(String name, String plugs, Length length, Capacitance capacitancePerMetre, Impedance resistance) {

    public Capacitance capacitance() {
        return capacitancePerMetre.times(length.metres());
    }

    public Lead withName(String newName) {
        return new Lead(newName, plugs, length, capacitancePerMetre, resistance);
    }

    public Lead withPlugs(String newPlugs) {
        return new Lead(name, newPlugs, length, capacitancePerMetre, resistance);
    }

    public Lead withLength(Length newLength) {
        return new Lead(name, plugs, newLength, capacitancePerMetre, resistance);
    }

    public Lead withCapacitancePerMetre(Capacitance newCapacitancePerMetre) {
        return new Lead(name, plugs, length, newCapacitancePerMetre, resistance);
    }

    public Lead withResistance(Impedance newResistance) {
        return new Lead(name, plugs, length, capacitancePerMetre, newResistance);
    }
}
