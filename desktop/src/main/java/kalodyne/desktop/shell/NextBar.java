package kalodyne.desktop.shell;

import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.job.Jobs;

/** The line at the bottom: the one next thing, the work that runs, and whether all changes are kept. */
final class NextBar extends HBox {
    private final Label step = new Label();
    private final Button go = new Button();

    NextBar(Jobs jobs, ObservableValue<String> kept) {
        getStyleClass().add("next-bar");
        Label next = Styled.of(new Label("Next")).as("second", "small").whole().node();
        Styled.of(step).as("next-step").id("next-step");
        step.setMinWidth(0);
        step.setMaxWidth(Double.MAX_VALUE);
        step.setWrapText(true);
        step.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(step, Priority.ALWAYS);
        Label keptLabel =
                Styled.of(new Label()).as("second", "small").id("kept").whole().node();
        keptLabel.textProperty().bind(kept);
        Styled.of(go).id("next-go").as("primary").whole();
        go.managedProperty().bind(go.visibleProperty());
        getChildren().addAll(next, step, go, progress(jobs), keptLabel);
    }

    /** What is done in the room that is looked at. */
    void show(String nextStep) {
        step.setText(nextStep);
        go.setVisible(false);
    }

    /** What is done elsewhere, and the way there. */
    void show(String nextStep, String there, Runnable going) {
        step.setText(nextStep);
        go.setText(there);
        go.setOnAction(event -> going.run());
        go.setVisible(true);
    }

    /** Goes there, where the job goes on elsewhere. */
    void press() {
        if (go.isVisible()) {
            go.fire();
        }
    }

    private static HBox progress(Jobs jobs) {
        Label title = Styled.of(new Label()).as("small").node();
        ProgressBar bar = new ProgressBar();
        Button cancel = new Button("Cancel");
        Styled.of(cancel).as("quiet").id("job-cancel").action(() -> jobs.cancel());
        HBox row = new HBox(8, title, bar, cancel);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinWidth(Region.USE_PREF_SIZE);
        jobs.statusProperty().addListener((property, before, status) -> {
            title.setText(status.title());
            bar.setProgress(status.done());
            Styled.of(row).shown(!status.isIdle());
        });
        Styled.of(row).shown(false);
        return row;
    }
}
