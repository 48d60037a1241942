package kalodyne.core.files.json;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.utils.JsonNodes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A node of a JSON file and the way to it, for messages that tell where something stands. The way is put into words only
 * when somebody asks for it: of thousands of places hardly one is ever told.
 */
public final class JsonPlace {
    private final JsonNode node;
    private final JsonPlace parent;
    private final String step;

    public JsonPlace(JsonNode root) {
        this(root, null, "");
    }

    private JsonPlace(JsonNode node, JsonPlace parent, String step) {
        this.node = node;
        this.parent = parent;
        this.step = step;
    }

    /** The node; a missing one where there is none. */
    public JsonNode node() {
        return node;
    }

    /** From the top: "runs › 1 › lead"; list places count from 1. */
    public String path() {
        if (parent == null) {
            return "";
        }
        String before = parent.path();
        return before.isEmpty() ? step : before + " › " + step;
    }

    public JsonPlace get(String field) {
        return new JsonPlace(node.path(field), this, field);
    }

    public boolean has(String field) {
        return node.has(field);
    }

    public String text(String field) {
        return node.path(field).asText();
    }

    /** A text that may be left out. */
    public String textOr(String field, String otherwise) {
        return node.path(field).asText(otherwise);
    }

    /** The texts of a list; none where there is no list. */
    public List<String> texts(String field) {
        return get(field).items().stream().map(item -> item.node().asText()).toList();
    }

    /** The fields of an object, in the order of the file. */
    public List<String> fields() {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    public List<JsonPlace> items() {
        return IntStream.range(0, node.size())
                .mapToObj(i -> new JsonPlace(node.get(i), this, String.valueOf(i + 1)))
                .toList();
    }

    /** "runs › 1 › lead › length, line 14". */
    public String words() {
        return words(path(), node);
    }

    static String words(String path, JsonNode node) {
        List<String> parts = new ArrayList<>();
        if (!path.isEmpty()) {
            parts.add(path);
        }
        line(node).ifPresent(line -> parts.add("line " + line));
        return parts.isEmpty() ? "the whole of it" : String.join(", ", parts);
    }

    /** Only what came from a file with its form checked remembers its line. */
    private static Optional<Integer> line(JsonNode node) {
        try {
            return Optional.ofNullable(node)
                    .map(JsonNodes::tokenStreamLocationOf)
                    .map(JsonLocation::getLineNr);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
