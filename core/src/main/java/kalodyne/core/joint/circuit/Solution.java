package kalodyne.core.joint.circuit;

/** Every voltage and current of a circuit, at one frequency or at rest. */
public final class Solution {
    private final Network network;
    private final double omega;
    private final Elimination.Pairs[] found;
    private final int column;

    /**
     * One of several solutions that were found side by side.
     *
     * @param found by the unknowns of the network
     * @param column which of them
     */
    Solution(Network network, double omega, Elimination.Pairs[] found, int column) {
        this.network = network;
        this.omega = omega;
        this.found = found;
        this.column = column;
    }

    private Complex unknown(int index) {
        return new Complex(found[index].re()[column], found[index].im()[column]);
    }

    /** The voltage of a node against the ground. */
    public Complex voltage(String node) {
        if (node.equals(Circuit.GROUND)) {
            return Complex.ZERO;
        }
        Integer index = network.nodeIndexes().get(node);
        if (index == null) {
            throw new IllegalArgumentException("there is no node “" + node + "”");
        }
        return unknown(index);
    }

    /** The voltage from one node to another. */
    public Complex voltage(String plus, String minus) {
        return voltage(plus).minus(voltage(minus));
    }

    /** The current through an element, from its plus to its minus. */
    public Complex current(String name) {
        Integer branch = network.branchIndexes().get(name);
        if (branch != null) {
            return unknown(branch);
        }
        Element element = network.element(name);
        if (element instanceof Element.Resistor resistor) {
            return voltage(resistor.plus(), resistor.minus()).times(1 / resistor.ohms());
        }
        if (element instanceof Element.Capacitor capacitor) {
            Complex volts = voltage(capacitor.plus(), capacitor.minus()).times(omega * capacitor.farads());
            return new Complex(-volts.im(), volts.re());
        }
        if (element instanceof Element.CurrentByVoltage follower) {
            return voltage(follower.sensePlus(), follower.senseMinus()).times(follower.siemens());
        }
        if (element instanceof Element.CurrentByCurrent follower) {
            return current(follower.source()).times(follower.gain());
        }
        throw new IllegalArgumentException("there is no element “" + name + "” whose current could be told");
    }
}
