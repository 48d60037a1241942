package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.Advised;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.listening.MicSound;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Print;

/**
 * The levels of all that is plugged in a setup. What is advised depends on what is plugged and not on where the knobs stand: it
 * stays while they are turned.
 */
public final class SetupLevels {
    /** Nobody hears less. */
    private static final double LEAST_COST_DB = 0.5;

    private final Rig rig;
    private final Wanted wanted;
    private final List<Trace> traces;
    private final FlowLevels levels;
    private final Advised advised;

    /** Once every knob stands as advised; looked for when it is first asked for. */
    private volatile FlowLevels onceAdvised;

    private final Quietest quietest;

    private List<LaterMix> laterMixes;

    /** With the least noise, whatever practice says; looked for when it is first asked for, by whatever thread. */
    private static final class Quietest {
        private volatile FlowLevels found;

        boolean isFound() {
            return found != null;
        }

        synchronized FlowLevels of(Rig rig, Wanted wanted) {
            if (found == null) {
                found = FlowLevels.of(GainAdviser.quietest(rig.flow(), wanted));
            }
            return found;
        }
    }

    private SetupLevels(Rig rig, Wanted wanted, List<Trace> traces, Advised advised, Quietest quietest) {
        this.rig = rig.with(asAdvised(rig.flow(), advised));
        this.wanted = wanted;
        this.traces = traces;
        this.levels = FlowLevels.of(this.rig.flow());
        this.advised = advised;
        this.quietest = quietest;
    }

    /** Knobs of which nobody said where they stand are shown where they should: what is not known is not judged. */
    private static Flow asAdvised(Flow flow, Advised advised) {
        return flow.withKnobs(knob -> advised.of(knob.id())
                .filter(turn -> knob.isMissed())
                .map(Turn::advised)
                .orElse(knob));
    }

    public static SetupLevels of(Rig rig, Wanted wanted) {
        return new SetupLevels(rig, wanted, Trace.all(rig), GainAdviser.advise(rig.flow(), wanted), new Quietest());
    }

    /** The same with the knobs elsewhere. */
    public SetupLevels turned(Rig newRig) {
        List<Turn> turns = advised.turns().stream()
                .map(turn -> new Turn(newRig.flow().knob(turn.present().id()).orElse(turn.present()), turn.position()))
                .toList();
        Advised stays = new Advised(turns, advised.hindrances(), advised.isProven());
        return new SetupLevels(newRig, wanted, traces, stays, quietest);
    }

    /** Whether nothing but the places of knobs differs. */
    public boolean isTurned(Rig other, Wanted otherWanted) {
        return wanted.equals(otherWanted)
                && rig.patch().equals(other.patch())
                && atRest(rig.flow()).equals(atRest(other.flow()));
    }

    /** Where a pan pot stands is a wish, and where a locked knob stands is given: what is advised depends on both. */
    private static Flow atRest(Flow flow) {
        return flow.withKnobs(knob -> (knob.isLocked() || knob.duty() == Duty.PAN ? knob : knob.at(0)).told(true));
    }

    public Rig rig() {
        return rig;
    }

    public Wanted wanted() {
        return wanted;
    }

    public FlowLevels levels() {
        return levels;
    }

    public Advised advised() {
        return advised;
    }

    /** Once every knob stands as advised. */
    public FlowLevels onceAdvised() {
        if (onceAdvised == null) {
            onceAdvised = FlowLevels.of(advised.followedOn(rig.flow()));
        }
        return onceAdvised;
    }

    /**
     * Of what is plugged, with the knobs as they stand.
     *
     * @param joints what comes of it
     */
    public static SetupLevels of(List<Checked> joints, Patch patch, Settings settings) {
        return of(Rig.of(joints, patch, settings), settings.wanted());
    }

    /** The runs of what is plugged. */
    public List<Trace> traces() {
        return traces;
    }

