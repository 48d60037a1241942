package kalodyne.core.joint;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.PowerSource;

/**
 * How a device hangs on the earth by the way that it is powered, and what drives a current through that. Estimates, of the
 * order that is met in homes: two outlets differ by some tens of millivolts; an adapter without earth leaks some tens of
 * microamperes of mains; a battery lets next to nothing through.
 *
 * @param volts of mains frequency between here and the earth
 * @param ohms in series with it; 0 where it is a capacitance
 * @param farads in series with it; 0 where it is a resistance
 */
public record Earthing(double volts, double ohms, double farads) {
    private static final Earthing EARTHED = new Earthing(0.03, 0.3, 0);
    private static final Earthing LEAKING = new Earthing(115, 0, 1e-9);
    private static final Earthing ALONE = new Earthing(0, 0, 50e-12);

    /** As its usual way of powering makes it. */
    public static Earthing of(Device device) {
        return device.powering().stream()
                .map(powering -> of(powering.source()))
                .findFirst()
                .orElse(ALONE);
    }

    public static Earthing of(PowerSource source) {
        return switch (source) {
            case MAINS_EARTHED, ADAPTER_EARTHED -> EARTHED;
            // A bus goes on to a computer, which hangs on the mains for most.
            case MAINS_UNEARTHED, ADAPTER_UNEARTHED, BUS -> LEAKING;
            case BATTERY, PHANTOM, PLUG_IN -> ALONE;
        };
    }

    /** Whether both ends hang on the earth so firmly that a current flows round. */
    public static boolean isLoop(List<Earthing> all) {
        return all.stream().filter(each -> each.ohms() > 0).count() > 1;
    }
}
