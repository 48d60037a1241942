package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** What is plugged by USB or MIDI, by another way: another port that gives power and data, a hub between, the socket that goes the other way. */
final class OtherPorts {
    private OtherPorts() {}

    static List<Cure> of(Trial trial, Ends ends) {
        SignalKind kind = signal(trial, ends.from()).signal();
        if (kind == SignalKind.MIDI) {
            return midi(trial, ends);
        }
        if (kind != SignalKind.DIGITAL || signal(trial, ends.to()).signal() != SignalKind.DIGITAL) {
            return List.of();
        }
        boolean isFromHost = gives(signal(trial, ends.from()));
        Spot host = isFromHost ? ends.from() : ends.to();
        Spot device = isFromHost ? ends.to() : ends.from();
        List<Cure> all = new ArrayList<>(ports(trial, host, device));
        all.addAll(hubs(trial, host, device));
        return all;
    }

    private static Socket signal(Trial trial, Spot spot) {
        return trial.device(spot).socket(spot.part()).orElseThrow();
    }

    private static boolean gives(Socket socket) {
        return socket.has(PowerKind.BUS, PowerRole.GIVES) && socket.carriesData();
    }

    // --- MIDI --------------------------------------------------------------------------------------------------

    private static List<Cure> midi(Trial trial, Ends ends) {
        Direction present = signal(trial, ends.to()).way();
        boolean isAlike = signal(trial, ends.from()).way() == present;
        return isAlike
                ? free(trial.without(), trial.device(ends.to()))
                        .filter(spot -> signal(trial, spot).signal() == SignalKind.MIDI
                                && signal(trial, spot).way() != present)
                        .flatMap(spot -> into(trial, ends.from(), spot, "Go into " + trial.name(spot)))
                        .toList()
                : List.of();
    }

    private static Stream<Cure> into(Trial trial, Spot from, Spot to, String words) {
        return trial.best(from, to).stream().map(offer -> trial.moved(words, offer));
    }

    private static Stream<Spot> free(Wiring wiring, Device device) {
        return device.sockets().stream()
                .filter(socket -> wiring.isFree(device, socket))
                .map(socket -> new Spot(device.id(), socket.id()));
    }

    // --- USB ---------------------------------------------------------------------------------------------------

    /** Ports of computers and hubs that are plugged or stand there. */
    private static List<Cure> ports(Trial trial, Spot host, Spot device) {
        return trial.devices().stream()
                .filter(other -> other.kind().isHost() || other.kind() == DeviceKind.HUB)
                .filter(other -> !other.id().equals(device.item()))
                .flatMap(other -> free(trial.without(), other))
                .filter(spot -> !spot.equals(host) && gives(signal(trial, spot)))
                .flatMap(spot -> into(trial, spot, device, "Plug it into " + trial.name(spot)))
                .toList();
    }

    private static List<Cure> hubs(Trial trial, Spot host, Spot device) {
        return trial.devices().stream()
                .filter(hub -> hub.kind() == DeviceKind.HUB
                        && !hub.id().equals(host.item())
                        && !hub.id().equals(device.item()))
                .flatMap(hub -> free(trial.without(), hub)
                        .filter(up -> hub.isUpstream(signal(trial, up)))
                        .flatMap(up -> free(trial.without(), hub)
                                .filter(down -> !hub.isUpstream(signal(trial, down)) && gives(signal(trial, down)))
                                .limit(1)
                                .flatMap(down -> trial.between(new Ends(host, device), hub, up, down))))
                .toList();
    }
}
