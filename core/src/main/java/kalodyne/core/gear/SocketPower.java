package kalodyne.core.gear;

import java.util.Optional;

/**
 * What a socket feeds, or is fed, beside the signal.
 *
 * @param kind phantom, plug-in power or bus power
 * @param role whether it gives that, needs it, does not mind it, or is harmed by it
 * @param control the mark of the control that switches it, where there is one
 * @param facts {@link Fact.Of#SOCKET_POWER}
 */
public record SocketPower(PowerKind kind, PowerRole role, Optional<String> control, Facts facts) {}