    /** Their names by the keys that takes know them by. */
    public Map<String, String> runNames() {
        return traces.stream().collect(Collectors.toMap(Trace::key, Trace::name, (one, other) -> one));
    }

    /** What is recorded on each track of a device, from the first on; empty names where nothing is. */
    public List<String> playedOn(String recorder) {
        List<String> names = new ArrayList<>();
        for (Trace trace : traces) {
            End end = rig.flow().ends().get(trace.path().end());
            boolean isThere = rig.flow().points().get(end.point()).station().equals(recorder);
            if (isThere && end.number().isPresent()) {
                int track = end.number().getAsInt();
                while (names.size() < track) {
                    names.add("");
                }
                String played = rig.played(trace.path());
                String others = String.join(" and ", trace.with());
                names.set(
                        track - 1,
                        others.isEmpty()
                                ? played
                                : rig.station(rig.flow()
                                                .points()
                                                .get(trace.path().source())) + " and " + others);
            }
        }
        return names;
    }

    /** The device that makes numbers of a run; empty where it is only heard. */
    public Optional<String> recorder(String key) {
        return trace(key)
                .filter(this::isRecorded)
                .map(trace -> rig.flow().ends().get(trace.path().end()))
                .map(end -> rig.flow().points().get(end.point()).station());
    }

    public Optional<Trace> trace(String key) {
        return traces.stream().filter(trace -> trace.key().equals(key)).findFirst();
    }

    /** How separate tracks are mixed afterwards. */
    public List<LaterMix> laterMixes() {
        if (laterMixes == null) {
            laterMixes = LaterMix.all(rig, wanted, onceAdvised());
        }
        return laterMixes;
    }

    /** Those for which somebody wants a balance. */
    public List<LaterMix> wishedMixes() {
        // Every turn of a knob asks, and hardly anybody wishes.
        return wanted.balanceDb().values().stream().allMatch(db -> db == 0)
                ? List.of()
                : laterMixes().stream().filter(mix -> mix.isWished(wanted)).toList();
    }

    /** Whether a run ends in a track; otherwise it is only heard. */
    public boolean isRecorded(Trace trace) {
        return rig.flow().ends().get(trace.path().end()).kind() == End.Kind.TRACK;
    }

    public LevelPlan plan(Trace trace) {
        return LevelPlan.of(trace, levels);
    }

    /** How loud it is at the microphone of a run; empty where there is none, or none of known sensitivity. */
    public Optional<MicSound> micSound(LevelPlan plan) {
        return RigRules.micSound(rig, plan);
    }

    /** All about one of the runs. */
    public RunLevels run(Trace trace) {
        LevelPlan plan = plan(trace);
        Advice advice = Advice.of(plan, advised);
        List<Finding> ofJoints = JointFindings.of(rig, plan);
        List<Finding> findings = new ArrayList<>(ofJoints);
        findings.addAll(LevelRules.check(plan, advice));
        findings.addAll(RigRules.check(rig, plan, wishedMixes()));
        findings.addAll(KnobRules.check(rig, plan, advice));
        findings.addAll(EarRules.check(rig, plan));
        return new RunLevels(
                plan,
                advice,
                Finding.worstFirst(findings),
                LevelVerdict.of(plan, advice, JointFindings.first(ofJoints)));
    }

    /** Whether that is told at once. */
    public boolean isCostKnown() {
        return quietest.isFound();
    }

    /**
     * What the advice costs a run against the least noise that its knobs could have: "The quietest setting would have 3.1 dB less
     * noise." The first time takes as long as advising does, and may be asked for on any thread.
     */
    public String costOfPractice(LevelPlan plan) {
        int end = plan.trace().path().end();
        FlowLevels practice = onceAdvised();
        double cost =
                quietest.of(rig, wanted).range(end).minus(practice.range(end)).db();
        return cost < LEAST_COST_DB || Double.isNaN(cost)
                ? "No other setting is quieter."
                : "The quietest setting would have " + Print.decimal(cost, 1) + " dB less noise.";
    }
}
