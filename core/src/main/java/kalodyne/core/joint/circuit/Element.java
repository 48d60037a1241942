package kalodyne.core.joint.circuit;

import java.util.List;

/**
 * Something in a circuit, between nodes that are known by name. The name of an element tells its kind by its first letter, as
 * in a netlist.
 */
public sealed interface Element {
    String name();

    /** The nodes it is connected to, those that it only senses included. */
    List<String> nodes();

    /** An element with two terminals. */
    sealed interface TwoTerminal extends Element {
        String plus();

        String minus();

        @Override
        default List<String> nodes() {
            return List.of(plus(), minus());
        }
    }

    /** Resistance in ohms; zero is a plain connection. */
    record Resistor(String name, String plus, String minus, double ohms) implements TwoTerminal {}

    /** Capacitance in farads. */
    record Capacitor(String name, String plus, String minus, double farads) implements TwoTerminal {}

    /** Inductance in henries. */
    record Inductor(String name, String plus, String minus, double henries) implements TwoTerminal {}

    /**
     * The magnetic coupling of two inductors.
     *
     * @param factor above 0 up to 1; negative where one winding is turned round
     */
    record Coupling(String name, String first, String second, double factor) implements Element {
        @Override
        public List<String> nodes() {
            return List.of();
        }
    }

    /** A voltage from plus to minus. Its current counts from plus through the source to minus. */
    record VoltageSource(String name, String plus, String minus, Drive drive) implements TwoTerminal {}

    /** A current from plus through the source to minus. */
    record CurrentSource(String name, String plus, String minus, Drive drive) implements TwoTerminal {}

    /** A voltage that follows another one ("E"). */
    record VoltageByVoltage(String name, String plus, String minus, String sensePlus, String senseMinus, double gain)
            implements TwoTerminal {
        @Override
        public List<String> nodes() {
            return List.of(plus, minus, sensePlus, senseMinus);
        }
    }

    /** A current that follows a voltage ("G"), in siemens. */
    record CurrentByVoltage(String name, String plus, String minus, String sensePlus, String senseMinus, double siemens)
            implements TwoTerminal {
        @Override
        public List<String> nodes() {
            return List.of(plus, minus, sensePlus, senseMinus);
        }
    }

    /** A voltage that follows the current through a voltage source ("H"), in ohms. */
    record VoltageByCurrent(String name, String plus, String minus, String source, double ohms)
            implements TwoTerminal {}

    /** A current that follows the current through a voltage source ("F"). */
    record CurrentByCurrent(String name, String plus, String minus, String source, double gain)
            implements TwoTerminal {}

    /**
     * What a source gives.
     *
     * @param dc at rest, in volts or amperes
     * @param ac amplitude at the frequency that is looked at
     * @param phaseDegrees of the amplitude
     */
    record Drive(double dc, double ac, double phaseDegrees) {
        public static Drive ofDc(double dc) {
            return new Drive(dc, 0, 0);
        }

        public static Drive ofAc(double ac) {
            return new Drive(0, ac, 0);
        }
    }
}
