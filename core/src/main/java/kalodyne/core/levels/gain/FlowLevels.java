package kalodyne.core.levels.gain;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;

/**
 * What a flow does with its controls where they stand: the lines at every point and where the noise at every end comes from.
 * Lines are told as if nothing clipped, so that they say by how much it does.
 */
public final class FlowLevels {
    /** Less than this is the rounding of the arithmetic. */
    private static final double ROUNDING_DB = 1e-9;

    private final Flow flow;

    /** Per player and point: what arrives at the loudest, in volts; then while playing on average. */
    private final Map<String, double[]> peaks = new LinkedHashMap<>();

    private final Map<String, double[]> averages = new LinkedHashMap<>();

    /** Per point: how much more it can be at a resonance on the way. */
    private final double[] riseDb;

    /** Per point: the noise that it adds, behind its gain, in volts. */
    private final double[] added;

    /** From each point, behind its gain, to each later one, as a ratio; upside down where negative. */
    private final double[][] passed;

    private final double[] floors;

    private FlowLevels(Flow flow) {
        this.flow = flow;
        int count = flow.points().size();
        double[] gains = new double[count];
        added = new double[count];
        riseDb = new double[count];
        for (int i = 0; i < count; i++) {
            Point point = flow.points().get(i);
            gains[i] = flow.gainAt(i).ratio();
            double own =
                    point.sound().map(sound -> sound.levels().floor().volts()).orElse(0.0);
            added[i] = Math.hypot(
                    Math.hypot(own, point.inputNoise().volts()) * gains[i],
                    point.outputNoise().volts());
            for (Feed feed : point.feeds()) {
                riseDb[i] =
                        Math.max(riseDb[i], riseDb[feed.from()] + feed.rise().db());
            }
        }
        passed = passed(gains);
        sounds(gains);
        floors = new double[count];
        for (int i = 0; i < count; i++) {
            double square = 0;
            for (int origin = 0; origin <= i; origin++) {
                double volts = added[origin] * passed[origin][i];
                square += volts * volts;
            }
            floors[i] = Math.sqrt(square);
        }
    }

    /** Computes the lines. */
    public static FlowLevels of(Flow flow) {
        return new FlowLevels(flow);
    }

    private double[][] passed(double[] gains) {
        int count = gains.length;
        double[][] ratios = new double[count][count];
        int[][] from = new int[count][];
        double[][] by = new double[count][];
        for (int i = 0; i < count; i++) {
            List<Feed> feeds = flow.points().get(i).feeds();
            from[i] = feeds.stream().mapToInt(Feed::from).toArray();
            double gain = gains[i];
            by[i] = feeds.stream().mapToDouble(feed -> feed.ratio() * gain).toArray();
        }
        for (int origin = 0; origin < count; origin++) {
            double[] row = ratios[origin];
            row[origin] = 1;
            for (int i = origin + 1; i < count; i++) {
                double sum = 0;
                for (int f = 0; f < from[i].length; f++) {
                    sum += row[from[i][f]] * by[i][f];
                }
                row[i] = sum;
            }
        }
        return ratios;
    }

    /**
     * What a player gives through several sockets may be alike, and adds up as voltages. Where one arrives upside down, what is alike
     * disappears: what is left is told as the sum of powers.
     */
    private void sounds(double[] gains) {
        int count = gains.length;
        Map<String, double[]> upside = new LinkedHashMap<>();
        for (int source = 0; source < count; source++) {
            Optional<Sound> sound = flow.points().get(source).sound();
            if (sound.isPresent()) {
                String player = sound.get().player();
                double[] peak = peaks.computeIfAbsent(player, each -> new double[count]);
                double[] average = averages.computeIfAbsent(player, each -> new double[count]);
                double[] under = upside.computeIfAbsent(player, each -> new double[count]);
                double crest = sound.get().levels().crest().ratio();
                for (int i = source; i < count; i++) {
                    double volts = sound.get().levels().peak().volts() * passed[source][i] * gains[source];
                    under[i] += Math.max(0, -volts);
                    peak[i] += Math.max(0, volts);
                    average[i] = Math.max(average[i], 1 / crest);
                }
            }
        }
        peaks.forEach((player, peak) -> {
            double[] under = upside.get(player);
            double[] average = averages.get(player);
            for (int i = 0; i < count; i++) {
                boolean isBoth = peak[i] > 0 && under[i] > 0;
                peak[i] = isBoth ? Math.hypot(peak[i], under[i]) : peak[i] + under[i];
                average[i] *= peak[i];
            }
        });
    }

    /** From before a point's control and gain to behind those of a later one. */
    public Gain gain(int from, int to) {
        return Gain.ofRatio(Math.abs(passed[from][to])).plus(flow.gainAt(from));
    }

    public Flow flow() {
        return flow;
    }

    // --- lines -------------------------------------------------------------------------------------------------

    /** The three lines of all players together. */
    public SignalLevels lines(int point) {
        return new SignalLevels(peak(point), average(point), floor(point));
    }

    /** The loudest peak of all players together, whose loudest moments seldom meet: their powers add. */
    public Level peak(int point) {
        return sum(peaks, point);
    }

