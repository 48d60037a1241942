package kalodyne.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The list of all that can be noticed, the documents that tell of it, and the tests that meet it. */
class FindingCodeTest {
    private static final Path DOCUMENTS = Path.of("../docs/formats");
    private static final Pattern ROW = Pattern.compile("(?m)^\\| `([a-z0-9.-]+)` \\| (.*) \\|$");

    private static Set<String> marks() {
        return Arrays.stream(FindingCode.values())
                .map(FindingCode::mark)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void the_document_of_all_codes_is_this_list() throws IOException {
        List<String> rows = new ArrayList<>();
        Matcher matcher = ROW.matcher(Files.readString(DOCUMENTS.resolve("findings.md")));
        while (matcher.find()) {
            rows.add(matcher.group(1) + ": " + matcher.group(2));
        }
        assertThat(rows)
                .containsExactlyElementsOf(Arrays.stream(FindingCode.values())
                        .map(code -> code.mark() + ": " + code.when())
                        .sorted()
                        .toList());
    }

    /** Each code stands in the table of a command, with its severity and its value. */
    @Test
    void each_is_told_of_where_it_is_reported() throws IOException {
        Set<String> told = new TreeSet<>();
        for (String document : List.of("catalogue", "joint", "levels", "analyse", "runsheet")) {
            Matcher matcher = ROW.matcher(Files.readString(DOCUMENTS.resolve(document + ".md")));
            while (matcher.find()) {
                told.add(matcher.group(1));
            }
        }
        assertThat(told).containsAll(marks());
    }

    /** No gear that can be plugged makes a circuit without a solution; it is there for what nobody thought of. */
    private static final String UNREACHABLE = "joint.unsolved";

    /** A rule that no test meets may say anything. */
    @Test
    void each_is_met_by_a_test() throws IOException {
        StringBuilder tests = new StringBuilder();
        for (String module : List.of("core", "command", "desktop")) {
            try (Stream<Path> files = Files.walk(Path.of("..", module, "src/test/java"))) {
                for (Path file : files.filter(each -> each.toString().endsWith(".java"))
                        .filter(each -> !each.endsWith("FindingCodeTest.java"))
                        .toList()) {
                    tests.append(Files.readString(file));
                }
            }
        }
        assertThat(marks().stream()
                        .filter(mark -> !mark.equals(UNREACHABLE))
                        .filter(mark -> !Pattern.compile("(?<![\\w.])(" + Pattern.quote(mark) + "|finding-"
                                        + mark.replace('.', '-') + ")(?![\\w.-])")
                                .matcher(tests)
                                .find()))
                .isEmpty();
    }

    @Test
    void a_code_is_found_by_its_mark_and_knows_its_topic() {
        assertThat(FindingCode.of("hum.ground-loop").topic()).isEqualTo("hum");
        assertThat(FindingCode.of("dropout").topic()).isEqualTo("dropout");
        assertThatThrownBy(() -> FindingCode.of("no.such"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("no.such");
    }
}
