package kalodyne.core.levels.run;

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
public record RunLead(String name, String plugs, Length length, Capacitance capacitancePerMetre, Impedance resistance) {

    public Capacitance capacitance() {
        return capacitancePerMetre.times(length.metres());
    }

    public RunLead withName(String newName) {
        return new RunLead(newName, plugs, length, capacitancePerMetre, resistance);
    }

    public RunLead withPlugs(String newPlugs) {
        return new RunLead(name, newPlugs, length, capacitancePerMetre, resistance);
    }

    public RunLead withLength(Length newLength) {
        return new RunLead(name, plugs, newLength, capacitancePerMetre, resistance);
    }

    public RunLead withCapacitancePerMetre(Capacitance newCapacitancePerMetre) {
        return new RunLead(name, plugs, length, newCapacitancePerMetre, resistance);
    }

    public RunLead withResistance(Impedance newResistance) {
        return new RunLead(name, plugs, length, capacitancePerMetre, newResistance);
    }
}
