package kalodyne.core.gear;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** The parts of devices and leads that have values: listing them, and changing the values of one. */
public final class Parts {
    private static final String DEVICE = "device";
    private static final String LEAD = "lead";
    private static final String SOCKET = "socket ";
    private static final String POWER = " power ";
    private static final String STAGE = "stage ";
    private static final String POWERING = "powering ";
    private static final String WIRE = "wire ";

    private Parts() {}

    /** The device itself, then its sockets with what they feed, its stages, its ways of powering. */
    public static List<Part> of(Device device) {
        List<Part> parts = new ArrayList<>();
        parts.add(new Part(DEVICE, device.name(), Fact.Of.DEVICE, device.facts()));
        for (Socket socket : device.sockets()) {
            parts.add(new Part(SOCKET + socket.id(), socket.name(), Fact.Of.SOCKET, socket.facts()));
            for (int i = 0; i < socket.power().size(); i++) {
                SocketPower power = socket.power().get(i);
                parts.add(new Part(
                        SOCKET + socket.id() + POWER + (i + 1),
                        socket.name() + ", " + power.role().word() + " "
                                + power.kind().word(),
                        Fact.Of.SOCKET_POWER,
                        power.facts()));
            }
        }
        device.stages()
                .forEach(stage -> parts.add(new Part(STAGE + stage.id(), stage.name(), Fact.Of.STAGE, stage.facts())));
        for (int i = 0; i < device.powering().size(); i++) {
            Powering powering = device.powering().get(i);
            parts.add(
                    new Part(POWERING + (i + 1), "on " + powering.source().word(), Fact.Of.POWERING, powering.facts()));
        }
        return parts;
    }

    /** The lead itself, then its wires. */
    public static List<Part> of(Lead lead) {
        List<Part> parts = new ArrayList<>();
        parts.add(new Part(LEAD, lead.name(), Fact.Of.LEAD, lead.facts()));
        for (int i = 0; i < lead.wires().size(); i++) {
            Wire wire = lead.wires().get(i);
            parts.add(new Part(
                    WIRE + (i + 1), wire.from().write() + " to " + wire.to().write(), Fact.Of.WIRE, wire.facts()));
        }
        return parts;
    }

    public static Optional<Part> find(List<Part> parts, String mark) {
        return parts.stream().filter(part -> part.mark().equals(mark)).findFirst();
    }

    /** The device with other values in one part; unchanged where it has no such part. */
    public static Device with(Device device, String mark, Facts facts) {
        if (mark.equals(DEVICE)) {
            return device.withFacts(facts);
        }
        if (mark.startsWith(POWERING)) {
            return device.withPowering(replaced(
                    device.powering(),
                    (index, powering) ->
                            mark.equals(POWERING + (index + 1)) ? new Powering(powering.source(), facts) : powering));
        }
        if (mark.startsWith(STAGE)) {
            return device.withStages(replaced(
                    device.stages(),
                    (index, stage) -> mark.equals(STAGE + stage.id()) ? stage.withFacts(facts) : stage));
        }
        return device.withSockets(replaced(device.sockets(), (index, socket) -> with(socket, mark, facts)));
    }

    private static Socket with(Socket socket, String mark, Facts facts) {
        String own = SOCKET + socket.id();
        if (mark.equals(own)) {
            return socket.withFacts(facts);
        }
        return mark.startsWith(own + POWER)
                ? socket.withPower(replaced(
                        socket.power(),
                        (index, power) -> mark.equals(own + POWER + (index + 1))
                                ? new SocketPower(power.kind(), power.role(), power.control(), facts)
                                : power))
                : socket;
    }

    /** The lead with other values in one part; unchanged where it has no such part. */
    public static Lead with(Lead lead, String mark, Facts facts) {
        return mark.equals(LEAD)
                ? lead.withFacts(facts)
                : lead.withWires(replaced(
                        lead.wires(),
                        (index, wire) -> mark.equals(WIRE + (index + 1))
                                ? new Wire(wire.from(), wire.to(), wire.conductor(), facts)
                                : wire));
    }

    private static <T> List<T> replaced(List<T> items, BiFunction<Integer, T, T> change) {
        List<T> changed = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            changed.add(change.apply(i, items.get(i)));
        }
        return changed;
    }
}
