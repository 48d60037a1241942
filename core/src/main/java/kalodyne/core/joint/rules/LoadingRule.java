package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.SwitchedGear;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** An input that draws a source down: at the source's own socket less is left than there should be. */
final class LoadingRule implements JointRule {
    /** Ten times the source's impedance costs 0.8 dB; that ratio is common practice. Matched microphones lose more by habit. */
    private static final double NOTICEABLE_DB = 1.5;

    private static final double SERIOUS_DB = 6;

    /** As far down it is rather a short, or does not arrive at all. */
    private static final double SHORTED_DB = 20;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() != Carries.MIC)
                .filter(sounding -> joint.socket(sounding.socket()).signal() != SignalKind.SPEAKER)
                .filter(sounding -> joint.arrives(sounding) && !isTied(joint, sounding))
                .flatMap(sounding -> check(joint, sounding));
    }

    private static boolean isTied(Joint joint, OutputSignal sounding) {
        return joint.best(sounding)
                .filter(way -> joint.to(way.to()).stream()
                        .anyMatch(other -> !other.from().socket().equals(sounding.socket()) && !other.isLost()))
                .isPresent();
    }

    private static Stream<Finding> check(Joint joint, OutputSignal sounding) {
        boolean isDriver = joint.best(sounding)
                .filter(way -> joint.device(way.to().socket())
                        .facts()
                        .get(Fact.DRIVER_IMPEDANCE)
                        .isPresent())
                .isPresent();
        double loss =
                -Gain.ofRatio(joint.reading().own().get(sounding).magnitude()).db();
        boolean isPickup = joint.device(sounding.socket())
                .facts()
                .get(Fact.COIL_INDUCTANCE)
                .isPresent();
        SignalKind to =
                joint.socket(joint.best(sounding).orElseThrow().to().socket()).signal();
        // Small microphones work into inputs not much above their own impedance; they are made for that.
        boolean isMicrophone = joint.socket(sounding.socket()).signal() == SignalKind.MIC
                && (to == SignalKind.MIC || to == SignalKind.HEADSET)
                && loss < SERIOUS_DB;
        // Of a balanced pair half is left where one leg lies on the ground, which weighs nothing down.
        boolean isHalf =
                sounding.channel() == Carries.HOT && joint.contacts().isOnGround(sounding.socket(), Carries.COLD);
        if (isHalf
                || isDriver
                || isMicrophone
                || loss < NOTICEABLE_DB
                || loss > SHORTED_DB
                || (isPickup && loss < 2 * NOTICEABLE_DB)) {
            return Stream.empty();
        }
        Spot input = joint.best(sounding).orElseThrow().to().socket();
        return Joint.found(
                FindingCode.JOINT_LOADING,
                loss >= SERIOUS_DB ? Severity.WRONG : Severity.WEAK,
                input,
                new Figure(loss, "dB"),
                "The input loads the source too heavily",
                "Lead and input take " + Print.decimal(loss, 1) + " dB from " + joint.name(sounding.socket()) + " at "
                        + joint.name(input) + (isPickup ? ", and its treble." : "."),
                cure(joint, sounding.socket(), input));
    }

    /** What helps where an input weighs a source down. */
    static String cure(Joint joint, Spot from, Spot input) {
        boolean isInstrument = joint.socket(from).signal() == SignalKind.INSTRUMENT;
        Optional<DeviceControl> control =
                SwitchedGear.towards(joint.device(input), joint.socket(input), SignalKind.INSTRUMENT);
        return isInstrument && control.isPresent()
                ? "Switch " + control.get().name() + " of "
                        + joint.device(input).name() + " to “" + SignalKind.INSTRUMENT.word() + "”, or use a DI box"
                : "Use an input with a higher impedance, or a DI box";
    }
}
