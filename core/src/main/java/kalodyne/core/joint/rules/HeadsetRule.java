package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.JointReading.Direct;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Print;

/**
 * Whether a phone notices a microphone in its four-pole socket: it looks at the direct resistance on its microphone contact.
 * Android's wired headset specification asks for 1 kΩ or more (from memory); most phones let some hundreds pass.
 */
final class HeadsetRule implements JointRule {
    private static final double SHORT_OHMS = 500;
    private static final double SURE_OHMS = 1000;
    private static final double OPEN_OHMS = 50_000;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots()
                .filter(spot -> joint.socket(spot).signal() == SignalKind.HEADSET
                        && joint.has(spot, PowerKind.PLUG_IN, PowerRole.GIVES))
                .flatMap(spot -> joint.socket(spot).contacts().entrySet().stream()
                        .filter(entry -> entry.getValue() == Carries.MIC)
                        .flatMap(entry -> check(joint, spot, entry.getKey())));
    }

    private static Stream<Finding> check(Joint joint, Spot phone, Contact mic) {
        Direct direct = joint.reading().atRest().get(phone).get(mic);
        double drawn = -direct.amperes();
        double ohms = drawn <= 0 ? Double.POSITIVE_INFINITY : direct.volts() / drawn;
        boolean isMicMeant = joint.circuit().soundings().stream()
                .anyMatch(sounding -> !sounding.socket().item().equals(phone.item()));
        if (ohms < SURE_OHMS) {
            return Joint.found(
                    FindingCode.HEADSET_MIC_SHORTED,
                    ohms < SHORT_OHMS ? Severity.WRONG : Severity.WEAK,
                    phone,
                    new Figure(ohms, "Ω"),
                    "The phone keeps its own microphone",
                    "On its microphone contact it sees " + Print.prefixed(ohms, "Ω")
                            + ", as with plain headphones; from about 1 kΩ up it switches to what is plugged in.",
                    "Use a four-pole plug in the phone's order, with 1 kΩ or more on the microphone contact");
        }
        return ohms > OPEN_OHMS && isMicMeant
                ? Joint.found(
                        FindingCode.HEADSET_MIC_OPEN,
                        Severity.WEAK,
                        phone,
                        new Figure(Math.min(ohms, 1e9), "Ω"),
                        "The phone may not detect this",
                        "Hardly any current flows through its microphone contact; many phones then stay on their own microphone.",
                        "Use an adapter with 1 to 2 kΩ across the microphone contact")
                : Stream.empty();
    }
}
