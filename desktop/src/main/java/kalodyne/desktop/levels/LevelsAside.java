package kalodyne.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import kalodyne.core.run.Run;
import kalodyne.core.run.Station;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.model.RunReading;
import kalodyne.desktop.model.StudioModel;

/** The key to the three lines, and the values that the chosen station is described with, to be corrected in place. */
final class LevelsAside extends VBox {
    private final StudioModel studio;
    private final Label here = new Label();
    private final Label title = new Label();
    private final GridPane fields = new GridPane();
    private final Label problem = new Label();
    private final List<ShownField> shown = new ArrayList<>();
    private Station.Part part;

    private record ShownField(StationFields.Field field, QuantityField control) {}

    LevelsAside(StudioModel studio) {
        super(8);
        this.studio = studio;
        here.getStyleClass().add("finding-text");
        here.setWrapText(true);
        here.setId("station-levels");
        title.getStyleClass().add("section");
        fields.getStyleClass().add("fields");
        problem.getStyleClass().addAll("problem", "small");
        problem.setId("field-problem");
        problem.setWrapText(true);
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        getChildren().addAll(legend(), title, here, fields, problem);
        studio.readingProperty().addListener(change -> show());
        studio.focusProperty().addListener(change -> show());
        show();
    }

    private static VBox legend() {
        Label title = new Label("Lines");
        title.getStyleClass().add("section");
        VBox legend = new VBox(
                title,
                line("legend-peak", "loudest peak"),
                line("legend-average", "average"),
                line("legend-floor", "its noise, all that came so far"));
        legend.getStyleClass().add("legend");
        return legend;
    }

    private static HBox line(String styleClass, String words) {
        Line line = new Line(0, 0, 36, 0);
        line.getStyleClass().add(styleClass);
        Label label = new Label(words);
        label.getStyleClass().addAll("second", "small");
        HBox row = new HBox(10, line, label);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void show() {
        boolean has = studio.reading().isPresent();
        setVisible(has);
        if (!has) {
            return;
        }
        Run run = studio.reading().map(RunReading::run).orElseThrow();
        if (part != studio.focusProperty().get()) {
            part = studio.focusProperty().get();
            build();
        }
        Station station = Station.of(run).get(part.index());
        here.setText(studio.reading().orElseThrow().plan().last(part).words());
        title.setText(station.name() + ", " + station.detail());
        shown.forEach(each -> each.control().show(each.field().shown().apply(run)));
    }

    private void build() {
        fields.getChildren().clear();
        shown.clear();
        problem.setText("");
        int row = 0;
        for (StationFields.Field field : StationFields.of(part)) {
            Label label = new Label(field.label());
            label.getStyleClass().addAll("second", "small");
            label.setMinWidth(Region.USE_PREF_SIZE);
            QuantityField control = new QuantityField(
                    text -> studio.editRun(
                            "change the " + field.label(), run -> field.typed().apply(run, text)),
                    problem::setText);
            control.setId("field-" + field.label().replace(' ', '-'));
            control.setTooltip(new Tooltip(field.help()));
            control.setAccessibleText(field.label());
            label.setLabelFor(control);
            label.setTooltip(new Tooltip(field.help()));
            GridPane.setHgrow(control, Priority.ALWAYS);
            fields.addRow(row++, label, control);
            shown.add(new ShownField(field, control));
        }
    }
}
