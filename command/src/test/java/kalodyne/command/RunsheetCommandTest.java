package kalodyne.command;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import kalodyne.core.testing.Demo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

/** What other programs read of a run sheet. */
class RunsheetCommandTest {
    @TempDir
    Path folder;

    private final ByteArrayOutputStream printed = new ByteArrayOutputStream();
    private final ByteArrayOutputStream complained = new ByteArrayOutputStream();
    private final Output output = new Output(
            new PrintStream(printed, true, StandardCharsets.UTF_8),
            new PrintStream(complained, true, StandardCharsets.UTF_8));

    private int runsheet(String... arguments) {
        return new CommandLine(new RunsheetCommand(output)).execute(arguments);
    }

    private JsonNode json() throws IOException {
        JsonNode node = new JsonMapper().readTree(printed.toString(StandardCharsets.UTF_8));
        try (var in = Files.newInputStream(Path.of("../docs/formats/runsheet.schema.json"))) {
            assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                            .getSchema(in)
                            .validate(node))
                    .isEmpty();
        }
        return node;
    }

    /** Every reason of the demonstration's sheet holds in the order in which its steps are told. */
    @Test
    void the_order_told_keeps_the_reasons_told() throws IOException {
        Path studio = Demo.in(folder);
        assertThat(runsheet(studio.toString(), "--json")).isZero();
        JsonNode sheet = json();
        Map<String, Integer> places = new HashMap<>();
        sheet.get("steps")
                .forEach(step ->
                        places.put(step.get("id").asText(), step.get("number").asInt()));
        int reasons = 0;
        for (JsonNode step : sheet.get("steps")) {
            for (JsonNode after : step.get("after")) {
                assertThat(places.get(after.get("step").asText()))
                        .isLessThan(step.get("number").asInt());
                reasons++;
            }
        }
        assertThat(reasons).isGreaterThan(100);
        assertThat(sheet.get("steps").findValuesAsText("title")).anyMatch(title -> title.contains("Lead 7 (blue)"));
        printed.reset();
        assertThat(runsheet(studio.toString(), "--why", "--setup", "Through the mixer"))
                .isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .contains("Through the mixer: ", "Why: ", "Not before “Speakers off", "Taking down");
    }

    @ParameterizedTest
    @CsvSource({"sheet.pdf, a4, 0", "sheet.pdf, Letter, 0", "boathouse.kalodyne/sheet.pdf, A4, 2", "sheet.pdf, A7, 2"})
    void it_is_written_for_paper(String name, String paper, int status) throws IOException {
        Path studio = Demo.in(folder);
        Path pdf = folder.resolve(name);
        assertThat(runsheet(studio.toString(), "--pdf", pdf.toString(), "--paper", paper))
                .isEqualTo(status);
        assertThat(Files.exists(pdf)).isEqualTo(status == 0);
        if (status == 0) {
            assertThat(new String(Files.readAllBytes(pdf), StandardCharsets.ISO_8859_1))
                    .startsWith("%PDF-");
        }
    }

    @ParameterizedTest
    @CsvSource({"nowhere.json, , There is no such file", "boathouse.kalodyne, Monday, Choose one of"})
    void what_cannot_be_read_is_said(String name, String setup, String message) throws IOException {
        Demo.in(folder);
        String file = folder.resolve(name).toString();
        int status = setup == null ? runsheet(file, "--json") : runsheet(file, "--json", "--setup", setup);
        assertThat(status).isEqualTo(2);
        assertThat(json().get("problems")).isNotEmpty();
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains(message);
    }
}
