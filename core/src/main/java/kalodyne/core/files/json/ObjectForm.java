package kalodyne.core.files.json;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import kalodyne.core.units.UnreadableQuantity;

/**
 * An object in JSON. Its fields are named once, in the expression that makes the value of them: to write a value, the
 * expression runs over the value's own parts, and what it makes then is not looked at.
 */
public final class ObjectForm<T> implements JsonForm<T> {
    /** Names the fields of an object, and makes a value of what they hold. */
    @FunctionalInterface
    public interface Names<T> {
        T make(Fields<T> fields);
    }

    private final Names<T> names;

    private ObjectForm(Names<T> names) {
        this.names = names;
    }

    /**
     * A form.
     *
     * @param names names the fields and makes a value of them
     */
    public static <T> ObjectForm<T> of(Names<T> names) {
        return new ObjectForm<>(names);
    }

    @Override
    public Optional<T> read(JsonPlace place, Problems problems) {
        ReadFields<T> fields = new ReadFields<>(place, problems);
        try {
            T made = names.make(fields);
            return Optional.of(made).filter(each -> fields.isWhole());
        } catch (UnreadableQuantity | IllegalArgumentException e) {
            if (fields.isWhole()) {
                problems.add(place, e);
            }
        } catch (NullPointerException e) {
            // A part that could not be read is missing, and told already.
            if (fields.isWhole()) {
                throw e;
            }
        }
        return Optional.empty();
    }

    @Override
    public ObjectNode write(T value) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        writeInto(node, value);
        return node;
    }

    void writeInto(ObjectNode node, T value) {
        names.make(new WrittenFields<>(value, node));
    }
}
