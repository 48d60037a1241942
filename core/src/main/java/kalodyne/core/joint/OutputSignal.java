package kalodyne.core.joint;

import kalodyne.core.gear.Carries;

/**
 * A signal that a socket gives, by itself: the left one of two, the one of an instrument.
 *
 * @param socket which socket
 * @param channel which of its signals
 * @param source the voltage source in the circuit that stands for it, open-circuit
 * @param plus the node of the contact that it comes out of
 * @param minus the node that it is told against
 */
public record OutputSignal(Spot socket, Carries channel, String source, String plus, String minus) {}
