package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/**
 * What a run does with the controls where they stand, as a part of everything that is plugged.
 *
 * @param trace where it goes
 * @param levels of all that is plugged
 * @param stages in the order of the signal, from the source to the end
 */
public record LevelPlan(Trace trace, FlowLevels levels, List<StageLevel> stages) {
    public LevelPlan {
        stages = List.copyOf(stages);
    }

    /** Reads the lines along a run. */
    public static LevelPlan of(Trace trace, FlowLevels levels) {
        List<StageLevel> stages = new ArrayList<>();
        List<Integer> points = trace.path().points();
        for (int i = 0; i < points.size(); i++) {
            int at = points.get(i);
            int station = trace.stationOf().get(i);
            Point point = levels.flow().points().get(at);
            Gain feed = Gain.NONE;
            if (i > 0) {
                int before = points.get(i - 1);
                feed = feed(point, before);
                if (!levels.flow().points().get(before).station().equals(point.station())) {
                    stages.add(joint(trace, levels, before, at, jointBefore(trace, i), feed));
                    feed = Gain.NONE;
                }
            }
            boolean isEntering = i > 0 && trace.stationOf().get(i - 1) != station;
            if (isEntering || isWorthShowing(point, i, points.size())) {
                stages.add(stage(trace, levels, at, station, feed));
            }
        }
        return new LevelPlan(trace, levels, stages);
    }

    /** The joint in front of a point's station: the last one before it. */
    private static int jointBefore(Trace trace, int index) {
        int station = trace.stationOf().get(index);
        while (!trace.stations().get(station).isJoint()) {
            station--;
        }
        return station;
    }

    /** Parts that pass everything on as it is are left out. */
    private static boolean isWorthShowing(Point point, int index, int count) {
        return index == 0
                || index == count - 1
                || point.knob().isPresent()
                || point.ceiling().isPresent()
                || point.isBus()
                || point.gain().db() != 0
                || !point.inputNoise().isSilence()
                || !point.outputNoise().isSilence();
    }

    private static Gain feed(Point point, int from) {
        return point.feeds().stream()
                .filter(feed -> feed.from() == from)
                .map(Feed::gain)
                .max(Gain::compareTo)
                .orElse(Gain.NONE);
    }

    private static StageLevel joint(Trace trace, FlowLevels levels, int from, int to, int station, Gain loss) {
        RunStage stage = new RunStage(
                trace.stations().get(station).name(),
                station,
                to,
                OptionalInt.empty(),
                loss,
                Optional.empty(),
                Level.SILENCE);
        return new StageLevel(stage, levels.lines(from).plus(loss), 0);
    }

    private static StageLevel stage(Trace trace, FlowLevels levels, int at, int station, Gain feed) {
        Point point = levels.flow().points().get(at);
        RunStage stage = new RunStage(
                point.label(),
                station,
                at,
                point.knob(),
                feed.plus(levels.flow().gainAt(at)),
                point.ceiling(),
                levels.added(at));
        return new StageLevel(
                stage, levels.lines(at), levels.noiseShare(at, trace.path().end()));
    }

    // --- the run -------------------------------------------------------------------------------------------------

    public String name() {
        return trace.name();
    }

    /** The mark of who plays. */
    public String player() {
        return flow().points().get(trace.path().source()).sound().orElseThrow().player();
    }

    public Flow flow() {
        return levels.flow();
    }

    public End end() {
        return flow().ends().get(trace.path().end());
    }

    /** The controls along the run, in the order of the signal. */
    public List<Knob> knobs() {
        return trace.path().points().stream()
                .map(index -> flow().points().get(index).knob())
                .filter(OptionalInt::isPresent)
                .map(OptionalInt::getAsInt)
                .distinct()
                .map(flow().knobs()::get)
                .toList();
    }

    /** Those that make its level. */
    public List<Knob> levelKnobs() {
        return knobs().stream().filter(knob -> knob.duty() != Duty.PAN).toList();
    }

    /** Where its controls are known to stand, by their marks. */
    public Map<Spot, Double> positions() {
        Map<Spot, Double> positions = new LinkedHashMap<>();
        knobs().stream()
                .filter(knob -> !knob.isMissed())
                .forEach(knob -> positions.put(knob.id(), knob.control().position()));
        return positions;
    }

