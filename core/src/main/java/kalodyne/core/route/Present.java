package kalodyne.core.route;

import java.util.List;
import kalodyne.core.joint.Wiring;

/**
 * What is plugged when somebody looks for a way.
 *
 * @param taken what stays plugged in any case
 * @param there hops that it makes already, which a way may use too
 * @param replugging what has to be pulled out for a way
 */
record Present(Wiring taken, List<Hop> there, Replugging replugging) {
    Present {
        there = List.copyOf(there);
    }
}
