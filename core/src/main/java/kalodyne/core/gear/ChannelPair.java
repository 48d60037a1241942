package kalodyne.core.gear;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

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
    private static final Pattern NUMBERS = Pattern.compile("([0-9]{1,4})(?:[^0-9]+([0-9]{1,4}))?");

    /** More channels at one socket nobody has. */
    private static final int MOST = 64;

    public ChannelPair {
        channels = Names.checked(channels);
        carries = Names.checked(carries);
        from = List.copyOf(from);
    }

    /** 3 and 4 of "3–4"; the first where no number is told. */
    public List<Integer> numbers() {
        Matcher ends = NUMBERS.matcher(channels);
        if (!ends.find()) {
            return List.of(1);
        }
        int first = Integer.parseInt(ends.group(1));
        int last = ends.group(2) == null ? first : Integer.parseInt(ends.group(2));
        return IntStream.rangeClosed(first, Math.min(last, first + MOST - 1))
                .boxed()
                .toList();
    }
}