    /** The knobs of which nobody said where they stand: what is told of levels is how they will be once those are set as advised. */
    public List<Knob> missed() {
        return knobs().stream().filter(Knob::isMissed).toList();
    }

    /** With some controls turned, by their marks. */
    public LevelPlan turned(Map<Spot, Double> positions) {
        return of(trace, FlowLevels.of(flow().turned(positions)));
    }

    /** With its source found to be louder: its output can evidently give that much. */
    public LevelPlan louderBy(Gain gain) {
        Point source = flow().points().get(trace.path().source());
        Sound sound = source.sound().orElseThrow().louderBy(gain);
        Optional<Level> ceiling = source.ceiling()
                .map(most -> sound.levels().peak().compareTo(most) > 0 && gain.db() > 0
                        ? sound.levels().peak()
                        : most);
        Point louder = source.with(sound, ceiling);
        return of(trace, FlowLevels.of(flow().withPoint(trace.path().source(), louder)));
    }

    /** The part of the noise power at the end that comes from beside this run: from what meets it on a bus. */
    public double noiseOfOthers() {
        double own = stages.stream().mapToDouble(StageLevel::noiseShare).sum();
        return last().floor().isSilence() ? 0 : Math.max(0, 1 - own);
    }

    // --- its end -------------------------------------------------------------------------------------------------

    public boolean isRecorded() {
        return end().kind() == End.Kind.TRACK;
    }

    /** What the scale of the end counts in. */
    public String unit() {
        return isRecorded() ? "dBFS" : "dB SPL";
    }

    /** The loudest peak as the take should show it, if nothing clipped before; above 0 dBFS it will be cut off. */
    public double endPeak() {
        return end().onScale(last().peak());
    }

    /** The same while nobody else plays. */
    public double endPeakAlone() {
        return end().onScale(levels.peak(end().point(), player()));
    }

    /** The average; in a track re a full-scale sine. */
    public double endAverage() {
        return end().onScale(last().average());
    }

    /** The noise; in a track re a full-scale sine. */
    public double endFloor() {
        return end().onScale(last().floor());
    }

    /** The line that is aimed. */
    public double aimed() {
        return end().line() == End.Line.PEAK ? endPeak() : endAverage();
    }

    /** How far that line misses the aim: positive is too hot. */
    public Gain miss() {
        return end().miss(aimed());
    }

    /** Whether it does where it lies, in its aim or beside it. */
    public boolean isTolerated() {
        return end().isTolerated(aimed());
    }

    /** "−12…−6 dBFS". */
    public String aim() {
        return Print.plain(end().low()) + "…" + Print.plain(end().high()) + " " + unit();
    }

    /** A level on the end's scale with its unit: "−2.8 dBFS". */
    public String onScale(double value) {
        return Print.decimal(value, 1) + " " + unit();
    }

    // --- its stages ----------------------------------------------------------------------------------------------

    public StageLevel last() {
        return stages.get(stages.size() - 1);
    }

    public Station station(StageLevel stage) {
        return trace.stations().get(stage.stage().station());
    }

    /** The stage with the least headroom; the first of several. */
    public StageLevel nearestToClipping() {
        StageLevel nearest = stages.get(0);
        for (StageLevel stage : stages) {
            if (headroomDb(stage) < headroomDb(nearest)) {
                nearest = stage;
            }
        }
        return nearest;
    }

    /** The first stage that clips, if any. */
    public Optional<StageLevel> firstToClip() {
        return stages.stream().filter(StageLevel::clips).findFirst();
    }

    /** Where the signal leaves a station; where it passes nothing that is shown, the stage before. */
    public StageLevel leaving(int station) {
        return stages.stream()
                .filter(stage -> stage.stage().station() <= station)
                .reduce((before, after) -> after)
                .orElseThrow();
    }

    /** Where the signal comes into a station. */
    public StageLevel entering(int station) {
        return stages.stream()
                .filter(stage -> stage.stage().station() == station)
                .findFirst()
                .orElseGet(() -> leaving(station));
    }

    private static double headroomDb(StageLevel stage) {
        return stage.headroom().map(Gain::db).orElse(Double.POSITIVE_INFINITY);
    }
}
