package kalodyne.core.levels;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.listening.MicSound;
import kalodyne.core.levels.rig.Doubt;
import kalodyne.core.levels.rig.Loop;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.ThermalNoise;

/** What there is to say about a run as a part of all that is plugged. */
final class RigRules extends RunFindings {
    /** Closer to howling than this, a loop rings; common practice. */
    private static final double RINGS_DB = -6;

    /** Nobody hears less. */
    private static final double LEAST_LOST_DB = 1;

    private RigRules(Rig rig, LevelPlan plan) {
        super(rig, plan);
    }

    /**
     * All of it.
     *
     * @param wished the mixes to come for which somebody wants a balance
     */
    static List<Finding> check(Rig rig, LevelPlan plan, List<LaterMix> wished) {
        RigRules rules = new RigRules(rig, plan);
        rules.playing();
        rules.loops();
        rules.cancelling();
        rules.automatic();
        rules.panned();
        rules.together();
        rules.laterMix(wished);
        rules.tooGoodToBeTrue();
        rules.doubts();
        return rules.findings();
    }

    /** For what the level of a microphone holds. */
    private void playing() {
        micSound(rig, plan)
                .ifPresent(sound -> add(
                        FindingCode.LEVEL_PLAYING,
                        Severity.NOTE,
                        0,
                        new Figure(sound.peakDb(), "dB SPL"),
                        "For playing as loud as it will get",
                        "It holds for peaks of " + Print.decimal(sound.peakDb(), 0) + " dB SPL at the microphone: "
                                + sound.words() + ". Twice as far is 6 dB less.",
                        ""));
    }

    /** How loud it is at the microphone of a run; empty where there is none, or none of known sensitivity. */
    static Optional<MicSound> micSound(Rig rig, LevelPlan plan) {
        Point source = plan.flow().points().get(plan.trace().path().source());
        return Optional.ofNullable(rig.patch().devices().get(source.station()))
                .filter(device -> plan.isRecorded() && plan.trace().isOfMicrophone())
                .flatMap(device -> device.facts().quantity(Fact.MIC_SENSITIVITY))
                .map(sensitivity -> MicSound.of(
                        sensitivity, source.sound().orElseThrow().levels().peak()));
    }

    private void loops() {
        for (Loop loop : rig.loops()) {
            loop.points().stream()
                    .map(point -> point.spot().item())
                    .flatMap(device -> station(device).stream())
                    .findFirst()
                    .ifPresent(station -> loop(loop, station));
        }
    }

    private void loop(Loop loop, int station) {
        double db = loop.gain().db();
        boolean howls = db >= 0;
        boolean rings = db > RINGS_DB;
        add(
                FindingCode.GAIN_LOOP,
                howls ? Severity.HARM : rings ? Severity.WRONG : Severity.WEAK,
                station,
                LevelRules.decibels(Math.max(-200, db)),
                howls ? "It will howl" : "A signal comes back to where it was",
                "Loop gain: " + Print.signed(Math.max(-200, db), 1)
                        + " dB. From 0 dB on it howls, from −6 dB on it rings.",
                "Take the return out of the mix that feeds it, or turn its level down");
    }

    /** Left and right of one source that meet the wrong way round, as in a balanced input. */
    private void cancelling() {
        for (StageLevel stage : plan.stages()) {
            Point point = plan.flow().points().get(stage.stage().point());
            Set<String> straight = new HashSet<>();
            Set<String> upside = new HashSet<>();
            for (Feed feed : point.feeds()) {
                Point from = plan.flow().points().get(feed.from());
                from.sound().ifPresent(sound -> (feed.isInverted() ? upside : straight).add(sound.player()));
            }
            straight.retainAll(upside);
            if (!straight.isEmpty() && !plan.station(stage).isJoint()) {
                add(
                        FindingCode.LEVEL_CANCELS,
                        Severity.WRONG,
                        stage.stage().station(),
                        LevelRules.decibels(plan.endPeak()),
                        "Left and right cancel here",
                        LevelRules.words(plan, stage)
                                + " takes the difference of both: the centre cancels (voice and bass vanish), and no level is right.",
                        "Take left and right to two inputs, or one of them only");
                return;
            }
        }
    }

    /** Of what may be on. */
    private void automatic() {
        String recorder = plan.flow().points().get(plan.end().point()).station();
        Device device = rig.patch().devices().get(recorder);
        if (!plan.isRecorded() || device == null) {
            return;
        }
        rig.patch().automaticLevel(recorder).ifPresent(control -> automatic(recorder, device, control));
    }

    private void automatic(String recorder, Device device, DeviceControl control) {
        boolean isOn = rig.patch().position(recorder, control).isPresent();
        add(
                FindingCode.LEVEL_AUTOMATIC,
                isOn ? Severity.WEAK : Severity.NOTE,
                plan.last().stage().station(),
                LevelRules.decibels(plan.endPeak()),
                isOn ? "It sets the level by itself" : "It may set the level by itself",
                device.name() + " has automatic level control. While it is on, no knob decides, and pauses get noisy.",
                "Set the " + control.name() + " to “" + control.positions().get(0) + "”" + evenly(recorder));
    }

