package kalodyne.desktop.runsheet;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;

/** What is planned: how long, in which tempo, part by part. */
final class IntentionPane extends VBox {
    private static final int COLUMNS = 9;

    private final PlanModel plan;
    private final Label refused = new Label();
    private final QuantityField minutes;
    private final QuantityField tempo;
    private final QuantityField parts;

    /**
     * A pane.
     *
     * @param more shows all that can be planned
     */
    IntentionPane(SheetModel sheet, PlanModel plan, Runnable more) {
        super(6);
        this.plan = plan;
        minutes = field("planned-minutes", "Minutes in all", "30", plan::minutes);
        tempo = field("planned-tempo", "Beats a minute", "none", plan::tempo);
        parts = field("planned-parts", "Parts, one by one", "all at once", plan::parts);
        Label title = Styled.of(new Label("What is planned")).as("section").node();
        Styled.of(refused).as("problem", "small").wrap();
        refused.managedProperty().bind(refused.textProperty().isNotEmpty());
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(5);
        grid.addRow(0, new Label("Minutes in all"), minutes);
        grid.addRow(1, new Label("Beats a minute"), tempo);
        grid.addRow(2, new Label("Parts, one by one"), parts);
        grid.getStyleClass().add("small");
        Button all = new Button("Format, space, power, places…");
        Styled.of(all).id("plan-more").action(() -> more.run());
        getChildren().addAll(title, grid, refused, all);
        sheet.stateProperty().addListener(change -> show());
        show();
    }

    private QuantityField field(String id, String name, String prompt, Consumer<String> take) {
        QuantityField field = Styled.of(new QuantityField(take, refused::setText))
                .id(id)
                .spoken(name)
                .node();
        field.setPromptText(prompt);
        field.setPrefColumnCount(COLUMNS);
        return field;
    }

    private void show() {
        minutes.show(plan.minutes());
        tempo.show(plan.tempo());
        parts.show(plan.parts());
    }
}
