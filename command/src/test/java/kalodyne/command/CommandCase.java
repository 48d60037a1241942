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
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** A command as another program calls it: its exit status, what it prints and complains of, JSON after its published schema. */
abstract class CommandCase {
    private static final Path FORMATS = Path.of("../docs/formats");

    @TempDir
    Path folder;

    final ByteArrayOutputStream printed = new ByteArrayOutputStream();
    final ByteArrayOutputStream complained = new ByteArrayOutputStream();
    final Output output = new Output(
            new PrintStream(printed, true, StandardCharsets.UTF_8),
            new PrintStream(complained, true, StandardCharsets.UTF_8));

    int analyse(String... arguments) {
        return new CommandLine(new AnalyseCommand(output)).execute(arguments);
    }

    int levels(String... arguments) {
        return new CommandLine(new LevelsCommand(output)).execute(arguments);
    }

    JsonNode json(String schema) throws IOException {
        String text = printed.toString(StandardCharsets.UTF_8);
        JsonNode node = new JsonMapper().readTree(text);
        try (var in = Files.newInputStream(FORMATS.resolve(schema))) {
            assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                            .getSchema(in)
                            .validate(node))
                    .as(text)
                    .isEmpty();
        }
        return node;
    }

    int run(Object command, Object... arguments) {
        printed.reset();
        complained.reset();
        return new CommandLine(command)
                .execute(Stream.of(arguments).map(Object::toString).toArray(String[]::new));
    }

    String printed() {
        return printed.toString(StandardCharsets.UTF_8);
    }

    String complained() {
        return complained.toString(StandardCharsets.UTF_8);
    }
}
