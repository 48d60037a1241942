package kalodyne.core.testing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;

/** Puts flows together, point by point. Levels in dBu, gains in dB; NaN where there is none. */
public final class Flows {
    public static final double NONE = Double.NaN;

    private final List<Point> points = new ArrayList<>();
    private final List<Knob> knobs = new ArrayList<>();
    private final List<End> ends = new ArrayList<>();

    /** Of the points in the order in which they were added. */
    public static PointId id(int index) {
        return PointId.of(new Spot("p", String.valueOf(index)));
    }

    public Flow flow() {
        return new Flow(points, knobs, ends);
    }

    /** Its knobs are counted: "rack.k0". */
    public static Spot knob(int index) {
        return new Spot("rack", "k" + index);
    }

    public int knob(ControlKind kind, Taper taper, double position) {
        String name = kind.word() + " " + knobs.size();
        knobs.add(new Knob(
                knob(knobs.size()),
                "Rack",
                kind,
                Duty.of(kind),
                new Control(name, taper, Dial.USUAL, position),
                false,
                true));
        return knobs.size() - 1;
    }

    public int gain(double lowest, double highest) {
        return knob(ControlKind.GAIN, linear(lowest, highest), 0);
    }

    public static Taper linear(double lowest, double highest) {
        return new LinearTaper(new Gain(lowest), new Gain(highest));
    }

    public int clicks(double... steps) {
        return knob(ControlKind.PAD, stepped(steps), 0);
    }

    public static Taper stepped(double... steps) {
        return new SteppedTaper(Arrays.stream(steps).mapToObj(Gain::new).toList());
    }

    /** Without a control: −1. */
    public int sound(String player, double peak, double average, double floor, double ceiling, int knob) {
        Sound sound =
                Sound.played(player, new SignalLevels(new Level(peak), new Level(average), level(floor)), Gain.NONE);
        return add(new Point(
                id(points.size()),
                player,
                player,
                Optional.of(sound),
                List.of(),
                index(knob),
                Gain.NONE,
                ceiling(ceiling),
                Level.SILENCE,
                Level.SILENCE));
    }

    public int stage(String station, double gain, double ceiling, double in, double out, int knob, Feed... feeds) {
        return add(new Point(
                id(points.size()),
                station,
                station + " " + points.size(),
                Optional.empty(),
                List.of(feeds),
                index(knob),
                new Gain(gain),
                ceiling(ceiling),
                level(in),
                level(out)));
    }

    /** A converter: a stage that clips at full scale, and the end of what comes to it, aimed at −12 to −6 dBFS. */
    public int track(double fullScale, double noiseDbfs, Feed feed) {
        int point = stage("Recorder", 0, fullScale, NONE, fullScale + noiseDbfs, -1, feed);
        ends.add(new End(
                point,
                "track " + (ends.size() + 1),
                OptionalInt.of(ends.size() + 1),
                End.Kind.TRACK,
                new Level(fullScale),
                -12,
                -6,
                End.Line.PEAK,
                OptionalInt.of(24)));
        return point;
    }

    private int add(Point point) {
        points.add(point);
        return points.size() - 1;
    }

    private static OptionalInt index(int knob) {
        return knob < 0 ? OptionalInt.empty() : OptionalInt.of(knob);
    }

    private static Optional<Level> ceiling(double dbu) {
        return Double.isNaN(dbu) ? Optional.empty() : Optional.of(new Level(dbu));
    }

    private static Level level(double dbu) {
        return Double.isNaN(dbu) ? Level.SILENCE : new Level(dbu);
    }
}
