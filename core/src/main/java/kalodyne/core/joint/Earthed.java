package kalodyne.core.joint;

import java.util.List;
import java.util.Map;
import kalodyne.core.joint.circuit.UnsolvableCircuit;

/**
 * What a joint is to the earth of the whole rig, at once or only when it is asked for: of many that are compared few come into
 * a rig.
 */
final class Earthed {
    private static final EarthPorts NOTHING = new EarthPorts(List.of(), Map.of(), Map.of());

    private final JointCircuit joint;
    private EarthPorts ports;

    private Earthed(JointCircuit joint, EarthPorts ports) {
        this.joint = joint;
        this.ports = ports;
    }

    static Earthed now(JointCircuit joint) throws UnsolvableCircuit {
        return new Earthed(joint, EarthPorts.of(joint));
    }

    static Earthed whenAsked(JointCircuit joint) {
        return new Earthed(joint, null);
    }

    synchronized EarthPorts ports() {
        if (ports == null) {
            try {
                ports = EarthPorts.of(joint);
            } catch (UnsolvableCircuit e) {
                // Its currents are not decided; what it does to the signal is known all the same.
                ports = NOTHING;
            }
        }
        return ports;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Earthed earthed && ports().equals(earthed.ports());
    }

    @Override
    public int hashCode() {
        return ports().hashCode();
    }
}
