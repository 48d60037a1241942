package kalodyne.desktop.takes;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kalodyne.core.levels.calibration.Calibration;
import kalodyne.core.levels.calibration.Observed;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.Calibrating;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.shell.Overlay;

/** What the takes of a run say about its source and its knob, before and after, and the choice to believe them. */
final class CalibrationPage extends VBox {
    private static final Map<String, String> MEANINGS = Map.of(
            "predicted", "The loudest peak as the gear is described now.",
            "measured", "The loudest peak in the recording.",
            "then", "The prediction once the gear is described as the takes found it.");

    private final Button correct = new Button("Correct the gear");

    CalibrationPage(TakesModel takes, Overlay overlay) {
        super(10);
        getStyleClass().addAll("palette", "calibration-page");
        setId("calibration-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setPrefWidth(560);
        Optional<Calibrating> calibrating = takes.calibrating();
        Label head = Styled.of(new Label("What the takes say about the gear"))
                .as("card-title")
                .node();
        getChildren().add(head);
        calibrating.ifPresentOrElse(this::show, this::nothing);
        Styled.of(correct).id("calibrate").as("primary");
        correct.setDisable(calibrating.isEmpty() || takes.isReadOnly());
        correct.setOnAction(event -> {
            calibrating.ifPresent(takes::correct);
            overlay.lift();
        });
        Button leave = new Button("Cancel");
        Styled.of(leave).id("calibrate-leave").action(() -> overlay.lift());
        getChildren().add(new HBox(10, correct, leave));
    }

    void focus() {
        correct.requestFocus();
    }

    private void nothing() {
        say("No take of this run says anything yet. Record one that is neither silent nor cut off.");
    }

    private void say(String words) {
        Label label = Styled.of(new Label(words)).wrap().node();
        label.setMinHeight(USE_PREF_SIZE);
        getChildren().add(label);
    }

    private void show(Calibrating calibrating) {
        Calibration calibration = calibrating.calibration();
        String played = calibrating.plan().trace().stations().get(0).name();
        double louder = calibration.source().db();
        String found = calibration.source().isClear()
                ? Print.decimal(Math.abs(louder), 1) + " dB " + (louder >= 0 ? "louder than" : "quieter than")
                : "as loud as";
        say(played + " is " + found + " described, give or take "
                + Print.decimal(calibration.source().uncertaintyDb(), 1) + " dB.");
        String knob = calibrating.knob().words();
        say(calibration
                .travel()
                .map(travel -> Print.startingSentence(knob) + " does " + travel
                        + " over its whole travel compared with what is described.")
                .orElse("They do not tell " + knob
                        + " apart from its description. Takes with it far down and far up would."));
        NumbersTable table = new NumbersTable("calibration", MEANINGS);
        table.begin("take", "knob at", "predicted", "measured", "then");
        for (Observed take : calibration.takes()) {
            double then = take.predictedDb()
                    + louder
                    + calibration
                            .travel()
                            .map(travel -> travel.db() * take.position())
                            .orElse(0.0);
            table.row(List.of(
                    take.take(),
                    calibrating.knob().control().dial().clock(take.position()),
                    Print.decimal(take.predictedDb(), 1),
                    Print.decimal(take.measuredDb(), 1),
                    Print.decimal(then, 1)));
        }
        getChildren().add(table);
        String unusable = calibrating.unusable() == 0
                ? ""
                : " " + (calibrating.unusable() == 1 ? "One take was" : calibrating.unusable() + " takes were")
                        + " left out: cut off, silent, or not read yet.";
        say("Predictions lay " + Print.decimal(calibration.beforeDb(), 1) + " dB off; then they lie "
                + Print.decimal(calibration.afterDb(), 1) + " dB off." + unusable);
    }
}
