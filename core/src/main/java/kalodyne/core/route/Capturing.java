package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;

/** What a way captures beside the recording. */
final class Capturing {
    private final Stock stock;
    private final List<Chain> chains;

    Capturing(Stock stock, List<Chain> chains) {
        this.stock = stock;
        this.chains = List.copyOf(chains);
    }

    SideTask of(Also also) {
        return switch (also) {
            case SAFETY_COPY -> safetyCopy();
            case TWO_MIXES -> twoMixes();
        };
    }

    private SideTask safetyCopy() {
        Optional<Device> between = chains.stream()
                .flatMap(chain -> chain.hops().stream().limit(chain.hops().size() - 1L))
                .map(hop -> stock.device(hop.to().device()))
                .filter(device -> device.kind() == DeviceKind.RECORDER)
                .findFirst();
        return between.map(recorder -> new SideTask(
                        SideTask.Of.ALSO,
                        recorder.name() + " keeps a copy on its card: start it too, and line the two up afterwards",
                        true))
                .orElseGet(() -> new SideTask(
                        SideTask.Of.ALSO,
                        "No safety copy: no recorder with a card stands between. Copy the files to a second place after each"
                                + " take",
                        false));
    }

    private SideTask twoMixes() {
        Optional<Port> sent = chains.stream()
                .map(chain -> chain.hops().get(0).from())
                .filter(from -> from.shape().isDigital())
                .filter(from -> pairs(from).count() > 1)
                .findFirst();
        return sent.map(from -> new SideTask(
                        SideTask.Of.ALSO,
                        "Record all channels at once: "
                                + pairs(from)
                                        .map(pair -> pair.channels() + " carry " + pair.carries())
                                        .collect(Collectors.joining(", "))
                                + ". Match their levels afterwards: +6 dB is 200 %",
                        true))
                .orElseGet(() -> new SideTask(
                        SideTask.Of.ALSO, "One mix only: by this way the voice cannot be left out afterwards", false));
    }

    private Stream<ChannelPair> pairs(Port from) {
        return Ports.recorded(
                stock.device(from.device()).socket(from.parts().get(0)).orElseThrow());
    }
}
