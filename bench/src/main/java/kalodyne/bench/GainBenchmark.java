package kalodyne.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.TimeUnit;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Dial;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.gain.Advised;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Whole setups: what a knob's move in a run of twenty stations leads to, and setting sixteen runs of six controls each. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class GainBenchmark {
    private static final int STATIONS = 20;
    private static final int RUNS = 16;

    private final Patch patch = longPatch();
    private final List<JointRules.Checked> joints = JointRules.check(patch);
    private final SetupLevels levels = SetupLevels.of(Rig.of(joints, patch, Settings.NONE), Wanted.USUAL);
    private final Flow apart = desk(false);
    private final Flow mixed = desk(true);
    private double position;

    /** A source, effects in a row, an interface. */
    private static Patch longPatch() {
        Plugger plugger = new Plugger();
        plugger.with("synth", device("synth-analogue")).with("interface", device("interface-2"));
        Spot from = Spot.read("synth.out");
        for (int i = 1; i <= STATIONS - 2; i++) {
            String mark = "effect-" + i;
            plugger.with(mark, device("effect-line"));
            plugger.join(from, List.of(lead(plugger, i)), new Spot(mark, "in"));
            from = new Spot(mark, "out");
        }
        plugger.join(from, List.of(lead(plugger, STATIONS)), Spot.read("interface.line-1"));
        return plugger.patch();
    }

    private static Device device(String profile) {
        return Catalogue.shipped().device(profile).orElseThrow().gear();
    }

    private static String lead(Plugger plugger, int number) {
        String mark = "lead-" + number;
        plugger.with(mark, Catalogue.shipped().lead("trs-trs").orElseThrow().gear());
        return mark;
    }

    /** The lines, the advice carried over, the findings and the sentence of a run of twenty stations. */
    @Benchmark
    public RunLevels turnAKnobOfTwentyStations() {
        position = (position + 0.0137) % 1;
        Flow turned = levels.rig().flow().turned(Map.of(Spot.read("effect-7.output"), position));
        SetupLevels now = levels.turned(levels.rig().with(turned));
        return now.run(now.traces().get(0));
    }

    /** The same with all that is plugged looked at anew, as the window does. */
    @Benchmark
    public RunLevels turnAKnobAndLookAtEverythingAnew() {
        position = (position + 0.0137) % 1;
        Settings settings = Settings.NONE.turned(Map.of(Spot.read("effect-7.output"), position));
        Rig rig = Rig.of(joints, patch, settings);
        SetupLevels now = levels.isTurned(rig, Wanted.USUAL) ? levels.turned(rig) : SetupLevels.of(rig, Wanted.USUAL);
        return now.run(now.traces().get(0));
    }

    /** Sixteen runs of six controls, each to a track of its own. */
    @Benchmark
    public Advised setSixteenRuns() {
        return GainAdviser.advise(apart, Wanted.USUAL);
    }

    /** The same, and all of them also to one mix that is heard. */
    @Benchmark
    public Advised setSixteenRunsWithAMix() {
        return GainAdviser.advise(mixed, Wanted.USUAL);
    }

    private static Flow desk(boolean isMixed) {
        List<Point> points = new ArrayList<>();
        List<Knob> knobs = new ArrayList<>();
        List<End> ends = new ArrayList<>();
        List<Feed> sends = new ArrayList<>();
        for (int run = 0; run < RUNS; run++) {
            double peak = -45 + 3 * run;
            String station = "channel " + run;
            Sound sound = Sound.played(
                    station, new SignalLevels(new Level(peak), new Level(peak - 12), new Level(peak - 75)), Gain.NONE);
            points.add(point(points, station, Optional.of(sound), knob(knobs, ControlKind.VOLUME, -40, 0), NONE, NONE));
            Taper pad = new SteppedTaper(List.of(new Gain(-20), new Gain(-10), Gain.NONE));
            points.add(point(points, station, Optional.empty(), add(knobs, ControlKind.PAD, pad), NONE, NONE));
            points.add(point(points, station, Optional.empty(), knob(knobs, ControlKind.GAIN, 0, 56), -127.0, 20.0));
            points.add(point(points, station, Optional.empty(), knob(knobs, ControlKind.TRIM, -20, 40), -105.0, 22.0));
            points.add(point(points, station, Optional.empty(), knob(knobs, ControlKind.FADER, -60, 10), -100.0, 22.0));
            int before = points.size() - 1;
            points.add(point(points, station, Optional.empty(), OptionalInt.empty(), -92.0, 18.0));
            ends.add(end(points.size() - 1, "track " + run));
            if (isMixed) {
                points.add(new Point(
                        PointId.of(new Spot("mixer", "send-" + run)),
                        station,
                        "send",
                        Optional.empty(),
                        List.of(Feed.of(before, 0)),
                        knob(knobs, ControlKind.LEVEL, -60, 10),
                        Gain.NONE,
                        Optional.empty(),
                        Level.SILENCE,
                        new Level(-100)));
                sends.add(Feed.of(points.size() - 1, 0));
            } else {
                knob(knobs, ControlKind.LEVEL, -60, 10);
            }
        }
        if (isMixed) {
            points.add(new Point(
                    PointId.of(new Spot("mixer", "mix")),
                    "mix",
                    "mix",
                    Optional.empty(),
                    sends,
                    OptionalInt.empty(),
                    Gain.NONE,
                    Optional.of(new Level(22)),
                    Level.SILENCE,
                    new Level(-88)));
            ends.add(end(points.size() - 1, "mix"));
        }
        return new Flow(points, knobs, ends);
    }

    private static final double NONE = Double.NaN;

    private static Point point(
            List<Point> points, String station, Optional<Sound> sound, OptionalInt knob, double noise, double ceiling) {
        return new Point(
                PointId.of(new Spot("p", String.valueOf(points.size()))),
                station,
                station,
                sound,
                sound.isPresent() ? List.of() : List.of(Feed.of(points.size() - 1, -0.5)),
                knob,
                Gain.NONE,
                Double.isNaN(ceiling) ? Optional.empty() : Optional.of(new Level(ceiling)),
                Double.isNaN(noise) ? Level.SILENCE : new Level(noise),
                new Level(-98));
    }

    private static OptionalInt knob(List<Knob> knobs, ControlKind kind, double lowest, double highest) {
        return add(knobs, kind, new LinearTaper(new Gain(lowest), new Gain(highest)));
    }

    private static OptionalInt add(List<Knob> knobs, ControlKind kind, Taper taper) {
        Control control = new Control(kind.word(), taper, Dial.USUAL, 0);
        knobs.add(new Knob(new Spot("desk", "k" + knobs.size()), "Desk", kind, Duty.of(kind), control, false, true));
        return OptionalInt.of(knobs.size() - 1);
    }

    private static End end(int point, String name) {
        return new End(
                point,
                name,
                OptionalInt.empty(),
                End.Kind.TRACK,
                new Level(18),
                -12,
                -6,
                End.Line.PEAK,
                OptionalInt.of(24));
    }
}
