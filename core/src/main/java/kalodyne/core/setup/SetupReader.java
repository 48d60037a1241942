package kalodyne.core.setup;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.networknt.schema.serialization.node.LocationJsonNodeFactoryFactory;
import com.networknt.schema.utils.JsonNodes;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import kalodyne.core.setup.UnreadableSetup.Problem;

/** Reads a setup from JSON: its form after the schema, then its quantities. */
public final class SetupReader {
    /** A setup of two hundred runs takes half a megabyte. */
    private static final long MOST_BYTES = 32L << 20;

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private SetupReader() {}

    /**
     * Reads a file.
     *
     * @throws UnreadableSetup where it cannot be read; says everything that is wrong
     */
    public static Setup read(Path file) throws UnreadableSetup {
        return read(text(file), file);
    }

    /**
     * Reads a text.
     *
     * @param file what to call it in messages
     */
    public static Setup read(String json, Path file) throws UnreadableSetup {
        JsonNode root = parse(json, file);
        requireKnownVersion(root, file);
        List<Problem> formProblems = SchemaHolder.SCHEMA.validate(root).stream()
                // A misspelt name is both unknown and missing: the misspelling is the one to tell first.
                .sorted(Comparator.comparing(error -> !error.getKeyword().equals("additionalProperties")))
                .map(error -> SchemaProblem.of(error, root))
                .distinct()
                .toList();
        if (!formProblems.isEmpty()) {
            throw new UnreadableSetup(file, formProblems);
        }
        SetupMapping mapping = new SetupMapping();
        Setup setup = mapping.setup(new JsonPlace(root));
        if (!mapping.problems().isEmpty()) {
            throw new UnreadableSetup(file, mapping.problems());
        }
        return setup;
    }

    private static String text(Path file) throws UnreadableSetup {
        try {
            if (Files.isRegularFile(file) && Files.size(file) > MOST_BYTES) {
                throw unreadable(file, "It is far too large for a setup.", "Choose the setup file, not a recording.");
            }
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(Files.readAllBytes(file)))
                    .toString();
        } catch (UnreadableSetup e) {
            throw e;
        } catch (NoSuchFileException e) {
            throw unreadable(file, "There is no such file.", "Check its name, or whether it was moved.");
        } catch (CharacterCodingException e) {
            throw unreadable(file, "It is not a text in UTF-8.", "Choose a setup file; they are JSON in UTF-8.");
        } catch (IOException e) {
            throw unreadable(file, "It cannot be opened.", "Check that it is a file and that you may read it.");
        }
    }

    private static JsonNode parse(String json, Path file) throws UnreadableSetup {
        try {
            String text = json.startsWith("\ufeff") ? json.substring(1) : json;
            MAPPER.readTree(text);
            return JsonNodes.readTree(MAPPER, text, new LocationJsonNodeFactoryFactory());
        } catch (JsonProcessingException e) {
            JsonLocation where = e.getLocation();
            String place = where == null ? "the whole of it" : "line " + where.getLineNr();
            throw new UnreadableSetup(
                    file,
                    List.of(new Problem(
                            place,
                            "It is not valid JSON here: " + shorten(e.getOriginalMessage()) + ".",
                            "Check commas, quotes and brackets.")));
        } catch (StackOverflowError e) {
            throw unreadable(file, "It is nested far too deeply.", "Choose a setup file.");
        }
    }

    private static void requireKnownVersion(JsonNode root, Path file) throws UnreadableSetup {
        if (!root.isObject() || !root.path("format").asText().equals("kalodyne-setup")) {
            throw unreadable(
                    file, "It is not a Kalodyne setup.", "A setup begins with \"format\": \"kalodyne-setup\".");
        }
        JsonNode version = root.path("version");
        if (version.isInt() && version.asInt() > 1) {
            throw unreadable(
                    file,
                    "It was written by a newer Kalodyne (version " + version.asInt() + " of the format).",
                    "Open it with that one, or export it there for version 1.");
        }
    }

    private static UnreadableSetup unreadable(Path file, String what, String remedy) {
        return new UnreadableSetup(file, List.of(new Problem("the whole of it", what, remedy)));
    }

    private static String shorten(String message) {
        String line = message.lines().findFirst().orElse("").strip();
        return line.length() > 120 ? line.substring(0, 120) + "…" : line;
    }

    /** Compiled when the first setup is read, not when the program starts. */
    private static final class SchemaHolder {
        static final Schema SCHEMA = load();

        private static Schema load() {
            try (InputStream in = SetupReader.class.getResourceAsStream("setup.schema.json")) {
                return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(in);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
