package kalodyne.core.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.networknt.schema.Error;
import com.networknt.schema.path.NodePath;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;

/** Words what the schema's validator found so that somebody who wrote the file by hand can mend it. */
final class SchemaProblem {
    private SchemaProblem() {}

    static Problem of(Error error, JsonNode root, String kind) {
        String document = "docs/formats/" + kind + ".md";
        JsonNode node = nodeAt(root, error.getInstanceLocation());
        String place = JsonPlace.words(path(error.getInstanceLocation()), node);
        String field = error.getProperty();
        return switch (error.getKeyword()) {
            case "additionalProperties" ->
                new Problem(place, "“" + shown(field) + "” is not known here.", "Remove it or check its spelling.");
            case "required" ->
                new Problem(
                        place, "“" + shown(field) + "” is missing.", "Add it; " + document + " tells what it holds.");
            case "type" -> new Problem(place, "It is of the wrong kind.", type(error));
            case "enum" ->
                new Problem(
                        place,
                        "“" + shown(node.asText()) + "” is not a choice here.",
                        "Choose one of " + list(error.getSchemaNode()) + ".");
            case "const" -> new Problem(place, "It must be " + error.getSchemaNode() + ".", "Change it to that.");
            case "minimum", "maximum" ->
                new Problem(place, node.asText() + " is outside the range.", "Give a number " + range(error) + ".");
            case "minLength" -> new Problem(place, "Nothing is written here.", "Write a value.");
            case "maxLength" -> new Problem(place, "The text is too long.", "Shorten it.");
            case "minProperties", "maxProperties" ->
                new Problem(place, "It needs exactly one entry.", "Choose one of linear, audio, steps and points.");
            case "minItems", "maxItems" -> new Problem(place, "There are too few or too many of them.", items(error));
            case "pattern" ->
                new Problem(
                        place,
                        "“" + shown(node.asText()) + "” has letters that a mark cannot have.",
                        "Use a to z, 0 to 9 and hyphens.");
            default -> new Problem(place, error.getMessage() + ".", "Compare with " + document + ".");
        };
    }

    private static JsonNode nodeAt(JsonNode root, NodePath path) {
        JsonNode node = root;
        for (int i = 0; i < path.getNameCount(); i++) {
            Object element = path.getElement(i);
            node = element instanceof Integer index ? node.path(index) : node.path(element.toString());
        }
        return node;
    }

    private static String path(NodePath path) {
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < path.getNameCount(); i++) {
            Object element = path.getElement(i);
            parts.add(element instanceof Integer index ? String.valueOf(index + 1) : element.toString());
        }
        return String.join(" › ", parts);
    }

    private static String type(Error error) {
        String wanted = error.getSchemaNode().isArray()
                ? list(error.getSchemaNode())
                : error.getSchemaNode().asText();
        return switch (wanted) {
            case "string" -> "Write a text in quotes, with its unit if it is a quantity: \"10 kΩ\".";
            case "integer" -> "Write a whole number without quotes.";
            case "number" -> "Write a number without quotes.";
            default -> "Write " + wanted + ".";
        };
    }

    private static String range(Error error) {
        return error.getKeyword().equals("minimum")
                ? "of " + error.getSchemaNode().asText() + " or more"
                : "of " + error.getSchemaNode().asText() + " or less";
    }

    private static String items(Error error) {
        String limit = error.getSchemaNode().asText();
        return error.getKeyword().equals("minItems")
                ? "Give " + limit + " or more."
                : "Give " + limit + " at the most.";
    }

    private static String list(JsonNode array) {
        List<String> words = new ArrayList<>();
        for (Iterator<JsonNode> each = array.elements(); each.hasNext(); ) {
            words.add(each.next().asText());
        }
        return String.join(", ", words);
    }

    private static String shown(String text) {
        return text != null && text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
