package kalodyne.core.lineup.tidy;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which files one recording becomes: counted from 1, a channel that is turned over with a minus, a sum with plus signs. */
class ChannelsTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', emptyValue = "", textBlock = """
            TOGETHER       | 1 | 1
            TOGETHER       | 4 | 1 2 3 4
            PAIRS          | 1 | 1
            PAIRS          | 2 | 1 2
            PAIRS          | 4 | 1-2 bass and drums: 1 2; 3-4 voice: 3 4
            PAIRS          | 5 | 1-2 bass and drums: 1 2; 3-4 voice: 3 4; 5: 5
            SINGLE         | 1 | 1
            SINGLE         | 3 | 1 bass: 1; 2 drums: 2; 3 voice: 3
            SINGLE         | 5 | 1 bass: 1; 2 drums: 2; 3 voice: 3; 4 voice: 4; 5: 5
            MONO           | 1 | 1
            MONO           | 2 | 1+2
            MONO           | 4 | 1+2+3+4
            SWAPPED        | 1 | 1
            SWAPPED        | 2 | 2 1
            SWAPPED        | 5 | 2 1 4 3 5
            RIGHT_INVERTED | 1 | 1
            RIGHT_INVERTED | 2 | 1 -2
            RIGHT_INVERTED | 4 | 1 -2 3 -4
            """)
    void what_is_usually_wanted(Channels.Usual usual, int channels, String expected) {
        Channels wanted = usual.of(List.of("bass", "drums", "voice", "voice"));
        assertThat(wanted.parts(channels).stream().map(ChannelsTest::words).collect(Collectors.joining("; ")))
                .isEqualTo(expected);
        assertThat(usual.words()).isNotBlank();
    }

    private static String words(FilePart part) {
        String picks = part.picks().stream()
                .map(pick -> (pick.isInverted() ? "-" : "") + (pick.channel() + 1))
                .collect(Collectors.joining(part.isMono() ? "+" : " "));
        return part.name().isEmpty() ? picks : part.name() + ": " + picks;
    }

    /** Parts that are told are the same for every recording; without any it stays whole. */
    @Test
    void parts_that_are_told_are_kept() {
        FilePart right = new FilePart("right", List.of(new FilePart.Pick(1, false)), false);
        assertThat(Channels.named(List.of(right)).parts(8)).containsExactly(right);
        assertThat(Channels.named(List.of()).parts(3)).containsExactly(FilePart.all(3));
    }
}
