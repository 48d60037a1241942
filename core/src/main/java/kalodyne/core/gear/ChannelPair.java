package kalodyne.core.gear;

import java.util.List;

/**
 * Channels of a digital socket and what is on them.
 *
 * @param way to the device or from it
 * @param channels as the computer counts them: "1–2"
 * @param role what they are for
 * @param carries in words: "the mix without the talk microphone"
 * @param from marks of the stages that they come from; empty where they come from outside
 */
public record ChannelPair(Direction way, String channels, ChannelRole role, String carries, List<String> from) {
    public ChannelPair {
        channels = Names.checked(channels);
        carries = Names.checked(carries);
        from = List.copyOf(from);
    }
}
