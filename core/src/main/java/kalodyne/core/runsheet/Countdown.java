package kalodyne.core.runsheet;

import java.time.Duration;
import java.util.function.LongSupplier;

/**
 * A wait. It goes by a counter that only ever goes forward, not by the clock, which somebody may set meanwhile. After a restart
 * a wait begins anew: that is the safe side.
 */
public final class Countdown {
    private final Duration length;
    private final LongSupplier nanos;
    private final long begun;

    /** Begins to wait, with a counter of nanoseconds: {@link System#nanoTime}. */
    public Countdown(Duration length, LongSupplier nanos) {
        this.length = length;
        this.nanos = nanos;
        this.begun = nanos.getAsLong();
    }

    /** What is left; 0 when it is over. */
    public Duration left() {
        Duration left = length.minusNanos(nanos.getAsLong() - begun);
        return left.isNegative() ? Duration.ZERO : left;
    }

    public boolean isOver() {
        return left().isZero();
    }
}
