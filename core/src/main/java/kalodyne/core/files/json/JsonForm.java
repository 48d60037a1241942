package kalodyne.core.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Optional;

/**
 * How something stands in JSON: told once, for reading and for writing.
 *
 * @param <T> what it is in the program
 */
public interface JsonForm<T> {
    JsonForm<String> TEXT = new Words<>(text -> text, text -> text);
    JsonForm<Double> NUMBER = new Leaf<>(JsonNode::asDouble, Leaf.NODES::numberNode);
    JsonForm<Integer> WHOLE = new Leaf<>(JsonNode::asInt, Leaf.NODES::numberNode);
    JsonForm<Long> LONG = new Leaf<>(JsonNode::asLong, Leaf.NODES::numberNode);
    JsonForm<Boolean> FLAG = new Leaf<>(JsonNode::asBoolean, Leaf.NODES::booleanNode);

    /** Whatever it is. */
    JsonForm<JsonNode> ANY = new Leaf<>(node -> node, node -> node);

    /** What stands at a place; empty where it cannot be read: why is among the problems then. */
    Optional<T> read(JsonPlace place, Problems problems);

    JsonNode write(T value);
}
