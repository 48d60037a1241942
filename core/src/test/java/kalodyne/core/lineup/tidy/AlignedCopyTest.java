package kalodyne.core.lineup.tidy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import kalodyne.core.files.Progress;
import kalodyne.core.lineup.Alignment;
import kalodyne.core.lineup.LineUp;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.testing.pairs.Pair;
import kalodyne.core.testing.pairs.Pairs;
import kalodyne.core.testing.pairs.Pairs.Kind;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Copies that were lined up, lined up again. */
class AlignedCopyTest {
    private static final double SECONDS = 9;

    @TempDir
    Path folder;

    /** Whoever lines a copy up again finds nothing left to do. */
    @ParameterizedTest
    @EnumSource(
            value = Kind.class,
            names = {"MUCH_DRIFT", "OTHER_RATE", "ALL_AT_ONCE"})
    void a_copy_lines_up_with_nothing_left(Kind kind) throws IOException {
        Pair pair = Pairs.make(kind, SECONDS, 4, folder);
        Alignment found = LineUp.of(pair.reference(), pair.other(), done -> true)
                .alignment()
                .orElseThrow();
        Path copy = folder.resolve("copy.wav");
        AlignedCopy.write(
                pair.reference(),
                pair.other(),
                found.clock(),
                SECONDS,
                copy,
                Copy.as(CopyFormat.WAV_24),
                Progress.NONE);
        LineUp.Result again = LineUp.of(pair.reference(), copy, done -> true);
        assertThat(again.otherSeconds()).isEqualTo(again.referenceSeconds(), within(1e-4));
        assertThat(again.alignment().orElseThrow().offsetSeconds()).isCloseTo(0, within(2e-6));
        assertThat(again.alignment().orElseThrow().driftPpm()).isCloseTo(0, within(0.3));
        JsonNode told = new JsonMapper().readTree(Files.readString(folder.resolve("copy.wav.json")));
        assertThat(told.path("reference").asText()).isEqualTo(pair.reference().toString());
        assertThat(told.path("fromSeconds").asDouble()).isCloseTo(found.offsetSeconds(), within(1e-6));
    }
}
