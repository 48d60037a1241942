package kalodyne.core.gear;

import java.util.Optional;

/**
 * What a socket is while a switch of its device stands at a position: the output of a turntable at "phono", a phono input at "MC".
 *
 * @param control the switch's mark
 * @param at the position's name, as printed beside it
 * @param signal the kind of signal that is there then; empty where it stays the same
 * @param facts {@link Fact.Of#SOCKET}, of which those that are told here stand in for the socket's own
 */
public record SocketState(String control, String at, Optional<SignalKind> signal, Facts facts) {
    public SocketState {
        at = Names.checked(at);
    }

    /** The socket as it is then. */
    public Socket of(Socket socket) {
        return socket.with()
                .signal(signal.orElse(socket.signal()))
                .facts(socket.facts().overlaid(facts))
                .build();
    }
}
