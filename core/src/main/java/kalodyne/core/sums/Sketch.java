package kalodyne.core.sums;

import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** What a sum comes to as a picture: a circuit of resistors, or a curve. */
public sealed interface Sketch {
    /** What the picture shows, in words. */
    String words();

    /**
     * Resistors from an input to an output, from left to right.
     *
     * @param title "T pad"
     * @param balanced whether the lower wire has resistors of its own, as the upper one
     * @param parts in the order of the signal
     */
    record Circuit(String title, boolean balanced, List<Part> parts) implements Sketch {
        public Circuit {
            parts = List.copyOf(parts);
        }

        @Override
        public String words() {
            return title + ": "
                    + String.join(
                            ", ",
                            parts.stream()
                                    .map(part -> (part.isAcross() ? "across " : "in series ")
                                            + part.value()
                                            + (balanced && !part.isAcross() ? " in each wire" : ""))
                                    .toList());
        }
    }

    /**
     * A part of a circuit.
     *
     * @param isAcross between the two wires, else in one
     * @param isCapacitor rather than a resistor
     */
    record Part(boolean isAcross, boolean isCapacitor, String value) {}

    /**
     * What passes at each frequency.
     *
     * @param points frequencies rising
     * @param cornerHz where half of the power is left
     */
    record Curve(String title, List<Point> points, double cornerHz) implements Sketch {
        private static final double LOWEST_HZ = 10;
        private static final double HIGHEST_HZ = 40_000;
        private static final int COUNT = 97;

        public Curve {
            points = List.copyOf(points);
        }

        /** What a resistor and the capacitor behind it leave: 10·lg(1/(1 + (f/f₀)²)). */
        static Curve lowPass(String title, double cornerHz) {
            double step = Math.log(HIGHEST_HZ / LOWEST_HZ) / (COUNT - 1);
            List<Point> points = IntStream.range(0, COUNT)
                    .mapToDouble(i -> LOWEST_HZ * Math.exp(i * step))
                    .mapToObj(hertz -> new Point(
                            hertz,
                            Gain.ofPowerRatio(1 / (1 + Math.pow(hertz / cornerHz, 2)))
                                    .db()))
                    .toList();
            return new Curve(title, points, cornerHz);
        }

        /** At a frequency within the curve, between its neighbours along a logarithmic axis. */
        public double dbAt(double hertz) {
            int above = 1;
            while (above < points.size() - 1 && points.get(above).hertz() < hertz) {
                above++;
            }
            Point below = points.get(above - 1);
            Point next = points.get(above);
            double share = Math.log(hertz / below.hertz()) / Math.log(next.hertz() / below.hertz());
            return below.db() + share * (next.db() - below.db());
        }

        @Override
        public String words() {
            return title + ": "
                    + String.join(
                            ", ",
                            DoubleStream.of(100, 1000, 10_000)
                                    .mapToObj(hertz ->
                                            Print.decimal(dbAt(hertz), 1) + " dB at " + Print.prefixed(hertz, "Hz"))
                                    .toList());
        }
    }

    /** A point of a curve. */
    record Point(double hertz, double db) {}
}
