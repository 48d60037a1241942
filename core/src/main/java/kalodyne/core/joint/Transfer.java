package kalodyne.core.joint;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.units.Gain;

/**
 * What becomes of one signal on its way to one that is received, at every frequency.
 *
 * @param from the signal as it is given, open-circuit
 * @param to where it is received
 * @param hertz the frequencies, rising
 * @param values received per volt given
 */
public record Transfer(OutputSignal from, InputSignal to, List<Double> hertz, List<Complex> values) {
    private static final double MIDDLE_HERTZ = 1000;

    /** Loss is nothing to speak of above this: what is received is crosstalk, or nothing. */
    private static final double CORNER_DB = 3.0103;

    public Transfer {
        hertz = List.copyOf(hertz);
        values = List.copyOf(values);
    }

    /** What is received of something that is given half by each of two signals. */
    public Transfer with(Transfer other) {
        List<Complex> both = IntStream.range(0, values.size())
                .mapToObj(i -> values.get(i).plus(other.values.get(i)).times(0.5))
                .toList();
        return new Transfer(from, to, hertz, both);
    }

    /** What is received at a frequency, from its neighbours along a logarithmic axis. */
    public Complex at(double frequency) {
        int above = 0;
        while (above < hertz.size() - 1 && hertz.get(above) < frequency) {
            above++;
        }
        int below = Math.max(0, above - 1);
        if (above == below || hertz.get(above) <= frequency) {
            return values.get(above);
        }
        double share = Math.log(frequency / hertz.get(below)) / Math.log(hertz.get(above) / hertz.get(below));
        return values.get(below).times(1 - share).plus(values.get(above).times(share));
    }

    /** Whether it goes from one device to another; what a device hears of itself is no way to anywhere. */
    public boolean isBetweenDevices() {
        return !from.socket().item().equals(to.socket().item());
    }

    /** Pads for phones take up to 40 dB away; what is further down is only crosstalk, or nothing. */
    public static final double LOST_DB = -55;

    public boolean isLost() {
        return atMiddle().db() <= LOST_DB;
    }

    /** In dB re the open-circuit source. */
    public Gain gain(double frequency) {
        return Gain.ofRatio(at(frequency).magnitude());
    }

    public Gain atMiddle() {
        return gain(MIDDLE_HERTZ);
    }

    /** Whether it arrives upside down in the middle of what is heard. */
    public boolean isInverted() {
        return at(MIDDLE_HERTZ).re() < 0;
    }

    /** Below the middle, where it is down by 3 dB; empty where that is below all frequencies. */
    public OptionalDouble lowCorner() {
        int middle = middle();
        double edge = atMiddle().db() - CORNER_DB;
        for (int i = middle; i > 0; i--) {
            if (values.get(i - 1).db() < edge) {
                return OptionalDouble.of(crossing(i - 1, i, edge));
            }
        }
        return OptionalDouble.empty();
    }

    /** Above the middle, where it is down by 3 dB; empty where that is above all frequencies. */
    public OptionalDouble highCorner() {
        double edge = atMiddle().db() - CORNER_DB;
        for (int i = middle(); i < hertz.size() - 1; i++) {
            if (values.get(i + 1).db() < edge) {
                return OptionalDouble.of(crossing(i, i + 1, edge));
            }
        }
        return OptionalDouble.empty();
    }

    private int middle() {
        int at = 0;
        while (at < hertz.size() - 1 && hertz.get(at) < MIDDLE_HERTZ) {
            at++;
        }
        return at;
    }

    private double crossing(int low, int high, double edge) {
        double from = values.get(low).db();
        double to = values.get(high).db();
        // Where nothing at all passes at one of both there is no slope: it is there.
        double share = Double.isInfinite(from) ? 1 : Double.isInfinite(to) ? 0 : (edge - from) / (to - from);
        return hertz.get(low) * Math.pow(hertz.get(high) / hertz.get(low), share);
    }

    /** A rise above the middle. */
    public record Resonance(double hertz, Gain above) {}

    /** The highest point above the middle; nothing above it where there is no resonance. */
    public Resonance resonance() {
        int highest = middle();
        for (int i = highest; i < hertz.size(); i++) {
            highest = values.get(i).magnitude() > values.get(highest).magnitude() ? i : highest;
        }
        return new Resonance(hertz.get(highest), new Gain(values.get(highest).db()).minus(atMiddle()));
    }
}
