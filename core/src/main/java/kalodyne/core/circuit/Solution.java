package kalodyne.core.circuit;

/** Every voltage and current of a circuit, at one frequency or at rest. */
public final class Solution {
    private final Network network;
    private final double omega;
    private final double[] re;
    private final double[] im;

    Solution(Network network, double omega, double[] re, double[] im) {
        this.network = network;
        this.omega = omega;
        this.re = re;
        this.im = im;
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
        return new Complex(re[index], im[index]);
    }

    /** The voltage from one node to another. */
    public Complex voltage(String plus, String minus) {
        return voltage(plus).minus(voltage(minus));
    }

    /** The current through an element, from its plus to its minus. */
    public Complex current(String name) {
        Integer branch = network.branchIndexes().get(name);
        if (branch != null) {
            return new Complex(re[branch], im[branch]);
        }
        Element element = network.elements().get(name);
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
