package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/**
 * Where something that was played is found in the recorder.
 *
 * @param words "channel 3", "channels 1–2", "its socket Mic"
 * @param sender the mark of the device that sends it as data, if any
 * @param channels their numbers as the recorder counts them; empty where it comes by a socket of its own
 */
public record Track(String words, Optional<String> sender, List<Integer> channels) {
    private static final Pattern NUMBERS = Pattern.compile("([0-9]{1,4})(?:[^0-9]+([0-9]{1,4}))?");

    public Track {
        channels = List.copyOf(channels);
    }

    static Track of(Chain chain, Stock stock) {
        for (int i = chain.hops().size() - 1; i >= 0; i--) {
            Hop hop = chain.hops().get(i);
            boolean sends = hop.from().shape().isDigital()
                    && !isHub(stock.device(hop.from().device()));
            if (sends) {
                Device sender = stock.device(hop.from().device());
                Socket socket = socket(sender, hop.from().sockets().get(0));
                return i == 0
                        ? all(sender, socket)
                        : channels(
                                stock, sender, socket, chain.hops().get(i - 1).to());
            }
        }
        Port last = chain.last();
        Device recorder = stock.device(last.device());
        return new Track(
                last.sockets().stream()
                        .map(spot -> socket(recorder, spot).name())
                        .collect(Collectors.joining(" and ")),
                Optional.empty(),
                List.of());
    }

    private static boolean isHub(Device device) {
        return device.kind() == DeviceKind.HUB;
    }

    private static Socket socket(Device device, Spot spot) {
        return device.socket(spot.part()).orElseThrow();
    }

    /** Everything that a source sends, with what is on it. */
    private static Track all(Device sender, Socket socket) {
        String words = Ports.recorded(socket).map(Track::words).collect(Collectors.joining("; "));
        List<Integer> numbers =
                Ports.recorded(socket).findFirst().map(Track::numbers).orElse(List.of());
        return new Track(words, Optional.of(sender.id()), numbers);
    }

    private static String words(ChannelPair pair) {
        return (numbers(pair).size() == 1 ? "channel " : "channels ") + pair.channels() + ": " + pair.carries();
    }

    /** The numbers of the converters that an input feeds, as the computer counts them. */
    private static Track channels(Stock stock, Device sender, Socket data, Port input) {
        Inside inside = stock.inside(sender.id());
        List<Integer> numbers = new ArrayList<>();
        List<ChannelPair> pairs = Ports.recorded(data).toList();
        for (String part : input.parts()) {
            for (ChannelPair pair : pairs) {
                for (int i = 0; i < pair.from().size(); i++) {
                    if (inside.way(part, pair.from().get(i)).isPresent()) {
                        numbers.add(numbers(pair).get(0) + i);
                    }
                }
            }
        }
        List<Integer> sorted = numbers.stream().distinct().sorted().toList();
        if (sorted.isEmpty()) {
            return all(sender, data);
        }
        String words = sorted.size() == 1
                ? "channel " + sorted.get(0)
                : "channels " + sorted.get(0) + "–" + sorted.get(sorted.size() - 1);
        return new Track(words, Optional.of(sender.id()), sorted);
    }

    /** 3 and 4 of "3–4". */
    private static List<Integer> numbers(ChannelPair pair) {
        Matcher ends = NUMBERS.matcher(pair.channels());
        if (!ends.find()) {
            return List.of(1);
        }
        int first = Integer.parseInt(ends.group(1));
        int last = ends.group(2) == null ? first : Integer.parseInt(ends.group(2));
        List<Integer> numbers = new ArrayList<>();
        for (int number = first; number <= Math.min(last, first + 63); number++) {
            numbers.add(number);
        }
        return numbers;
    }
}
