package kalodyne.desktop.convert;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.sums.Field;
import kalodyne.core.sums.Sum;
import kalodyne.core.sums.Sums;

/** The sum that is looked at, what was typed into each, and what comes of it. */
public final class ConvertModel {
    private final Map<Sum, Map<String, String>> typed = new HashMap<>();
    private final ReadOnlyObjectWrapper<Sum> sum =
            new ReadOnlyObjectWrapper<>(this, "sum", Sums.all().get(0));
    private final ReadOnlyObjectWrapper<Sum.Worked> worked = new ReadOnlyObjectWrapper<>(this, "worked");

    public ConvertModel() {
        work();
    }

    public ReadOnlyObjectProperty<Sum> sumProperty() {
        return sum.getReadOnlyProperty();
    }

    public Sum sum() {
        return sum.get();
    }

    public ReadOnlyObjectProperty<Sum.Worked> workedProperty() {
        return worked.getReadOnlyProperty();
    }

    /** Looks at another sum; what was typed into it before is still there. */
    public void choose(Sum other) {
        sum.set(other);
        work();
    }

    /** What stands in a field of the sum that is looked at. */
    public String typed(Field<?> field) {
        return typed.getOrDefault(sum(), Map.of()).getOrDefault(field.id(), field.initial());
    }

    public void type(Field<?> field, String text) {
        typed.computeIfAbsent(sum(), key -> new HashMap<>()).put(field.id(), text);
        work();
    }

    /** What was asked, what is known, and what came of it, a line each. */
    public String words() {
        List<String> lines = new ArrayList<>(List.of(sum().title()));
        sum().fields().forEach(field -> lines.add(field.label() + ": " + typed(field)));
        worked.get().answers().forEach(answer -> lines.add(answer.words()));
        return String.join("\n", lines);
    }

    private void work() {
        worked.set(sum().work(typed.getOrDefault(sum(), Map.of())));
    }
}
