package kalodyne.core.levels.calibration;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.gear.CalibratedTaper;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.Gain;

/**
 * What takes say about a source and one knob. What they differ from the prediction is fitted by a straight line over the knob's
 * travel (least squares): its start is the source's, its slope the knob's. A slope that may be chance is left out.
 *
 * @param takes what was looked at
 * @param source how much louder the source is than described
 * @param travel how much more the knob does from end to end than described; empty where the takes do not tell
 * @param beforeDb how far the takes lay from the prediction, as RMS
 * @param afterDb the same once this is followed
 */
public record Calibration(
        List<Observed> takes, Estimate source, Optional<Estimate> travel, double beforeDb, double afterDb) {
    /** Nobody plays the loudest part twice more alike than this; common practice. */
    private static final double PLAYER_DB = 0.7;

    /** Knob positions closer to each other than this say nothing about its law. */
    private static final double LEAST_TRAVEL = 0.15;

    /** Of a normal distribution 95 % lie within so many standard deviations. */
    private static final double NORMAL_95 = 1.96;

    /** Student's t for 95 %, two-sided, by degrees of freedom from 1; a table, from memory. */
    private static final double[] T_95 = {12.71, 4.30, 3.18, 2.78, 2.57, 2.45, 2.36, 2.31, 2.26, 2.23};

    private static final int POINTS = 11;

    public Calibration {
        takes = List.copyOf(takes);
    }

    /** Of one take or more. */
    public static Calibration of(List<Observed> takes) {
        if (takes.isEmpty()) {
            throw new IllegalArgumentException("a calibration needs a take");
        }
        double before = rms(takes.stream().mapToDouble(Observed::residual).toArray());
        Calibration constant = constant(takes, before);
        double least = takes.stream().mapToDouble(Observed::position).min().orElseThrow();
        double most = takes.stream().mapToDouble(Observed::position).max().orElseThrow();
        if (takes.size() < 2 || most - least < LEAST_TRAVEL) {
            return constant;
        }
        Calibration line = line(takes, before);
        return line.travel().orElseThrow().isClear() ? line : constant;
    }

    private static Calibration constant(List<Observed> takes, double before) {
        int n = takes.size();
        double mean = takes.stream().mapToDouble(Observed::residual).average().orElseThrow();
        double[] left =
                takes.stream().mapToDouble(take -> take.residual() - mean).toArray();
        double uncertainty = within(left, n - 1) / Math.sqrt(n);
        return new Calibration(takes, new Estimate(mean, uncertainty), Optional.empty(), before, rms(left));
    }

    private static Calibration line(List<Observed> takes, double before) {
        int n = takes.size();
        double meanX = takes.stream().mapToDouble(Observed::position).average().orElseThrow();
        double meanY = takes.stream().mapToDouble(Observed::residual).average().orElseThrow();
        double xx = 0;
        double xy = 0;
        for (Observed take : takes) {
            double x = take.position() - meanX;
            xx += x * x;
            xy += x * (take.residual() - meanY);
        }
        double slope = xy / xx;
        double start = meanY - slope * meanX;
        double[] left = takes.stream()
                .mapToDouble(take -> take.residual() - start - slope * take.position())
                .toArray();
        double each = within(left, n - 2);
        return new Calibration(
                takes,
                new Estimate(start, each * Math.sqrt(1.0 / n + meanX * meanX / xx)),
                Optional.of(new Estimate(slope, each / Math.sqrt(xx))),
                before,
                rms(left));
    }

    /** Within how much one take lies, in 95 of 100 cases: by what is left, and never better than players repeat. */
    private static double within(double[] left, int freedom) {
        double players = NORMAL_95 * PLAYER_DB;
        if (freedom < 1) {
            return players;
        }
        double square = 0;
        for (double each : left) {
            square += each * each;
        }
        double t = freedom <= T_95.length ? T_95[freedom - 1] : NORMAL_95;
        return Math.max(players, t * Math.sqrt(square / freedom));
    }

    private static double rms(double[] values) {
        double square = 0;
        for (double each : values) {
            square += each * each;
        }
        return Math.sqrt(square / values.length);
    }

    /** The law of the knob as it was found; the same where the takes do not tell. */
    public Taper correct(Taper taper) {
        if (travel.isEmpty() || taper.isStepped()) {
            return taper;
        }
        double more = travel.get().db();
        if (taper instanceof LinearTaper linear) {
            double highest = linear.highest().db() + more;
            return highest > linear.lowest().db() ? new LinearTaper(linear.lowest(), new Gain(highest)) : taper;
        }
        return points(taper, more);
    }

    private static Taper points(Taper taper, double more) {
        List<CalibratedTaper.Point> points = new ArrayList<>();
        IntStream.range(0, POINTS).forEach(i -> {
            double position = i / (POINTS - 1.0);
            double db = Math.max(-90, taper.at(position).db()) + more * position;
            double above = points.isEmpty()
                    ? Double.NEGATIVE_INFINITY
                    : points.get(points.size() - 1).gain().db() + 0.01;
            points.add(new CalibratedTaper.Point(position, new Gain(Math.max(db, above))));
        });
        return new CalibratedTaper(points);
    }
}
