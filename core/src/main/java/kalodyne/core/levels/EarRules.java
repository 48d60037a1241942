package kalodyne.core.levels;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Usual;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.listening.Crossover;
import kalodyne.core.levels.listening.Damping;
import kalodyne.core.levels.listening.Exposure;
import kalodyne.core.levels.listening.Howling;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Frequency;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.MicSensitivity;
import kalodyne.core.units.Print;

/** What there is to say about what is heard: by ears, and by microphones that hear the loudspeakers. */
final class EarRules extends RunFindings {
    private static final double UNBEARABLE_DB = 100;

    /** So far from howling nothing is heard of it; common practice. */
    private static final double SAFE_DB = -20;

    private EarRules(Rig rig, LevelPlan plan) {
        super(rig, plan);
    }

    static List<Finding> check(Rig rig, LevelPlan plan) {
        EarRules rules = new EarRules(rig, plan);
        if (!plan.isRecorded()) {
            rules.exposure();
            rules.full();
            rules.damping();
            rules.crossover();
        }
        rules.howling();
        return rules.findings();
    }

    private int end() {
        return plan.last().stage().station();
    }

    private static Figure sound(double db) {
        return new Figure(db, "dB SPL");
    }

    private void exposure() {
        double average = plan.endAverage();
        if (average < Exposure.WEEKLY_DB) {
            return;
        }
        Severity severity = average >= UNBEARABLE_DB || plan.endPeak() >= Exposure.PEAK_DB
                ? Severity.HARM
                : average >= Exposure.AT_WORK_DB ? Severity.WRONG : Severity.WEAK;
        add(
                FindingCode.EARS_EXPOSURE,
                severity,
                end(),
                sound(average),
                "Loud for ears",
                "At " + Print.decimal(average, 0) + " dB a week's allowance (ITU-T H.870) is used up in "
                        + Exposure.words(Exposure.hoursAWeek(average)) + ", a day's (NIOSH 98-126) in "
                        + Exposure.words(Exposure.hoursADay(average)) + ".",
                "Turn down what you listen with; the recording stays as it is");
    }

    /** With every knob on the way at its highest: what comes out when somebody does not look. */
    private void full() {
        Map<Spot, Double> up = new HashMap<>();
        plan.levelKnobs().forEach(knob -> up.put(knob.id(), 1.0));
        double most = plan.turned(up).endAverage();
        if (most >= UNBEARABLE_DB && plan.endAverage() < UNBEARABLE_DB) {
            add(
                    FindingCode.EARS_FULL,
                    Severity.NOTE,
                    end(),
                    sound(most),
                    "It can get far too loud",
                    "With every knob fully up it is " + Print.decimal(most, 0)
                            + " dB SPL on average. Turn down before you put anything on your ears.",
                    "");
        }
    }

    private void damping() {
        List<Integer> points = plan.trace().path().points();
        Optional<Double> driver = device(plan.flow().points().get(points.get(points.size() - 1)))
                .filter(device -> device.facts().get(Fact.SOUND_PER_MILLIWATT).isPresent())
                .flatMap(device -> device.facts().quantity(Fact.DRIVER_IMPEDANCE))
                .map(Impedance::ohms)
                .filter(ohms -> ohms > 0);
        if (driver.isEmpty() || points.size() < 2) {
            return;
        }
        Point output = plan.flow().points().get(points.get(points.size() - 2));
        Optional<Double> ohms = device(output)
                .flatMap(device -> device.socket(part(output)).map(socket -> Usual.sourceOhms(device, socket)));
        if (ohms.isEmpty()) {
            return;
        }
        Damping damping = Damping.of(driver.get(), ohms.get());
        if (!damping.isEnough()) {
            add(
                    FindingCode.HEADPHONES_DAMPING,
                    damping.factor() < 2 ? Severity.WEAK : Severity.NOTE,
                    end(),
                    new Figure(damping.factor(), "times"),
                    "Weakly damped headphones",
                    "They have " + Print.decimal(damping.factor(), 1)
                            + " times the impedance of this output, 8 times or more is good."
                            + " Their resonance may stand out by up to "
                            + Print.decimal(damping.colouration().db(), 1) + " dB.",
                    "Judge bass on other headphones or on speakers");
        }
    }

    /** Of "interface.phones:left" the part: "phones". */
    private static String part(Point point) {
        return point.id().spot().part();
    }

    // --- subwoofer -----------------------------------------------------------------------------------------------

    private void crossover() {
        for (int index : plan.trace().path().points()) {
            Point point = plan.flow().points().get(index);
            Optional<Stage> stage = stage(point).filter(each -> each.kind() == StageKind.CROSSOVER);
            if (stage.isPresent()) {
                crossover(point.station(), stage.get());
                return;
            }
        }
    }

