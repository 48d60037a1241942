package kalodyne.desktop.takes;

import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.setup.Take;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;

/** The log: every take of the run with the knobs as they stood. */
final class TakesAside extends VBox {
    private final StudioModel studio;
    private final TakesModel takes;

    TakesAside(StudioModel studio, TakesModel takes) {
        super(4);
        this.studio = studio;
        this.takes = takes;
        takes.selectionProperty().addListener(change -> show());
        show();
    }

    private void show() {
        getChildren().clear();
        if (takes.selection().takes().isEmpty()) {
            return;
        }
        Label title = new Label("Log");
        title.getStyleClass().add("section");
        getChildren().add(title);
        takes.selection().takes().forEach(take -> getChildren().add(row(take)));
        takes.selection().take().ifPresent(take -> {
            Button remove = new Button("Remove " + take.name() + " from the log");
            remove.getStyleClass().add("action-link");
            remove.setId("remove-take");
            remove.setOnAction(event -> takes.remove());
            getChildren().add(remove);
        });
    }

    private VBox row(Take take) {
        Button name = new Button(take.name() + ", " + TakeTimes.of(take));
        name.getStyleClass().add("action-link");
        name.setOnAction(event -> takes.select(take));
        Label knobs = new Label(knobs(take));
        knobs.getStyleClass().addAll("second", "small");
        knobs.setWrapText(true);
        VBox row = new VBox(name, knobs);
        row.getStyleClass().add("log-row");
        return row;
    }

    /** "volume 5:00, gain 10:45". */
    private String knobs(Take take) {
        return studio.reading()
                .map(reading -> reading.plan().turned(take.positions()).knobs().stream()
                        .filter(knob -> take.positions().containsKey(knob.id()))
                        .map(knob ->
                                knob.control().name() + " " + knob.control().clock())
                        .collect(Collectors.joining(", ")))
                .orElse("");
    }
}
