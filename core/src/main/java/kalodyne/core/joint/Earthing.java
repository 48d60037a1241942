package kalodyne.core.joint;

import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerSource;

/**
 * How a device hangs on the earth by the way that it is powered. Estimates, of the order that is met in homes: an adapter without earth
 * leaks some tens of microamperes of mains; a battery lets next to nothing through, and so does a bus, whose ground is a wire like
 * others.
 *
 * @param kind what drives a current through it
 * @param ohms in series with it; 0 where it is a capacitance
 * @param farads in series with it; 0 where it is a resistance
 */
public record Earthing(Kind kind, double ohms, double farads) {
    /** What there is between a device and the earth. */
    public enum Kind {
        /** The earth of its outlet, which is not quite that of another one. */
        EARTHED,
        /** Mains voltage through what its adapter leaks. */
        LEAKING,
        ALONE
    }

    private static final Earthing EARTHED = new Earthing(Kind.EARTHED, 0.3, 0);
    private static final Earthing LEAKING = new Earthing(Kind.LEAKING, 0, 1e-9);
    private static final Earthing ALONE = new Earthing(Kind.ALONE, 0, 50e-12);

    /** As it usually is: a computer with its charger plugged in, others by their usual way of powering. */
    public static Earthing of(Device device) {
        Optional<Earthing> charged = device.kind() == DeviceKind.COMPUTER
                ? device.powering().stream()
                        .map(powering -> of(powering.source()))
                        .filter(earthing -> earthing.kind() == Kind.EARTHED)
                        .findFirst()
                : Optional.empty();
        return charged.or(() -> device.powering().stream()
                        .map(powering -> of(powering.source()))
                        .findFirst())
                .orElse(ALONE);
    }

    public static Earthing of(PowerSource source) {
        return switch (source) {
            case MAINS_EARTHED, ADAPTER_EARTHED -> EARTHED;
            case MAINS_UNEARTHED, ADAPTER_UNEARTHED -> LEAKING;
            case BUS, BATTERY, PHANTOM, PLUG_IN -> ALONE;
        };
    }

    /** Whether it can run on something that leaves it off the earth. */
    public static boolean canBeOff(Device device) {
        return device.powering().stream()
                .anyMatch(powering -> of(powering.source()).kind() == Kind.ALONE);
    }
}
