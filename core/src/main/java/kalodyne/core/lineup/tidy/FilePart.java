package kalodyne.core.lineup.tidy;

import java.util.List;
import java.util.stream.IntStream;

/**
 * Channels that become a file of their own.
 *
 * @param name "piano"; empty where the file has one part only
 * @param picks which channels, in their new order; at least one
 * @param isMono whether they are added up to one, as their mean
 */
public record FilePart(String name, List<Pick> picks, boolean isMono) {
    public FilePart {
        if (picks.isEmpty()) {
            throw new IllegalArgumentException("a part must have channels, got none");
        }
        picks = List.copyOf(picks);
    }

    /**
     * A channel.
     *
     * @param channel from 0
     * @param isInverted whether it is turned upside down
     */
    public record Pick(int channel, boolean isInverted) {}

    /** Everything, as it is. */
    static FilePart all(int channels) {
        return new FilePart(
                "",
                IntStream.range(0, channels).mapToObj(c -> new Pick(c, false)).toList(),
                false);
    }

    /** How many channels come out. */
    int channels() {
        return isMono ? 1 : picks.size();
    }

    /** The channel that a file must have at least, counted from 1. */
    int most() {
        return 1 + picks.stream().mapToInt(Pick::channel).max().orElseThrow();
    }
}
