package kalodyne.core.route;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.gear.Device;
import kalodyne.core.sums.RecordingFormat;

/** What is recorded where nobody says otherwise: 24 bits and 48 kHz, as far as what makes the numbers can do that; common practice. */
public final class UsualFormat {
    private static final int RATE = 48_000;
    private static final int BITS = 24;

    private UsualFormat() {}

    /**
     * The format of a recording.
     *
     * @param converter what makes the numbers
     * @param rateHz as intended; empty for the usual
     * @param bits as intended; empty for the usual
     * @param channels that are written
     */
    public static RecordingFormat of(Device converter, OptionalInt rateHz, OptionalInt bits, int channels) {
        List<Integer> rates = converter.sampleRatesHz();
        List<Integer> depths = converter.bitDepths();
        int usualRate = rates.isEmpty() || rates.contains(RATE) ? RATE : rates.get(0);
        int usualBits = depths.isEmpty() || depths.contains(BITS)
                ? BITS
                : depths.stream().max(Integer::compare).orElseThrow();
        return new RecordingFormat(rateHz.orElse(usualRate), bits.orElse(usualBits), channels);
    }
}