    /** Where it cannot be switched off it does the least harm while it has nothing to do. */
    private String evenly(String recorder) {
        return station(recorder)
                .filter(station -> station > 0)
                .map(station -> plan.entering(station).peak())
                .map(peak -> ". Where it cannot be, play evenly and send no more than " + peak + " at its input")
                .orElse("");
    }

    /** Turned to one side while only the other one is recorded. */
    private void panned() {
        for (Knob pan : plan.knobs()) {
            if (plan.isRecorded() && pan.duty() == Duty.PAN) {
                double lost = pan.at(PanTaper.CENTRE).gain().minus(pan.gain()).db();
                if (lost > LEAST_LOST_DB && !isOtherSideRecorded(pan)) {
                    panned(pan, lost);
                }
            }
        }
    }

    private boolean isOtherSideRecorded(Knob pan) {
        Flow flow = plan.flow();
        return IntStream.range(0, flow.points().size())
                .filter(i -> flow.points().get(i).knob().isPresent())
                .filter(i -> {
                    Knob knob = flow.knobs().get(flow.points().get(i).knob().getAsInt());
                    return knob.id().equals(pan.id()) && !knob.equals(pan);
                })
                .anyMatch(i -> flow.ends().stream()
                        .anyMatch(end -> end.kind() == End.Kind.TRACK && flow.leads(i, end.point())));
    }

    private void panned(Knob pan, double lost) {
        String side = PanTaper.words(pan.control().position());
        add(
                FindingCode.LEVEL_PANNED,
                Severity.WEAK,
                station(pan.id().item()).orElse(0),
                LevelRules.decibels(lost),
                "Turned away from the side that is recorded",
                Print.startingSentence(pan.words()) + " stands " + side + ", and only the other side is recorded: "
                        + Print.decimal(lost, 1) + " dB are lost. What is recorded in mono stands in the centre.",
                Optional.of(new Remedy(
                        "Turn " + pan.words() + " to the centre, "
                                + pan.at(PanTaper.CENTRE).control().clock(),
                        Map.of(pan.id().write(), PanTaper.CENTRE))));
    }

    /** How separate tracks are mixed, where a balance is wished. */
    private void laterMix(List<LaterMix> wished) {
        wished.stream()
                .filter(mix -> plan.isRecorded() && mix.of(plan.player()).isPresent())
                .findFirst()
                .ifPresent(mix -> add(
                        FindingCode.LEVEL_BALANCE,
                        Severity.NOTE,
                        plan.last().stage().station(),
                        LevelRules.decibels(plan.endPeak()),
                        "The balance is made in the mix",
                        "Each track is recorded as loud as it should be. For the balance that you want, set the faders of the mix"
                                + " afterwards: " + mix.words() + ".",
                        ""));
    }

    /** Whoever plays loudest in the same moment as everybody else. */
    private void together() {
        FlowLevels levels = plan.levels();
        for (StageLevel stage : plan.stages()) {
            int point = stage.stage().point();
            if (plan.station(stage).isJoint() || stage.stage().ceiling().isEmpty() || stage.clips()) {
                continue;
            }
            double over =
                    levels.worstPeak(point).above(stage.stage().ceiling().get()).db();
            if (over > 0) {
                add(
                        FindingCode.LEVEL_TOGETHER,
                        Severity.NOTE,
                        stage.stage().station(),
                        LevelRules.decibels(over),
                        "May clip if everyone peaks together",
                        LevelRules.words(plan, stage) + " clips by " + Print.decimal(over, 1)
                                + " dB if all players peak in one moment, at the resonance of their leads.",
                        "");
                return;
            }
        }
    }

    /** A noise figure that is better than the resistance of a microphone allows. */
    private void tooGoodToBeTrue() {
        Level possible = ThermalNoise.of(ThermalNoise.RATED_SOURCE);
        for (StageLevel each : plan.stages()) {
            Point point = plan.flow().points().get(each.stage().point());
            Optional<Level> rated = stage(point)
                    .flatMap(stage -> stage.facts().quantity(Fact.INPUT_NOISE))
                    .filter(noise -> noise.compareTo(possible) < 0);
            if (rated.isPresent()) {
                add(
                        FindingCode.NOISE_IMPOSSIBLE,
                        Severity.NOTE,
                        each.stage().station(),
                        new Figure(rated.get().dbu(), "dBu"),
                        "A noise figure that is too good to be true",
                        rated.get() + " is less than the " + possible
                                + " of thermal noise that 150 Ω makes. It may be A-weighted or measured with the input shorted.",
                        "");
                return;
            }
        }
    }

    private void doubts() {
        for (Doubt doubt : rig.doubts()) {
            station(doubt.at().item())
                    .ifPresent(station -> add(
                            doubt.isContradiction() ? FindingCode.VALUE_CONTRADICTION : FindingCode.VALUE_UNKNOWN,
                            doubt.isContradiction() ? Severity.WEAK : Severity.NOTE,
                            station,
                            LevelRules.decibels(plan.levels()
                                    .spread(plan.trace().path().end())
                                    .db()),
                            doubt.isContradiction() ? "Two values cannot both be right" : "Not known",
                            doubt.words(),
                            doubt.isContradiction()
                                    ? "Correct it on the shelf"
                                    : "Record a test take and let it correct this, or type the value in"));
        }
    }
}
