package kalodyne.desktop.shell;

import java.util.Comparator;
import java.util.Map;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.exchange.ImportPlan;
import kalodyne.core.studio.exchange.ImportPlan.Effect;
import kalodyne.core.studio.exchange.ImportPlan.Line;
import kalodyne.core.studio.exchange.ImportPlan.Mode;
import kalodyne.desktop.control.Styled;

/** Shows what would come in, before it does. */
final class ImportPage extends VBox {
    private final Map<Mode, ImportPlan> plans;
    private final Label summary = new Label();
    private final ListView<Line> lines = new ListView<>();
    private final Button bring = new Button("Bring it in");
    private Mode mode = Mode.MERGE;

    /**
     * A page.
     *
     * @param plans what would change, either way
     * @param take is given the way that was agreed to
     */
    ImportPage(String fileName, Map<Mode, ImportPlan> plans, Consumer<Mode> take, Runnable closed) {
        this.plans = plans;
        getStyleClass().addAll("palette", "import-page");
        setId("import-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label head = Styled.of(new Label("What comes in from " + fileName))
                .as("card-title")
                .node();
        ToggleGroup modes = new ToggleGroup();
        RadioButton merge = mode("import-merge", "Replace what is there under the same name", Mode.MERGE, modes);
        RadioButton copy = mode("import-copy", "Add everything as new", Mode.COPY, modes);
        merge.setSelected(true);
        Styled.of(summary).id("import-summary").as("strong");
        lines.setId("import-lines");
        lines.setCellFactory(list -> new LineCell());
        lines.setPlaceholder(new Label("Nothing is in it."));
        VBox.setVgrow(lines, Priority.ALWAYS);
        Styled.of(bring).id("bring-in").as("primary");
        bring.setOnAction(event -> {
            closed.run();
            take.accept(mode);
        });
        Button leave =
                Styled.of(new Button("Cancel")).action(() -> closed.run()).node();
        Label undo = Styled.of(new Label("Undo takes all of it back."))
                .as("second", "small")
                .node();
        HBox buttons = new HBox(10, bring, leave, undo);
        buttons.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(head, merge, copy, summary, lines, buttons);
        show(Mode.MERGE);
    }

    void focus() {
        bring.requestFocus();
    }

    private RadioButton mode(String id, String words, Mode meant, ToggleGroup group) {
        RadioButton button = Styled.of(new RadioButton(words)).id(id).node();
        button.setToggleGroup(group);
        button.setOnAction(event -> show(meant));
        return button;
    }

    private void show(Mode chosen) {
        mode = chosen;
        ImportPlan plan = plans.get(mode);
        summary.setText(plan.summary());
        bring.setDisable(!plan.changesAnything());
        lines.getItems()
                .setAll(plan.lines().stream()
                        .sorted(Comparator.comparing(line -> order(line.effect())))
                        .toList());
    }

    private static int order(Effect effect) {
        return switch (effect) {
            case CHANGED -> 0;
            case ADDED -> 1;
            case SAME -> 2;
        };
    }

    private static final class LineCell extends ListCell<Line> {
        private final Label name = new Label();
        private final Label details = new Label();
        private final VBox box = new VBox(1, name, details);

        LineCell() {
            name.getStyleClass().add("medium");
            Styled.of(details).as("second", "small").wrap();
            details.managedProperty().bind(details.textProperty().isNotEmpty());
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Line line, boolean isEmpty) {
            super.updateItem(line, isEmpty);
            setGraphic(isEmpty || line == null ? null : box);
            if (!isEmpty && line != null) {
                name.setText(
                        line.name() + " · " + line.kind() + ", " + line.effect().word());
                details.setText(String.join("\n", line.details()));
            }
        }
    }
}
