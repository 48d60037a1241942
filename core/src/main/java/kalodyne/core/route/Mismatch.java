package kalodyne.core.route;

import java.util.EnumMap;
import java.util.Map;
import kalodyne.core.gear.SignalKind;

/** How badly a socket is made for what comes out of another one; common practice. */
final class Mismatch {
    private static final double OTHER = 12;
    private static final Map<SignalKind, Map<SignalKind, Double>> KNOWN = new EnumMap<>(SignalKind.class);

    static {
        put(SignalKind.LINE, SignalKind.LINE, 0);
        put(SignalKind.LINE, SignalKind.INSTRUMENT, 4);
        put(SignalKind.LINE, SignalKind.MIC, 16);
        put(SignalKind.LINE, SignalKind.HEADSET, 10);
        put(SignalKind.LINE, SignalKind.PHONO, 30);
        put(SignalKind.HEADPHONE, SignalKind.LINE, 1);
        put(SignalKind.HEADPHONE, SignalKind.INSTRUMENT, 5);
        put(SignalKind.HEADPHONE, SignalKind.MIC, 12);
        put(SignalKind.HEADPHONE, SignalKind.HEADSET, 6);
        put(SignalKind.MIC, SignalKind.MIC, 0);
        put(SignalKind.MIC, SignalKind.HEADSET, 3);
        put(SignalKind.MIC, SignalKind.LINE, 10);
        put(SignalKind.MIC, SignalKind.INSTRUMENT, 10);
        put(SignalKind.INSTRUMENT, SignalKind.INSTRUMENT, 0);
        put(SignalKind.INSTRUMENT, SignalKind.LINE, 8);
        put(SignalKind.PHONO, SignalKind.PHONO, 0);
        put(SignalKind.HEADSET, SignalKind.HEADSET, 0);
        put(SignalKind.HEADSET, SignalKind.MIC, 3);
        put(SignalKind.DIGITAL, SignalKind.DIGITAL, 0);
    }

    private Mismatch() {}

    private static void put(SignalKind from, SignalKind to, double cost) {
        KNOWN.computeIfAbsent(from, each -> new EnumMap<>(SignalKind.class)).put(to, cost);
    }

    static double of(SignalKind from, SignalKind to) {
        return KNOWN.getOrDefault(from, Map.of()).getOrDefault(to, OTHER);
    }
}
