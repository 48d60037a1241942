package kalodyne.desktop.levels;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.Station;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.StudioModel;

/** The key to the three lines, and the values that the chosen station is described with, to be corrected in place. */
final class LevelsAside extends VBox {
    private final StudioModel studio;
    private final Label here = new Label();
    private final Label title = new Label();
    private final GridPane fields = new GridPane();
    private final Label problem = new Label();
    private final NoiseShares noise = new NoiseShares();
    private final RangeFacts range = new RangeFacts();
    private final Label noiseTitle = new Label();
    private final GearFields gear;
    /** By what they are about. */
    private final Map<String, QuantityField> shown = new LinkedHashMap<>();

    private Object built;

    LevelsAside(StudioModel studio) {
        super(8);
        this.studio = studio;
        Styled.of(here).as("finding-text").wrap().id("station-levels");
        title.getStyleClass().add("section");
        fields.getStyleClass().add("fields");
        Styled.of(problem).as("problem", "small").id("field-problem").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        gear = new GearFields(studio);
        noiseTitle.getStyleClass().add("section");
        Label rangeTitle =
                Styled.of(new Label("Room for the music")).as("section").node();
        getChildren().addAll(legend(), rangeTitle, range, noiseTitle, noise, title, here, fields, problem);
        studio.readingProperty().addListener(change -> show());
        studio.focusProperty().addListener(change -> show());
        show();
    }

    private static VBox legend() {
        Label title = Styled.of(new Label("Lines")).as("section").node();
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
        Label label = Styled.of(new Label(words)).as("second", "small").node();
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
        RunLevels run = studio.reading().orElseThrow();
        Station station = run.plan().trace().stations().get(studio.focus());
        List<GearFields.Field> values = gear.of(run.plan(), station.index());
        Object toBuild = List.of(run.plan().trace().key(), station);
        if (!toBuild.equals(built)) {
            built = toBuild;
            build(values);
        }
        here.setText(run.plan().leaving(station.index()).words());
        title.setText(station.words());
        Map<String, String> told = values.stream()
                .collect(Collectors.toMap(GearFields.Field::id, GearFields.Field::shown, (one, other) -> one));
        shown.forEach((id, control) -> control.show(told.getOrDefault(id, "")));
        noiseTitle.setText(run.plan().isRecorded() ? "Noise in the track" : "Noise at the ears");
        noise.show(run.plan());
        range.show(run);
    }

    private void build(List<GearFields.Field> values) {
        fields.getChildren().clear();
        shown.clear();
        problem.setText("");
        values.forEach(this::add);
    }

    private void add(GearFields.Field field) {
        QuantityField control = new QuantityField(field.typed(), problem::setText);
        Label label = Styled.of(new Label(field.label())).as("second", "small").node();
        label.setMinWidth(0);
        label.setWrapText(true);
        Styled.of(control)
                .id("field-" + field.id().replace(' ', '-'))
                .tip(field.help())
                .spoken(field.label());
        control.setPrefColumnCount(7);
        control.setMinWidth(Region.USE_PREF_SIZE);
        label.setLabelFor(control);
        label.setTooltip(new Tooltip(field.help()));
        GridPane.setHgrow(label, Priority.ALWAYS);
        fields.addRow(shown.size(), label, control);
        shown.put(field.id(), control);
    }
}
