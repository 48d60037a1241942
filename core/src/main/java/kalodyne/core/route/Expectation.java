package kalodyne.core.route;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.Advised;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.GainAdviser;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.levels.rig.Monitoring;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;

/** What comes of a way once it is plugged and every control stands as advised: the same rig, advice and lines as in Levels. */
final class Expectation {
    private final Flow flow;
    private final Advised advised;
    private final FlowLevels levels;
    private final Supplier<Monitoring> monitoring;

    private Expectation(Flow flow, Advised advised, Supplier<Monitoring> monitoring) {
        this.flow = flow;
        this.advised = advised;
        this.levels = FlowLevels.of(advised.followedOn(flow));
        this.monitoring = monitoring;
    }

    /**
     * Of all that is plugged then.
     *
     * @param target what it is to be recorded by; of a mixer that records nothing, what it gathers counts
     */
    static Expectation of(List<Checked> joints, Patch patch, String target, Settings settings) {
        return of(Rig.recordedBehind(target, joints, patch, settings), joints, patch, settings);
    }

    /** Of what is only heard. */
    static Expectation ofHearing(List<Checked> joints, Patch patch, Settings settings) {
        return of(Rig.of(joints, patch, settings), joints, patch, settings);
    }

    private static Expectation of(Rig rig, List<Checked> joints, Patch patch, Settings settings) {
        return new Expectation(
                rig.flow(),
                GainAdviser.advise(rig.flow(), settings.wanted()),
                () -> Monitoring.of(joints, patch, settings));
    }

    /**
     * What is heard of a player, or of all, on its scale from the loudest peak down; the noisiest of what it is heard on.
     *
     * @param devices what it is heard on
     */
    Optional<Prediction> heardOn(Optional<String> player, Set<String> devices) {
        return flow.runs().stream()
                .filter(run -> player.map(flow.points().get(run.source()).station()::equals)
                        .orElse(true))
                .filter(run -> devices.contains(
                        flow.points().get(flow.ends().get(run.end()).point()).station()))
                .map(this::prediction)
                .map(each -> each.fromThePeakDown())
                .min(Comparator.comparingDouble(Prediction::rangeDb));
    }

    /** Where the controls should stand. */
    List<Turn> turns() {
        return advised.turns();
    }

    /** Whether what is recorded is heard without going through the computer; so is what nobody listens to. */
    boolean isDirect(Set<String> heardOn) {
        return heardOn.isEmpty() || monitoring.get().isDirect(heardOn);
    }

    /** What is recorded of a source, on the hottest of its tracks; empty where it does not arrive, or nobody knows how it gets there. */
    Optional<Prediction> of(String source, String recorder, Track track) {
        return flow.runs().stream()
                .filter(run -> isOf(run, source, recorder, track))
                .map(this::prediction)
                .max(Comparator.comparing(Prediction::peak));
    }

    private boolean isOf(Flow.Run run, String source, String recorder, Track track) {
        End end = flow.ends().get(run.end());
        Point first = flow.points().get(run.source());
        String converting = flow.points().get(end.point()).station();
        return end.kind() == End.Kind.TRACK
                && first.station().equals(source)
                && converting.equals(track.sender().orElse(recorder))
                && (!converting.equals(source)
                        || first.sound().filter(sound -> !sound.isPlayback()).isPresent())
                // What sounds by itself is sent on whichever channels it is.
                && (track.channels().isEmpty()
                        || converting.equals(source)
                        || track.channels().stream()
                                .anyMatch(channel -> end.number().equals(OptionalInt.of(channel))));
    }

    private double fadersAdd(Flow.Run run) {
        return run.points().stream()
                .map(point -> flow.points().get(point).knob())
                .filter(OptionalInt::isPresent)
                .flatMap(knob -> advised.of(flow.knobs().get(knob.getAsInt()).id()).stream())
                .map(Turn::advised)
                .distinct()
                .filter(knob -> knob.kind().isVolume())
                .mapToDouble(knob -> Math.max(0, knob.gain().db()))
                .sum();
    }

    private Prediction prediction(Flow.Run run) {
        End end = flow.ends().get(run.end());
        double over = run.points().stream()
                .flatMap(point -> levels.headroom(point).stream())
                .mapToDouble(Gain::db)
                .min()
                .orElse(0);
        return new Prediction(
                new DigitalLevel(end.onScale(levels.peak(end.point()))),
                new DigitalLevel(end.onScale(levels.floor(end.point()))),
                Math.max(0, -over),
                fadersAdd(run));
    }
}
