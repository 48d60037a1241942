package kalodyne.core.joint;

/**
 * A plug in a socket.
 *
 * @param plug what goes in
 * @param socket what it goes into
 */
public record Plugging(Spot plug, Spot socket) {}
