package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.joint.circuit.Probe;
import kalodyne.core.joint.circuit.SolvedNetlist;

/** A solved circuit as JSON, after docs/formats/circuit.md. Other programs read it: fields are added, never changed. */
final class CircuitJson {
    private static final MathContext SHOWN = new MathContext(6);
    private static final double LEAST_PLAIN = 1e-4;
    private static final double MOST_PLAIN = 1e7;

    private CircuitJson() {}

    static ObjectNode of(Path file, SolvedNetlist solved) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        node.put("title", solved.netlist().title());
        ArrayNode frequencies = node.putArray("frequenciesHz");
        solved.netlist().frequenciesHz().forEach(frequencies::add);
        putAll(node.putObject("nodes"), solved.nodes());
        putAll(node.putObject("currents"), solved.currents());
        ObjectNode printed = node.putObject("printed");
        solved.printed().forEach((probe, values) -> {
            if (isPair(probe)) {
                pairs(printed.putObject(probe.write()), values);
            } else {
                numbers(printed.putArray(probe.write()), values, Complex::re);
            }
        });
        ObjectNode op = node.putObject("op");
        solved.atRest().forEach(op::put);
        ArrayNode adrift = node.putArray("adrift");
        solved.adrift().forEach(adrift::add);
        return node;
    }

    static ObjectNode unreadable(Path file, UnreadableFile e) {
        Problem problem = e.problems().get(0);
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        node.putObject("error")
                .put("place", problem.place())
                .put("problem", problem.what())
                .put("remedy", problem.remedy());
        return node;
    }

    /** Voltages and currents have two parts, what is read from them has one. */
    static boolean isPair(Probe probe) {
        return probe.kind() == Probe.Kind.VOLTAGE || probe.kind() == Probe.Kind.CURRENT;
    }

    private static void putAll(ObjectNode node, Map<String, List<Complex>> all) {
        all.forEach((name, values) -> pairs(node.putObject(name), values));
    }

    private static void pairs(ObjectNode node, List<Complex> values) {
        numbers(node.putArray("re"), values, Complex::re);
        numbers(node.putArray("im"), values, Complex::im);
    }

    private static void numbers(ArrayNode array, List<Complex> values, ToDoubleFunction<Complex> number) {
        for (Complex value : values) {
            double each = number.applyAsDouble(value);
            if (Double.isFinite(each)) {
                array.add(each);
            } else {
                array.addNull();
            }
        }
    }

    /** As many digits as people read; very large and very small numbers with a power of ten. */
    static String digits(double value) {
        if (!Double.isFinite(value)) {
            return "−∞";
        }
        BigDecimal rounded = BigDecimal.valueOf(value).round(SHOWN).stripTrailingZeros();
        boolean isPlain = value == 0 || (Math.abs(value) >= LEAST_PLAIN && Math.abs(value) < MOST_PLAIN);
        return isPlain ? rounded.toPlainString() : rounded.toString();
    }
}
