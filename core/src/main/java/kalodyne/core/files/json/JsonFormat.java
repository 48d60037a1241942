package kalodyne.core.files.json;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.networknt.schema.serialization.node.LocationJsonNodeFactoryFactory;
import com.networknt.schema.utils.JsonNodes;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;

/** One of the published formats: knows its schema, and reads what follows it. */
public enum JsonFormat {
    SETUP("setup"),
    STUDIO("studio"),
    CATALOGUE("catalogue"),
    CAUSES("causes"),
    TIDY("tidy");

    /** The newest version of each format that this program knows. */
    private static final int VERSION = 1;

    /** A studio with thousands of takes has a few megabytes. */
    private static final long MOST_BYTES = 64L << 20;

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private static final JsonMapper TRUSTING = new JsonMapper();

    private final String kind;

    JsonFormat(String kind) {
        this.kind = kind;
    }

    /** As the file says what it is: "kalodyne-setup". */
    public String mark() {
        return "kalodyne-" + kind;
    }

    public int version() {
        return VERSION;
    }

    /** Which of the formats a text says that it has; a text that says nothing of the kind has the one asked for. */
    public static JsonFormat of(String json, JsonFormat otherwise) {
        // The mark stands at the head of every file; a look there is cheaper than reading it twice.
        String head = json.substring(0, Math.min(json.length(), 400));
        for (JsonFormat format : values()) {
            if (head.contains("\"" + format.mark() + "\"")) {
                return format;
            }
        }
        return otherwise;
    }

    /**
     * Reads a file and checks its form.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public JsonPlace read(Path file) throws UnreadableFile {
        return read(TextFile.read(file, kind, MOST_BYTES), file);
    }

    /**
     * Reads a text and checks its form.
     *
     * @param file what to call it in messages
     */
    public JsonPlace read(String json, Path file) throws UnreadableFile {
        JsonNode root = parse(json, file);
        requireKnownVersion(root, file);
        List<Problem> problems = Schemas.of(this).validate(root).stream()
                // A misspelt name is both unknown and missing: the misspelling is the one to tell first.
                .sorted(Comparator.comparing(error -> !error.getKeyword().equals("additionalProperties")))
                .map(error -> SchemaProblem.of(error, root, kind))
                .distinct()
                .toList();
        if (!problems.isEmpty()) {
            throw new UnreadableFile(file, problems);
        }
        return new JsonPlace(root);
    }

    /** Reads a text that ships with the program or that it wrote itself, without checking its form. */
    public JsonPlace trusted(String json, Path file) throws UnreadableFile {
        try {
            return new JsonPlace(TRUSTING.readTree(json));
        } catch (JsonProcessingException e) {
            throw new UnreadableFile(
                    file, Problem.ofWhole("It is damaged: " + shorten(e.getOriginalMessage()) + ".", "Use a backup."));
        }
    }

    private static JsonNode parse(String json, Path file) throws UnreadableFile {
        try {
            String text = json.startsWith("\ufeff") ? json.substring(1) : json;
            MAPPER.readTree(text);
            return JsonNodes.readTree(MAPPER, text, new LocationJsonNodeFactoryFactory());
        } catch (StreamConstraintsException e) {
            throw tooDeep(file);
        } catch (JsonProcessingException e) {
            JsonLocation where = e.getLocation();
            String place = where == null ? "the whole of it" : "line " + where.getLineNr();
            throw new UnreadableFile(
                    file,
                    new Problem(
                            place,
                            "It is not valid JSON here: " + shorten(e.getOriginalMessage()) + ".",
                            "Check commas, quotes and brackets."));
        } catch (StackOverflowError e) {
            throw tooDeep(file);
        }
    }

    private static UnreadableFile tooDeep(Path file) {
        return new UnreadableFile(
                file, Problem.ofWhole("It is nested far too deeply.", "Choose a file that Kalodyne wrote."));
    }

    private void requireKnownVersion(JsonNode root, Path file) throws UnreadableFile {
        if (!root.isObject() || !root.path("format").asText().equals(mark())) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole(
                            "It is not a Kalodyne " + kind + ".",
                            "A " + kind + " begins with \"format\": \"" + mark() + "\"."));
        }
        JsonNode version = root.path("version");
        if (version.isInt() && version.asInt() > VERSION) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole(
                            "It was written by a newer Kalodyne (version " + version.asInt() + " of the format).",
                            "Open it with that one, or export it there for version " + VERSION + "."));
        }
    }

    private static String shorten(String message) {
        String line = message.lines().findFirst().orElse("").strip();
        return line.length() > 120 ? line.substring(0, 120) + "…" : line;
    }

    /** Compiled when the first file is read, not when the program starts. */
    private static final class Schemas {
        private static final SchemaRegistry REGISTRY = SchemaRegistry.withDefaultDialect(
                SpecificationVersion.DRAFT_2020_12, builder -> builder.schemas(Schemas::text));

        static Schema of(JsonFormat format) {
            return REGISTRY.getSchema(SchemaLocation.of(address(format.kind)));
        }

        private static String address(String name) {
            return "urn:kalodyne:" + name + ":" + VERSION;
        }

        /** The schema of an address; null, as the library wants it, for addresses that are not ours. */
        private static String text(String address) {
            String[] parts = address.split(":", -1);
            boolean isOurs = parts.length == 4 && address.equals(address(parts[2]));
            try (InputStream in = isOurs ? JsonFormat.class.getResourceAsStream(parts[2] + ".schema.json") : null) {
                return in == null ? null : new String(in.readAllBytes(), StandardCharsets.UTF_8);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
