package kalodyne.core.gear;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * A control whose gain was measured or printed at some positions; straight lines in decibels between them.
 *
 * @param points rising in position, from 0 to 1, and in gain; two or more
 */
public record CalibratedTaper(List<Point> points) implements Taper {
    /**
     * A known point.
     *
     * @param position from 0 to 1
     * @param gain finite
     */
    public record Point(double position, Gain gain) {}

    public CalibratedTaper {
        points = List.copyOf(points);
        if (points.size() < 2
                || points.get(0).position() != 0
                || points.get(points.size() - 1).position() != 1) {
            throw new IllegalArgumentException(
                    "a calibrated control needs points from the lowest position to the highest");
        }
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).position() <= points.get(i - 1).position()) {
                throw new IllegalArgumentException("the positions of a calibrated control must rise");
            }
        }
        Taper.requireRising(points.stream().map(Point::gain).toList());
    }

    @Override
    public Gain at(double position) {
        int upper = 1;
        while (points.get(upper).position() < position) {
            upper++;
        }
        Point a = points.get(upper - 1);
        Point b = points.get(upper);
        double share = (position - a.position()) / (b.position() - a.position());
        return new Gain(a.gain().db() + share * (b.gain().db() - a.gain().db()));
    }

    @Override
    public double positionFor(Gain gain) {
        if (gain.compareTo(lowest()) <= 0) {
            return 0;
        }
        if (gain.compareTo(highest()) >= 0) {
            return 1;
        }
        int upper = 1;
        while (points.get(upper).gain().compareTo(gain) < 0) {
            upper++;
        }
        Point a = points.get(upper - 1);
        Point b = points.get(upper);
        double share = (gain.db() - a.gain().db()) / (b.gain().db() - a.gain().db());
        return a.position() + share * (b.position() - a.position());
    }
}
