package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.run.Run;
import kalodyne.core.run.SignalLevels;
import kalodyne.core.run.Station;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * What a run does with its controls where they stand.
 *
 * @param run the run
 * @param stages in the order of the signal, from the source to the track
 */
public record LevelPlan(Run run, List<StageLevel> stages) {
    public LevelPlan {
        stages = List.copyOf(stages);
    }

    /** Computes the lines along a run. */
    public static LevelPlan of(Run run) {
        List<Stage> stages = Stage.of(run);
        SignalLevels source = run.source().levels();
        Level peak = source.peak();
        Level average = source.average();
        Level[] peaks = new Level[stages.size()];
        Level[] averages = new Level[stages.size()];
        Level[] floors = new Level[stages.size()];
        Level floor = Level.SILENCE;
        for (int i = 0; i < stages.size(); i++) {
            Stage stage = stages.get(i);
            peak = peak.plus(stage.gain());
            average = average.plus(stage.gain());
            floor = floor.plus(stage.gain()).withUncorrelated(stage.noise());
            peaks[i] = peak;
            averages[i] = average;
            floors[i] = floor;
        }
        double[] shares = noiseShares(stages, floor);
        StageLevel[] levels = new StageLevel[stages.size()];
        for (int i = 0; i < levels.length; i++) {
            levels[i] = new StageLevel(stages.get(i), peaks[i], averages[i], floors[i], shares[i]);
        }
        return new LevelPlan(run, List.of(levels));
    }

    private static double[] noiseShares(List<Stage> stages, Level floorAtEnd) {
        double[] shares = new double[stages.size()];
        Gain behind = Gain.NONE;
        for (int i = stages.size() - 1; i >= 0; i--) {
            Stage stage = stages.get(i);
            double ratio = stage.noise().plus(behind).above(floorAtEnd).ratio();
            shares[i] = floorAtEnd.isSilence() ? 0 : ratio * ratio;
            behind = behind.plus(stage.gain());
        }
        return shares;
    }

    /** The loudest peak as the take should show it, if nothing clipped before; above 0 dBFS it will be cut off. */
    public DigitalLevel trackPeak() {
        return atTrack(track().peak());
    }

    /** The average in the track, re a full-scale sine. */
    public DigitalLevel trackAverage() {
        return atTrack(track().average());
    }

    /** The noise in the track, re a full-scale sine. */
    public DigitalLevel trackFloor() {
        return atTrack(track().floor());
    }

    /** How far the loudest peak misses the aim: positive is too hot. */
    public Gain miss() {
        return run.aim().miss(trackPeak());
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

    /** Where the signal enters a station. */
    public StageLevel first(Station.Part part) {
        return stages.stream()
                .filter(stage -> stage.stage().part() == part)
                .findFirst()
                .orElseThrow();
    }

    /** Where the signal leaves a station. */
    public StageLevel last(Station.Part part) {
        return stages.stream()
                .filter(stage -> stage.stage().part() == part)
                .reduce((before, after) -> after)
                .orElseThrow();
    }

    public StageLevel track() {
        return stages.get(stages.size() - 1);
    }

    private static double headroomDb(StageLevel stage) {
        return stage.headroom().map(Gain::db).orElse(Double.POSITIVE_INFINITY);
    }

    private DigitalLevel atTrack(Level level) {
        return DigitalLevel.of(level, run.converter().fullScale());
    }
}
