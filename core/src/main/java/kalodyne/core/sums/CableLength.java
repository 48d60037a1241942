package kalodyne.core.sums;

import java.util.List;
import java.util.Optional;

/**
 * How long a lead must be that lies on the floor along the walls: there, across, up and down, and something to spare.
 *
 * @param along between the two in one direction of the room, metres, 0 or more
 * @param across between them in the other
 * @param down from the one socket to the floor
 * @param up from the floor to the other socket
 */
public record CableLength(double along, double across, double down, double up) {
    /** Nothing pulls then, and a loop lies free; common practice. */
    private static final double SPARE = 0.15;

    private static final double LEAST_SPARE_METRES = 0.3;
    private static final List<Double> USUAL = List.of(0.3, 0.6, 0.9, 1.5, 2.0, 3.0, 5.0, 6.0, 10.0, 15.0, 20.0, 30.0);

    public CableLength {
        if (!(along >= 0 && across >= 0 && down >= 0 && up >= 0)) {
            throw new IllegalArgumentException("lengths are 0 m or more");
        }
    }

    public double metres() {
        double way = along + across + down + up;
        return way + Math.max(LEAST_SPARE_METRES, SPARE * way);
    }

    /** The shortest that is sold that is long enough; empty where none is. */
    public Optional<Double> usual() {
        return USUAL.stream().filter(length -> length >= metres()).findFirst();
    }
}
