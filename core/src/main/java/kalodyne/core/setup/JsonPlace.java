package kalodyne.core.setup;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.utils.JsonNodes;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A node of a JSON file and the way to it, for messages that tell where something stands.
 *
 * @param node the node; a missing one where there is none
 * @param path from the top: "runs › 1 › lead"; list places count from 1
 */
record JsonPlace(JsonNode node, String path) {
    JsonPlace(JsonNode root) {
        this(root, "");
    }

    JsonPlace get(String field) {
        return new JsonPlace(node.path(field), path.isEmpty() ? field : path + " › " + field);
    }

    boolean has(String field) {
        return node.has(field);
    }

    String text(String field) {
        return node.path(field).asText();
    }

    List<JsonPlace> items() {
        return IntStream.range(0, node.size())
                .mapToObj(i -> new JsonPlace(node.get(i), path + " › " + (i + 1)))
                .toList();
    }

    /** "runs › 1 › lead › length, line 14". */
    String words() {
        return words(path, node);
    }

    static String words(String path, JsonNode node) {
        List<String> parts = new ArrayList<>();
        if (!path.isEmpty()) {
            parts.add(path);
        }
        JsonLocation location = node == null ? null : JsonNodes.tokenStreamLocationOf(node);
        if (location != null) {
            parts.add("line " + location.getLineNr());
        }
        return parts.isEmpty() ? "the whole of it" : String.join(", ", parts);
    }
}
