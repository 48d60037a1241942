package kalodyne.core.takes.verdict;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.causes.Inquiry;

/**
 * What a take is judged by besides itself.
 *
 * @param now the run with its controls where they stand now
 * @param wanted how the controls should be set
 * @param whenRecorded where they stood when the take was made
 * @param joints those of the run; empty where nothing is known of them
 * @param second the run of the file's second channel, where that is known
 * @param reference another take of the same player, to compare with
 * @param tried what was tried to find the cause of what is wrong, first to last
 */
public record TakeContext(
        LevelPlan now,
        Wanted wanted,
        Map<Spot, Double> whenRecorded,
        List<Checked> joints,
        Optional<LevelPlan> second,
        Optional<TakeReport> reference,
        List<Inquiry.Tried> tried) {
    public TakeContext {
        whenRecorded = Map.copyOf(whenRecorded);
        joints = List.copyOf(joints);
        tried = List.copyOf(tried);
    }

    /** The run and nothing besides. */
    public static TakeContext of(LevelPlan now, Wanted wanted, Map<Spot, Double> whenRecorded) {
        return new TakeContext(now, wanted, whenRecorded, List.of(), Optional.empty(), Optional.empty(), List.of());
    }

    /**
     * A run of what is plugged, with what is known of its joints and of the track beside it.
     *
     * @param joints all that is plugged
     */
    public static TakeContext of(
            SetupLevels levels, Trace trace, Map<Spot, Double> whenRecorded, List<Checked> joints) {
        LevelPlan plan = levels.plan(trace);
        return new TakeContext(
                plan,
                levels.wanted(),
                whenRecorded,
                new RunJoints(plan).among(joints),
                beside(levels, plan.end()),
                Optional.empty(),
                List.of());
    }

    /** The run of the next track of the same recorder. */
    private static Optional<LevelPlan> beside(SetupLevels levels, End end) {
        Flow flow = levels.levels().flow();
        return levels.traces().stream()
                .filter(other -> {
                    End its = flow.ends().get(other.path().end());
                    return its.kind() == End.Kind.TRACK
                            && its.number().isPresent()
                            && its.number().getAsInt() - 1 == end.number().orElse(-1)
                            && station(flow, its).equals(station(flow, end));
                })
                .findFirst()
                .map(levels::plan);
    }

    private static String station(Flow flow, End end) {
        return flow.points().get(end.point()).station();
    }

    /** The same with another take to compare with. */
    public TakeContext with(Optional<TakeReport> newReference) {
        return new TakeContext(now, wanted, whenRecorded, joints, second, newReference, tried);
    }

    /** The same with what was tried. */
    public TakeContext with(List<Inquiry.Tried> newTried) {
        return new TakeContext(now, wanted, whenRecorded, joints, second, reference, newTried);
    }

    /** The run as it was when the take was made. */
    LevelPlan predicted() {
        return now.turned(whenRecorded);
    }

    /** The devices that the run passes; empty where nothing is known of them. */
    List<Device> devices() {
        return now.trace().marks().stream()
                .flatMap(Optional::stream)
                .distinct()
                .flatMap(mark -> joints.stream()
                        .map(joint -> joint.patch().devices().get(mark))
                        .filter(device -> device != null)
                        .limit(1))
                .toList();
    }

    /** Whether some rule on joints found this in one of the run's. */
    boolean found(FindingCode code) {
        return joints.stream()
                .flatMap(joint -> joint.findings().stream())
                .anyMatch(finding -> finding.code().equals(code));
    }
}
