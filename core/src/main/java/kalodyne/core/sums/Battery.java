package kalodyne.core.sums;

import java.time.Duration;

/**
 * How long a battery lasts.
 *
 * @param wattHours that it holds when full, above 0
 * @param watts that are drawn, above 0
 */
public record Battery(double wattHours, double watts) {
    /** Of what a battery holds so much is used before the voltage falls too low; common practice. */
    private static final double USABLE = 0.85;

    private static final double SECONDS_OF_HOUR = 3600;

    public Battery {
        if (!(wattHours > 0) || !(watts > 0)) {
            throw new IllegalArgumentException(
                    "a battery holds and gives more than 0, got " + wattHours + " Wh, " + watts + " W");
        }
    }

    public Duration lasting() {
        return Duration.ofSeconds(Math.round(USABLE * wattHours / watts * SECONDS_OF_HOUR));
    }
}
