package kalodyne.core.joint.circuit;

import java.util.Locale;
import java.util.stream.Collectors;

/** Writes a circuit as a netlist that simulators run as it is. */
public final class NetlistWriter {
    /** Simulators do not take 0 Ω; this little changes nothing that could be heard. */
    private static final double LEAST_OHMS = 1e-6;

    private NetlistWriter() {}

    /**
     * The netlist.
     *
     * @param sweep as ".ac" takes it: "dec 10 20 20k"; empty for none
     */
    public static String write(Netlist netlist, String sweep) {
        StringBuilder text = new StringBuilder(netlist.title().replaceAll("\\s+", " ")).append('\n');
        netlist.circuit()
                .elements()
                .forEach(element -> text.append(line(element)).append('\n'));
        if (netlist.isAtRest()) {
            text.append(".op\n");
        }
        if (!sweep.isEmpty()) {
            text.append(".ac ").append(sweep).append('\n');
        }
        if (!netlist.printed().isEmpty()) {
            text.append(".print ac ")
                    .append(netlist.printed().stream().map(Probe::write).collect(Collectors.joining(" ")))
                    .append('\n');
        }
        return text.append(".end\n").toString();
    }

    private static String line(Element element) {
        if (element instanceof Element.Resistor it) {
            return line(it, Math.max(it.ohms(), LEAST_OHMS));
        } else if (element instanceof Element.Capacitor it) {
            return line(it, it.farads());
        } else if (element instanceof Element.Inductor it) {
            return line(it, it.henries());
        } else if (element instanceof Element.Coupling it) {
            return words(it.name(), it.first(), it.second(), NetlistNumber.write(it.factor()));
        } else if (element instanceof Element.VoltageSource it) {
            return words(it.name(), it.plus(), it.minus(), drive(it.drive()));
        } else if (element instanceof Element.CurrentSource it) {
            return words(it.name(), it.plus(), it.minus(), drive(it.drive()));
        } else if (element instanceof Element.VoltageByVoltage it) {
            return words(
                    it.name(), it.plus(), it.minus(), it.sensePlus(), it.senseMinus(), NetlistNumber.write(it.gain()));
        } else if (element instanceof Element.CurrentByVoltage it) {
            return words(
                    it.name(),
                    it.plus(),
                    it.minus(),
                    it.sensePlus(),
                    it.senseMinus(),
                    NetlistNumber.write(it.siemens()));
        } else if (element instanceof Element.VoltageByCurrent it) {
            return words(it.name(), it.plus(), it.minus(), it.source(), NetlistNumber.write(it.ohms()));
        }
        Element.CurrentByCurrent it = (Element.CurrentByCurrent) element;
        return words(it.name(), it.plus(), it.minus(), it.source(), NetlistNumber.write(it.gain()));
    }

    private static String line(Element.TwoTerminal element, double value) {
        return words(element.name(), element.plus(), element.minus(), NetlistNumber.write(value));
    }

    private static String drive(Element.Drive drive) {
        return String.format(
                Locale.ROOT,
                "dc %s ac %s %s",
                NetlistNumber.write(drive.dc()),
                NetlistNumber.write(drive.ac()),
                NetlistNumber.write(drive.phaseDegrees()));
    }

    private static String words(String... words) {
        return String.join(" ", words);
    }
}
