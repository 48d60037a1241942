package kalodyne.desktop.shelf;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kalodyne.core.gear.ControlRange;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Part;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** The values of some parts, a line each: what, how much, where that is from. */
final class ValueGrid extends GridPane {

    private final ShelfModel shelf;
    private final Overlay overlay;
    private final Consumer<String> explain;
    private final List<Row> rows = new ArrayList<>();
    private final Map<String, QuantityField> ranges = new LinkedHashMap<>();
    private String layout = "";

    private record Row(String mark, Fact<?> fact, QuantityField field, ProvenanceButton from) {}

    ValueGrid(ShelfModel shelf, Overlay overlay, Consumer<String> explain) {
        this.shelf = shelf;
        this.overlay = overlay;
        this.explain = explain;
        getStyleClass().add("values");
        setId("values");
        ColumnConstraints what = new ColumnConstraints();
        what.setMinWidth(Region.USE_PREF_SIZE);
        ColumnConstraints is = new ColumnConstraints();
        is.setHgrow(Priority.ALWAYS);
        is.setMinWidth(Region.USE_PREF_SIZE);
        ColumnConstraints from = new ColumnConstraints();
        from.setMinWidth(Region.USE_PREF_SIZE);
        getColumnConstraints().addAll(what, is, from);
    }

    /** Shows parts; fields that stay where they are keep the focus and what is being typed. */
    void show(String owner, List<Part> parts, List<DeviceControl> controls) {
        StringBuilder now = new StringBuilder(owner);
        parts.forEach(
                part -> now.append('|').append(part.mark()).append(part.facts().known()));
        controls.forEach(control -> now.append('|').append(control.id()));
        if (!now.toString().equals(layout)) {
            layout = now.toString();
            build(parts);
            addControls(controls);
        }
        ranges.forEach((id, field) -> controls.stream()
                .filter(control -> control.id().equals(id))
                .forEach(control ->
                        field.show(control.taper().map(ControlRange::print).orElse(""))));
        for (Row row : rows) {
            parts.stream().filter(part -> part.mark().equals(row.mark())).forEach(part -> show(row, part));
        }
    }

    private void addControls(List<DeviceControl> controls) {
        ranges.clear();
        int line = getRowCount();
        if (!controls.isEmpty()) {
            add(section("Controls"), 0, line++, 3, 1);
        }
        for (DeviceControl control : controls) {
            Label label = Styled.of(new Label(control.name()))
                    .as("second", "small")
                    .whole()
                    .node();
            add(label, 0, line);
            if (control.taper().isPresent()) {
                QuantityField field = new QuantityField(text -> shelf.range(control.id(), text), explain);
                field.setId("range-" + control.id());
                field.getStyleClass().add("value-field");
                field.setAccessibleText(control.name() + ", range");
                field.setTooltip(new Tooltip("What it does fully down and fully up. For example +4 dB to +58 dB."));
                label.setLabelFor(field);
                add(field, 1, line++, 2, 1);
                ranges.put(control.id(), field);
            } else {
                Label positions = new Label(String.join(" / ", control.positions()));
                positions.getStyleClass().add("small");
                add(positions, 1, line++, 2, 1);
            }
        }
    }

    private static Label section(String words) {
        Label title = Styled.of(new Label(words)).as("section").node();
        title.setMaxWidth(Double.MAX_VALUE);
        return title;
    }

    private static void show(Row row, Part part) {
        row.field().show(part.facts().printed(row.fact()).orElse(""));
        part.facts().get(row.fact()).ifPresent(value -> row.from().show(value.from()));
    }

    private void build(List<Part> parts) {
        getChildren().clear();
        rows.clear();
        int line = 0;
        for (Part part : parts) {
            List<Fact<?>> unknown = Fact.all(part.of()).stream()
                    .filter(fact -> !part.facts().known().contains(fact))
                    .toList();
            boolean isSilent = part.facts().known().isEmpty() && !isWorthAsking(part);
            if (isSilent) {
                continue;
            }
            add(section(part.label()), 0, line, 2, 1);
            if (!unknown.isEmpty()) {
                add(more(part, unknown), 2, line);
            }
            line++;
            for (Fact<?> fact : Fact.all(part.of())) {
                if (part.facts().known().contains(fact)) {
                    addRow(line++, part, fact);
                }
            }
        }
    }

    private static boolean isWorthAsking(Part part) {
        return part.of() == Fact.Of.SOCKET || part.of() == Fact.Of.LEAD;
    }

    private void addRow(int line, Part part, Fact<?> fact) {
        Label label = new Label(fact.label());
        Styled.of(label).as("second", "small").whole();
        QuantityField field = new QuantityField(text -> shelf.value(part.mark(), fact, text), explain);
        field.setId("value-" + part.mark().replace(' ', '-') + "-" + fact.id());
        Styled.of(field).as("value-field").spoken(part.label() + ", " + fact.label());
        Tooltip help =
                new Tooltip(fact.help() + " For example " + fact.quantity().example() + ".");
        field.setTooltip(help);
        label.setTooltip(help);
        label.setLabelFor(field);
        ProvenanceButton from =
                new ProvenanceButton(shelf, overlay, change -> shelf.provenance(part.mark(), fact, change));
        from.setId("from-" + part.mark().replace(' ', '-') + "-" + fact.id());
        addRow(line, label, field, from);
        rows.add(new Row(part.mark(), fact, field, from));
    }

    /** Offers what is not known yet. */
    private MenuButton more(Part part, List<Fact<?>> unknown) {
        MenuButton more = new MenuButton("add…");
        more.getStyleClass().addAll("quiet", "small-button");
        Styled.of(more)
                .id("more-" + part.mark().replace(' ', '-'))
                .tip("Add a value that is not known yet")
                .whole();
        for (Fact<?> fact : unknown) {
            MenuItem item = new MenuItem(fact.label() + "…");
            item.setOnAction(event -> ask(part, fact));
            more.getItems().add(item);
        }
        return more;
    }

    private void ask(Part part, Fact<?> fact) {
        TextPages.lay(
                overlay,
                part.label() + ": " + Print.withinSentence(fact.label()),
                "",
                "For example " + fact.quantity().example(),
                "Add",
                typed -> shelf.value(part.mark(), fact, typed));
    }
}
