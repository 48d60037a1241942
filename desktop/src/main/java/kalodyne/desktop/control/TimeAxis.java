package kalodyne.desktop.control;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.units.Print;

/**
 * A scale of time, from hours down to single samples.
 *
 * @param begin in seconds
 * @param seconds how long what is seen takes; above 0
 */
public record TimeAxis(double begin, double seconds) {
    private static final List<Double> LONG_STEPS =
            List.of(1.0, 2.0, 5.0, 10.0, 20.0, 30.0, 60.0, 120.0, 300.0, 600.0, 1200.0, 1800.0, 3600.0);

    /** In steps: a mark at either end is one, however the arithmetic rounds. */
    private static final double ROUNDING = 1e-5;

    /**
     * A mark on it.
     *
     * @param share where: 0 at the left edge, 1 at the right
     * @param label "0:31", "1.2035 s"
     */
    public record Mark(double share, String label) {}

    /**
     * Its marks, at round times.
     *
     * @param most how many there is room for
     */
    public List<Mark> marks(double most) {
        double step = roundStep(seconds / Math.max(2, most));
        List<Mark> marks = new ArrayList<>();
        for (double tick = Math.ceil(begin / step - ROUNDING);
                tick * step <= begin + seconds + step * ROUNDING;
                tick++) {
            marks.add(new Mark((tick * step - begin) / seconds, label(tick * step, step)));
        }
        return marks;
    }

    private static String label(double at, double step) {
        if (step >= 1) {
            return Print.tick(at);
        }
        int digits = 1;
        for (double unit = 0.1; unit > step * 1.001; unit /= 10) {
            digits++;
        }
        return Print.decimal(at, digits) + " s";
    }

    /** 1, 2 or 5 of a power of ten, or whole parts of a minute. */
    private static double roundStep(double atLeast) {
        if (atLeast >= 1) {
            return LONG_STEPS.stream()
                    .filter(step -> step >= atLeast)
                    .findFirst()
                    .orElse(3600 * Math.ceil(atLeast / 3600));
        }
        double ten = 1;
        while (ten > atLeast) {
            ten /= 10;
        }
        return atLeast <= ten ? ten : atLeast <= 2 * ten ? 2 * ten : atLeast <= 5 * ten ? 5 * ten : 10 * ten;
    }
}
