package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Print;

/**
 * Where something that was played is found in the recorder.
 *
 * @param words "channel 3", "channels 1–2", "its socket Mic"
 * @param sender the mark of the device that sends it as data, if any
 * @param channels their numbers as the recorder counts them; empty where it comes by a socket of its own
 */
public record Track(String words, Optional<String> sender, List<Integer> channels) {
    public Track {
        channels = List.copyOf(channels);
    }

    /** Of what is only heard. */
    static final Track HEARD = new Track("not recorded", Optional.empty(), List.of());

    public boolean isHeardOnly() {
        return equals(HEARD);
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

    /** In its multitrack mode a device sends its converters in their order. */
    private static List<Integer> inOrder(Inside inside, Device sender, Port input) {
        List<String> converters = sender.stages().stream()
                .filter(stage -> stage.kind() == StageKind.TO_DIGITAL)
                .map(Stage::id)
                .toList();
        return input.parts().stream()
                .flatMap(part -> inside.converters(part).stream())
                .map(way -> converters.indexOf(way.get(way.size() - 1).id()) + 1)
                .filter(number -> number > 0)
                .distinct()
                .sorted()
                .toList();
    }

    /** The same with the channels of another that comes from the same sender. */
    Track and(Track other) {
        if (channels.isEmpty() || channels.containsAll(other.channels)) {
            return this;
        }
        List<Integer> all = Stream.concat(channels.stream(), other.channels.stream())
                .distinct()
                .sorted()
                .toList();
        return new Track(words(all), sender, all);
    }

    private static String words(List<Integer> numbers) {
        return numbers.size() == 1
                ? "channel " + numbers.get(0)
                : "channels " + numbers.get(0) + "–" + numbers.get(numbers.size() - 1);
    }

    /** "channels 3 and 4", "Microphone in": where it is chosen. */
    public String from() {
        return channels.isEmpty()
                ? words
                : (channels.size() == 1 ? "channel " : "channels ")
                        + Print.listed(channels.stream().map(String::valueOf).toList());
    }

    /** What its sender says is on it: "the mix with the talk microphone"; empty where it says nothing. */
    public String carries() {
        int told = words.indexOf(": ");
        return told < 0 ? "" : words.substring(told + 2).split(",", 2)[0];
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
                Ports.recorded(socket).findFirst().map(ChannelPair::numbers).orElse(List.of());
        return new Track(words, Optional.of(sender.id()), numbers);
    }

    private static String words(ChannelPair pair) {
        return (pair.numbers().size() == 1 ? "channel " : "channels ") + pair.channels() + ": " + pair.carries();
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
                        numbers.add(pair.numbers().get(0) + i);
                    }
                }
            }
        }
        List<Integer> sorted = numbers.stream().distinct().sorted().toList();
        if (sorted.isEmpty()) {
            boolean isApart = pairs.stream().anyMatch(pair -> pair.role() == ChannelRole.MULTITRACK);
            List<Integer> counted = isApart ? inOrder(inside, sender, input) : List.of();
            return counted.isEmpty() ? all(sender, data) : new Track(words(counted), Optional.of(sender.id()), counted);
        }
        return new Track(words(sorted), Optional.of(sender.id()), sorted);
    }
}
