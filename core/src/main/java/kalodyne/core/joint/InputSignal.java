package kalodyne.core.joint;

import kalodyne.core.gear.Carries;

/**
 * A signal that a socket receives.
 *
 * @param socket which socket
 * @param channel which of its signals
 * @param plus the node in the circuit that it is taken from
 * @param minus the node that it is taken against
 */
public record InputSignal(Spot socket, Carries channel, String plus, String minus) {}
