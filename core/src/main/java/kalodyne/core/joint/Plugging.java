package kalodyne.core.joint;

import java.util.List;

/**
 * A plug in a socket.
 *
 * @param plug what goes in
 * @param socket what it goes into
 */
public record Plugging(Spot plug, Spot socket) {
    /** Both. */
    public List<Spot> spots() {
        return List.of(plug, socket);
    }
}
