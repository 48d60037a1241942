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
}
