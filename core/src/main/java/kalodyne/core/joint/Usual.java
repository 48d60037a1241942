package kalodyne.core.joint;

import java.util.Optional;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.units.Impedance;

/** What gear has where its owner does not know: common practice, one number for each kind of socket. */
public final class Usual {
    private static final double LEAST_OHMS = 1e-3;
    private static final double MOST_OHMS = 1e11;

    private Usual() {}

    /** In series with the voltage of an output, in ohms. */
    public static double sourceOhms(Device device, Socket socket) {
        return within(ohms(socket, Fact.SOURCE_IMPEDANCE)
                .orElseGet(() -> device.facts()
                        .quantity(Fact.COIL_RESISTANCE)
                        .map(Impedance::ohms)
                        .orElse(usualSource(socket))));
    }

    private static double usualSource(Socket socket) {
        return switch (socket.signal()) {
            case MIC -> 200;
            case INSTRUMENT -> 10_000;
            case PHONO -> 1000;
            case HEADPHONE -> 22;
            case SPEAKER -> 0.1;
            // A microphone that must be fed, or a phone that feeds one and has earphones on the other contacts.
            case HEADSET -> isFed(socket) ? 2200 : 22;
            default -> isBalanced(socket) ? 150 : 1000;
        };
    }

    private static boolean isFed(Socket socket) {
        return socket.power().stream().anyMatch(power -> power.role() == PowerRole.NEEDS);
    }

    /** Across whatever is plugged into an input, in ohms. */
    public static double loadOhms(Device device, Socket socket) {
        return within(ohms(socket, Fact.LOAD_IMPEDANCE)
                .orElseGet(() -> device.facts()
                        .quantity(Fact.DRIVER_IMPEDANCE)
                        .map(Impedance::ohms)
                        .orElse(loadOhms(socket.signal()))));
    }

    /** Across a source of a kind, by an input that is made for it. */
    static double loadOhms(SignalKind signal) {
        return switch (signal) {
            case MIC, HEADSET -> 3000;
            case INSTRUMENT -> 1e6;
            case PHONO -> 47_000;
            case HEADPHONE -> 32;
            case SPEAKER -> 8;
            default -> 10_000;
        };
    }

    /** Nothing that is plugged has less or more: a clean touch of metal, air. */
    private static double within(double ohms) {
        return Math.min(MOST_OHMS, Math.max(LEAST_OHMS, ohms));
    }

    private static Optional<Double> ohms(Socket socket, Fact<Impedance> fact) {
        return socket.facts().quantity(fact).map(Impedance::ohms);
    }

    static boolean isBalanced(Socket socket) {
        return socket.balance().filter(each -> each != Balance.UNBALANCED).isPresent();
    }

    /** Not tied to the ground of its device: a winding. */
    static boolean isFloating(Socket socket) {
        return socket.balance()
                .filter(each -> each == Balance.TRANSFORMER || each == Balance.FLOATING)
                .isPresent();
    }
}
