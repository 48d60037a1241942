package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.joint.Spot;

/** Where something that was played is found in the recorder: which input, which channel numbers. */
final class Track {
    private Track() {}

    /** In words: "channel 3", "channels 1–2", "its socket Mic". */
    static String of(Chain chain, Map<String, Device> devices) {
        for (int i = chain.hops().size() - 1; i >= 0; i--) {
            Hop hop = chain.hops().get(i);
            boolean sends = hop.from().shape().isDigital()
                    && !isHub(devices.get(hop.from().device()));
            if (sends) {
                Device sender = devices.get(hop.from().device());
                Socket socket = socket(sender, hop.from().sockets().get(0));
                return i == 0
                        ? all(socket)
                        : channels(sender, socket, chain.hops().get(i - 1).to());
            }
        }
        Port last = chain.last();
        Device recorder = devices.get(last.device());
        return last.sockets().stream()
                .map(spot -> socket(recorder, spot).name())
                .collect(Collectors.joining(" and "));
    }

    private static boolean isHub(Device device) {
        return device.kind() == DeviceKind.HUB;
    }

    private static Socket socket(Device device, Spot spot) {
        return device.socket(spot.part()).orElseThrow();
    }

    /** Everything that a source sends, with what is on it. */
    private static String all(Socket socket) {
        return Ports.recorded(socket)
                .map(pair -> "channels " + pair.channels() + ": " + pair.carries())
                .collect(Collectors.joining("; "));
    }

    /** The numbers of the converters that an input feeds, as the computer counts them. */
    private static String channels(Device sender, Socket data, Port input) {
        Inside inside = new Inside(sender);
        List<Integer> numbers = new ArrayList<>();
        List<ChannelPair> pairs = Ports.recorded(data).toList();
        for (String part : input.parts()) {
            for (ChannelPair pair : pairs) {
                for (int i = 0; i < pair.from().size(); i++) {
                    if (inside.way(part, pair.from().get(i)).isPresent()) {
                        numbers.add(first(pair) + i);
                    }
                }
            }
        }
        List<Integer> sorted = numbers.stream().distinct().sorted().toList();
        if (sorted.isEmpty()) {
            return pairs.stream()
                    .findFirst()
                    .map(pair -> "channels " + pair.channels() + ": " + pair.carries())
                    .orElse("its channels");
        }
        return sorted.size() == 1
                ? "channel " + sorted.get(0)
                : "channels " + sorted.get(0) + "–" + sorted.get(sorted.size() - 1);
    }

    private static int first(ChannelPair pair) {
        return Integer.parseInt(pair.channels().split("\\D", 2)[0]);
    }

    /** The stages from an input to the first converter behind it. */
    static List<Stage> recording(Device recorder, Port input) {
        return new Inside(recorder)
                .converters(input.parts().get(0)).stream().findFirst().orElse(List.of());
    }
}