    /** The loudest peak if all players met in their loudest moment, at a resonance of their leads. */
    public Level worstPeak(int point) {
        double volts = peaks.values().stream().mapToDouble(each -> each[point]).sum();
        return Level.ofVolts(volts).plus(new Gain(riseDb[point]));
    }

    public Level average(int point) {
        return sum(averages, point);
    }

    private static Level sum(Map<String, double[]> players, int point) {
        double square = 0;
        for (double[] each : players.values()) {
            square += each[point] * each[point];
        }
        return Level.ofVolts(Math.sqrt(square));
    }

    /** The loudest peak of one player alone. */
    public Level peak(int point, String player) {
        return Level.ofVolts(peaks.get(player)[point]);
    }

    /** Who is heard at a point, the loudest first. */
    public List<String> players(int point) {
        return peaks.entrySet().stream()
                .filter(entry -> entry.getValue()[point] > 0)
                .sorted((one, other) -> Double.compare(other.getValue()[point], one.getValue()[point]))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** All noise up to a point. */
    public Level floor(int point) {
        return Level.ofVolts(floors[point]);
    }

    /** The noise that a point adds, as a level behind it. */
    public Level added(int point) {
        return Level.ofVolts(added[point]);
    }

    /** The part of the noise power at an end that a point makes, from 0 to 1. */
    public double noiseShare(int point, int end) {
        double all = floors[at(end)];
        double own = added[point] * passed[point][at(end)];
        return all == 0 ? 0 : own * own / (all * all);
    }

    // --- ceilings ----------------------------------------------------------------------------------------------

    /** How much louder it could get before a point clips; negative where it does; empty where nothing can. */
    public Optional<Gain> headroom(int point) {
        return flow.points().get(point).ceiling().map(ceiling -> ceiling.above(peak(point)));
    }

    public boolean clips(int point) {
        return headroom(point).filter(room -> room.db() < -ROUNDING_DB).isPresent();
    }

    /** Whether any point clips by more than a given amount. */
    public boolean clips(Gain more) {
        for (int i = 0; i < floors.length; i++) {
            if (headroom(i).filter(room -> -room.db() > more.db() + ROUNDING_DB).isPresent()) {
                return true;
            }
        }
        return false;
    }

    // --- ends --------------------------------------------------------------------------------------------------

    private int at(int end) {
        return flow.ends().get(end).point();
    }

    /** The aimed line at an end, in dB on its scale. */
    public double aimed(int end) {
        End each = flow.ends().get(end);
        return each.onScale(each.line() == End.Line.PEAK ? peak(each.point()) : average(each.point()));
    }

    /** How far the aimed line lies outside the aim. */
    public Gain miss(int end) {
        return flow.ends().get(end).miss(aimed(end));
    }

    public boolean isMet(int end) {
        return Math.abs(miss(end).db()) <= ROUNDING_DB;
    }

    /** How far the loudest peak lies above the noise at an end. */
    public Gain range(int end) {
        return peak(at(end)).above(floor(at(end)));
    }

    /** What the format of a track keeps of what arrives. */
    public record Kept(double effectiveBits, double usedBits, Gain costOf16, Gain costOf24) {}

    /**
     * What is left of the bits: of a full-scale sine over all noise; and of the loudest peak over all noise; and how much more
     * noise there is for being kept in 16 or 24 bits.
     */
    public Kept kept(int end) {
        End each = flow.ends().get(end);
        double floor = each.onScale(floor(each.point()));
        double floorWithout = withoutRounding(each, floor);
        return new Kept(
                DigitalLevel.bits(new Gain(-floor)),
                DigitalLevel.bits(range(end)),
                new Gain(with(floorWithout, 16) - floorWithout),
                new Gain(with(floorWithout, 24) - floorWithout));
    }

    private static double with(double floor, int bits) {
        double rounding = DigitalLevel.quantisingNoise(bits).dbfs();
        return Gain.ofPowerRatio(new Gain(floor).powerRatio() + new Gain(rounding).powerRatio())
                .db();
    }

    private static double withoutRounding(End end, double floor) {
        if (end.bits().isEmpty()) {
            return floor;
        }
        double rounding = DigitalLevel.quantisingNoise(end.bits().getAsInt()).dbfs();
        double power = new Gain(floor).powerRatio() - new Gain(rounding).powerRatio();
        return power > 0 ? Gain.ofPowerRatio(power).db() : floor;
    }

    /** How far the true peaks at an end may lie from those told, for what is not known of the sounds. */
    public Gain spread(int end) {
        double square = 0;
        double all = 0;
        int point = at(end);
        for (int source = 0; source < flow.points().size(); source++) {
            Optional<Sound> sound = flow.points().get(source).sound();
            if (sound.isPresent()) {
                double volts = sound.get().levels().peak().volts() * Math.abs(passed[source][point]);
                square += Math.pow(volts * sound.get().spread().db(), 2);
                all += volts * volts;
            }
        }
        return new Gain(all == 0 ? 0 : Math.sqrt(square / all));
    }
}
