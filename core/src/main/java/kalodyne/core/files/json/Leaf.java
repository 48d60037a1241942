package kalodyne.core.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.Optional;
import java.util.function.Function;

/**
 * Something that has no parts in JSON.
 *
 * @param of makes it of what stands there; throws an IllegalArgumentException that says why it does not
 * @param to what stands there
 */
record Leaf<T>(Function<JsonNode, T> of, Function<T, JsonNode> to) implements JsonForm<T> {
    static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    @Override
    public Optional<T> read(JsonPlace place, Problems problems) {
        return problems.make(place, () -> of.apply(place.node()));
    }

    @Override
    public JsonNode write(T value) {
        return to.apply(value);
    }
}
