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
import kalodyne.core.units.Computed;

/**
 * Whether a phone notices a microphone in its four-pole socket: it looks at the direct resistance on its microphone contact.
 * Android's wired headset specification asks for 1 kΩ or more (from memory); most phones let some hundreds pass, and makers differ. It
 * is asked only where a microphone or a line is to be recorded through the socket: earphones are no fault.
 */
final class HeadsetRule implements JointRule {
    private static final double SHORT_OHMS = 500;
    private static final double SURE_OHMS = 1000;
    private static final double OPEN_OHMS = 50_000;

    /** Less is the resistance of wires and contacts. */
    private static final double PLAIN_OHMS = 5;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots()
                .filter(spot -> joint.socket(spot).signal() == SignalKind.HEADSET
                        && joint.has(spot, PowerKind.PLUG_IN, PowerRole.GIVES))
                .filter(spot -> joint.circuit().soundings().stream()
                        .anyMatch(sounding -> !sounding.socket().item().equals(spot.item())))
                .flatMap(spot -> joint.socket(spot).contacts().entrySet().stream()
                        .filter(entry -> entry.getValue() == Carries.MIC)
                        .flatMap(entry -> check(joint, spot, entry.getKey())));
    }

    private static Stream<Finding> check(Joint joint, Spot phone, Contact mic) {
        Direct direct = joint.reading().atRest().get(phone).get(mic);
        double drawn = -direct.amperes();
        double ohms = drawn <= 0 ? Double.POSITIVE_INFINITY : direct.volts() / drawn;
        // A microphone that must be fed is told of by its missing power; here it is like one that does not arrive.
        boolean arrives = joint.circuit().hearings().stream()
                .filter(hearing -> hearing.socket().equals(phone) && hearing.channel() == Carries.MIC)
                .flatMap(hearing -> joint.to(hearing).stream())
                .anyMatch(way -> !way.isLost() && !joint.has(way.from().socket(), PowerKind.PLUG_IN, PowerRole.NEEDS));
        if (ohms < SURE_OHMS) {
            return shorted(phone, ohms, arrives);
        }
        return ohms > OPEN_OHMS
                ? Joint.found(
                        FindingCode.HEADSET_MIC_OPEN,
                        Severity.WEAK,
                        phone,
                        new Figure(Math.min(ohms, 1e9), "Ω"),
                        "The phone may not notice this",
                        "Hardly any direct current flows through its microphone contact. Many phones take it all the same, some stay on their own microphone.",
                        "Use a lead or adapter with 1 to 2 kΩ across the microphone contact")
                : Stream.empty();
    }

    /** What lies on the ground is no microphone for any phone; what arrives through a low resistance is one for some. */
    private static Stream<Finding> shorted(Spot phone, double ohms, boolean arrives) {
        boolean isLow = ohms < SHORT_OHMS;
        return Joint.found(
                FindingCode.HEADSET_MIC_SHORTED,
                isLow && !arrives ? Severity.WRONG : Severity.WEAK,
                phone,
                new Figure(ohms, "Ω"),
                isLow ? "Most phones keep their own microphone" : "Some phones keep their own microphone",
                "On the microphone contact the phone sees "
                        + (ohms < PLAIN_OHMS ? "the ground" : Computed.resistance(ohms))
                        + ", rather as with plain headphones; from about 1 kΩ up it switches to what is plugged in. Makers differ.",
                arrives
                        ? "Use a lead with about 1 to 2 kΩ in the microphone's wire; record a test take and tap the source to see which microphone is heard"
                        : "Use a four-pole plug in the phone's order, or an adapter for it");
    }
}
