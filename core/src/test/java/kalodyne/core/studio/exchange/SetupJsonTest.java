package kalodyne.core.studio.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.testing.Runs;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Setups that travel alone in JSON, among them those of older programs, with runs that were described without gear. */
class SetupJsonTest {
    private static final Path FILE = Path.of("my-setup.json");

    @TempDir
    Path folder;

    private static String demo() throws IOException {
        try (var in = Runs.class.getResourceAsStream("described-run.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static UnreadableFile problemIn(String json) {
        return catchThrowableOfType(UnreadableFile.class, () -> StudioReader.read(json, FILE));
    }

    /** One thing made wrong in a good file: place, problem and remedy of the message. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            "impedance": "1 kΩ"        | "impedance": "1"         | gear of the runs › 1 › sockets › 1 › values › sourceImpedance › is, line 17 | “1” has no unit. | Write for example 10 kΩ or 1M.
            "impedance": "1 kΩ"        | "impedance": "-1 kΩ"     | gear of the runs › 1 › sockets › 1 › values › sourceImpedance › is, line 17 | no negative impedance | Check the number
            "impedance": "1 kΩ"        | "impedence": "1 kΩ"      | runs › 1 › source, line 10 | “impedence” is not known here. | check its spelling
            "impedance": "1 kΩ"        | "impedance": 1000        | runs › 1 › source › impedance, line 17 | wrong kind | with its unit
            "impedance": "1 kΩ"        | "impedance": "4 dBu"     | gear of the runs › 1 › sockets › 1 › values › sourceImpedance › is, line 17 | not a unit of impedance | 10 kΩ
            "length": "3 m",           | ''                       | runs › 1 › lead, line 20 | “length” is missing. | docs/formats/setup.md
            "resistance": "0.3 Ω"      | "resistance": "−0.3 Ω"   | runs › 1 › lead › resistance, line 25 | is below zero | Check the number
            "kind": "line"             | "kind": "lien"           | runs › 1 › input › kind, line 30 | “lien” is not a choice here. | line, instrument, mic
            "position": "12:00"        | "position": "6:00"       | runs › 1 › input › gain › position, line 36 | does not turn to 6:00 | from 7:00 to 5:00
            "position": "12:00"        | "position": 1.5          | runs › 1 › input › gain › position, line 36 | 1.5 is outside the range. | of 1 or less
            "bits": 24                 | "bits": 24.5             | runs › 1 › converter › bits, line 46 | wrong kind | whole number
            "bits": 24                 | "bits": 4                | runs › 1 › converter › bits, line 46 | 4 is outside the range. | of 8 or more
            "lowest": "-8 dB"          | "lowest": "+40 dB"       | runs › 1 › input › gain › taper › linear, line 35 | Gains must rise | Correct it.
            "audio": { "highest"       | "loud": { "highest"      | runs › 1 › source › volume › taper, line 18 | “loud” is not known here. | spelling
            "version": 1               | "version": 2             | the whole of it | newer Kalodyne (version 2 of the format) | Open it with that one
            "kalodyne-setup"           | "something"              | the whole of it | It is not a Kalodyne studio. | begins with
            "takes": []                | "takes": [}              | line 51 | not valid JSON here | commas, quotes and brackets
            "version": 1,              | "version": 1, "version": 1, | line 3 | Duplicate | commas
            """)
    void names_place_problem_and_remedy(String good, String bad, String place, String problem, String remedy)
            throws IOException {
        assertThat(demo()).contains(good);
        UnreadableFile unreadable = problemIn(demo().replace(good, bad));
        assertThat(unreadable).isNotNull().hasMessageStartingWith("my-setup.json, ");
        assertThat(unreadable.problems()).first().satisfies(first -> {
            assertThat(first.place()).isEqualTo(place);
            assertThat(first.what()).contains(problem);
            assertThat(first.remedy()).contains(remedy);
        });
    }

    @Test
    void tells_all_problems_at_once() throws IOException {
        String json =
                demo().replace("\"1 kΩ\"", "\"1\"").replace("\"3 m\"", "\"3\"").replace("\"12:00\"", "\"noon\"");
        assertThat(problemIn(json).problems()).hasSize(3);
    }

    @Test
    void refuses_two_runs_of_one_name() throws IOException {
        String json = demo();
        int start = json.indexOf("    {\n      \"name\": \"Bass");
        int end = json.indexOf("\n  ],");
        String twice = json.substring(0, end) + ",\n" + json.substring(start, end) + json.substring(end);
        assertThat(problemIn(twice).problems()).singleElement().satisfies(problem -> {
            assertThat(problem.place()).startsWith("runs › 2 › name");
            assertThat(problem.what()).isEqualTo("Another run has this name.");
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "null",
                "7",
                "[]",
                "{}",
                "\"x\"",
                "{\"format\":",
                "\u0000",
                "{\"format\":\"kalodyne-setup\",\"version\":1}"
            })
    void refuses_what_is_no_setup(String json) {
        assertThat(problemIn(json).problems()).isNotEmpty().allSatisfy(problem -> {
            assertThat(problem.what()).endsWith(".");
            assertThat(problem.remedy()).endsWith(".");
        });
    }

    @Test
    void refuses_depth_and_size_without_falling_over() throws IOException {
        assertThat(problemIn("{\"format\":\"kalodyne-setup\",\"runs\":" + "[".repeat(200_000)))
                .isNotNull();
        assertThat(problemIn(demo().replace("Bass synth → track 3", "x".repeat(10_000_000)))
                        .problems())
                .first()
                .satisfies(problem -> assertThat(problem.what()).isEqualTo("The text is too long."));
    }

    @Test
    void says_what_is_wrong_with_the_file_itself() throws IOException {
        Path latin = Files.write(folder.resolve("latin.json"), new byte[] {'{', (byte) 0xE4, '}'});
        assertThatThrownBy(() -> StudioReader.read(latin)).hasMessageContaining("not a text in UTF-8");
        assertThatThrownBy(() -> StudioReader.read(folder.resolve("gone.json")))
                .hasMessageContaining("There is no such file.");
        assertThatThrownBy(() -> StudioReader.read(folder)).hasMessageContaining("It cannot be opened.");
        Path marked = Files.writeString(folder.resolve("bom.json"), "\ufeff" + demo());
        assertThat(StudioReader.read(marked).name()).isEqualTo("The Boathouse");
    }

    /** Whatever is cut from or changed in a good file: a setup, or problems; nothing else. */
    @Test
    void survives_any_change() throws IOException {
        Random random = new Random(41);
        String good = demo();
        for (int i = 0; i < 600; i++) {
            StringBuilder json = new StringBuilder(good);
            int at = random.nextInt(json.length() - 20);
            switch (random.nextInt(3)) {
                case 0 -> json.delete(at, at + 1 + random.nextInt(19));
                case 1 -> json.setLength(at);
                default -> json.setCharAt(at, (char) (32 + random.nextInt(95)));
            }
            UnreadableFile unreadable = problemIn(json.toString());
            if (unreadable != null) {
                assertThat(unreadable.problems()).isNotEmpty();
            }
        }
    }
}