    private void crossover(String subwoofer, Stage stage) {
        Optional<DeviceControl> knob =
                Optional.ofNullable(rig.patch().devices().get(subwoofer)).flatMap(Crossover::control);
        Optional<String> standing = knob.flatMap(control -> rig.patch().standing(new Spot(subwoofer, control.id())));
        if (standing.isPresent() && Crossover.read(standing.get()).isEmpty()) {
            // Bypassed, nothing is taken over.
            return;
        }
        Crossover crossover = standing.flatMap(Crossover::read)
                .or(() -> stage.facts()
                        .quantity(Fact.CROSSOVER)
                        .map(Frequency::hertz)
                        .filter(hertz -> hertz > 0)
                        .map(Crossover::new))
                .orElse(Crossover.USUAL);
        int station = station(subwoofer).orElse(end());
        double lowest = device(plan.flow().points().get(plan.end().point()))
                .map(Crossover::lowest)
                .orElse(0.0);
        double hertz = crossover.hertz();
        if (lowest > hertz) {
            add(
                    FindingCode.SUB_GAP,
                    Severity.WEAK,
                    station,
                    new Figure(lowest, "Hz"),
                    "A gap above the subwoofer",
                    "The speakers go down to " + Print.decimal(lowest, 0) + " Hz, the subwoofer only up to "
                            + Print.decimal(hertz, 0) + " Hz.",
                    "Set its crossover to " + Print.decimal(Math.min(Crossover.HIGHEST_HERTZ, lowest), 0) + " Hz");
        } else if (hertz > Crossover.HIGHEST_HERTZ) {
            add(
                    FindingCode.SUB_HIGH,
                    Severity.WEAK,
                    station,
                    new Figure(hertz, "Hz"),
                    "The subwoofer reaches too high",
                    "Above 120 Hz you can hear where it is. 80 Hz is usual.",
                    "Set its crossover to 80 Hz, 120 Hz at the most");
        } else {
            add(
                    FindingCode.SUB_CROSSOVER,
                    Severity.NOTE,
                    station,
                    new Figure(hertz, "Hz"),
                    "The subwoofer takes over at " + Print.decimal(hertz, 0) + " Hz",
                    "There each is 6 dB down, and together they add up flat (Linkwitz–Riley, 4th order). A metre farther away is "
                            + Print.decimal(Crossover.delayMilliseconds(1), 1) + " ms late; up to "
                            + Print.decimal(crossover.mostMetresApart(), 1) + " m do not matter.",
                    "");
        }
    }

    // --- howling -------------------------------------------------------------------------------------------------

    /** Of the microphone of this run to every loudspeaker that it is heard on; for what is listened to, of every microphone. */
    private void howling() {
        FlowLevels levels = plan.levels();
        Flow flow = plan.flow();
        for (Flow.Run run : flow.runs()) {
            boolean isOfThis = plan.isRecorded()
                    ? run.source() == plan.trace().path().source()
                    : run.end() == plan.trace().path().end();
            End end = flow.ends().get(run.end());
            Point source = flow.points().get(run.source());
            Optional<Device> microphone = device(source).filter(device -> device.kind() == DeviceKind.MICROPHONE);
            Optional<Device> speaker = device(flow.points().get(end.point()))
                    .filter(device -> isOfThis && device.kind() == DeviceKind.SPEAKER);
            if (speaker.isPresent() && microphone.isPresent()) {
                microphone
                        .get()
                        .facts()
                        .quantity(Fact.MIC_SENSITIVITY)
                        .ifPresent(sensitivity -> howling(levels, run, microphone.get(), speaker.get(), sensitivity));
            }
        }
    }

    private void howling(
            FlowLevels levels, Flow.Run run, Device microphone, Device speaker, MicSensitivity sensitivity) {
        End end = plan.flow().ends().get(run.end());
        // The microphone is taken to be where somebody listens, as nobody said.
        Howling howling = Howling.of(sensitivity, levels.gain(run.source(), end.point()), end.zero());
        if (howling.gain().db() < SAFE_DB) {
            return;
        }
        int station = plan.isRecorded() ? 0 : end();
        double metres = rig.metres(plan.flow().points().get(end.point()).station());
        add(
                FindingCode.GAIN_FEEDBACK,
                howling.howls() ? Severity.HARM : howling.rings() ? Severity.WRONG : Severity.WEAK,
                station,
                LevelRules.decibels(howling.gain().db()),
                howling.howls() ? "It will howl" : howling.rings() ? "Close to howling" : "It can howl",
                microphone.name() + " hears " + speaker.name() + ": at " + Print.decimal(metres, 1)
                        + " m the loop gain is " + Print.signed(howling.gain().db(), 1) + " dB; it howls from 0 dB up.",
                "Listen on headphones, or turn the speakers down by "
                        + Print.decimal(Math.ceil(howling.gain().db() - SAFE_DB), 0)
                        + " dB");
    }
}
