package kalodyne.core.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files that are there whole or not at all, and names that every system takes. */
class WholeFileTest {
    @TempDir
    Path folder;

    private static ByteBuffer bytes(String text) {
        return ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
    }

    private long files() throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile).count();
        }
    }

    @Test
    void the_folder_is_made_and_the_old_content_replaced() throws IOException {
        Path file = folder.resolve("new/folder/list.txt");
        WholeFile.write(file, bytes("first"));
        WholeFile.write(file, bytes("second"));
        assertThat(file).hasContent("second");
        assertThat(files()).isEqualTo(1);
        ByteBuffer part = bytes("not this");
        part.position(4).limit(6);
        WholeFile.write(file, part);
        assertThat(file).as("from its position to its limit").hasContent("th");
    }

    /** A disk that is full in the middle: the old content stays, and nothing lies about. */
    @Test
    void what_fails_in_the_middle_leaves_what_was_there() throws IOException {
        Path file = folder.resolve("list.txt");
        WholeFile.write(file, bytes("old"));
        assertThatThrownBy(() -> WholeFile.write(file, out -> {
                    out.write(new byte[100_000]);
                    throw new IOException("No space left on device");
                }))
                .hasMessage("No space left on device");
        assertThat(file).hasContent("old");
        assertThat(files()).isEqualTo(1);
        Path another = folder.resolve("another.txt");
        assertThatThrownBy(() -> WholeFile.grow(another, part -> {
                    Files.writeString(part, "half");
                    throw new IllegalStateException("a mistake of ours");
                }))
                .isInstanceOf(IllegalStateException.class);
        assertThat(another).doesNotExist();
        assertThat(files()).isEqualTo(1);
    }

    /** What a crash left behind is no hindrance the next time. */
    @Test
    void a_half_file_of_last_time_is_written_over() throws IOException {
        Path file = folder.resolve("list.txt");
        Files.writeString(folder.resolve("list.txt.part"), "half of it");
        WholeFile.write(file, bytes("whole"));
        assertThat(file).hasContent("whole");
        assertThat(files()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource(nullValues = "none", delimiter = '|', textBlock = """
            take.wav          | take        | .wav
            take.1.flac       | take.1      | .flac
            take              | take        | ''
            .hidden           | .hidden     | ''
            Song, live.AIFF   | Song, live  | .AIFF
            """)
    void a_name_has_a_stem_and_an_ending(String name, String stem, String ending) {
        Path file = folder.resolve(name);
        assertThat(FileNames.stem(file)).isEqualTo(stem);
        assertThat(FileNames.ending(file)).isEqualTo(ending);
    }

    /** What Windows forbids in names is forbidden everywhere, so that a folder can be handed on. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Bass 3            | Bass 3
            9/8 bars          | 9-8 bars
            Is it? "Yes": <A> | Is it- -Yes-- -A-
            a*b:c             | a-b-c
            The end...        | The end-
            Ende.             | Ende-
            mix.final         | mix.final
            Übung 1           | Übung 1
            """, quoteCharacter = '\'')
    void a_name_that_some_system_forbids_gets_hyphens(String name, String allowed) {
        assertThat(FileNames.allowed(name.replace("\\\\", "\\"))).isEqualTo(allowed);
    }
}
