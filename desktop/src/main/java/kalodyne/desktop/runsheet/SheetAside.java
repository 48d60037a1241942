package kalodyne.desktop.runsheet;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.runsheet.Recall;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Sitting;
import kalodyne.core.runsheet.Step;
import kalodyne.desktop.model.SheetModel;

/** Why the step is there and not earlier, what changed since last time, how long things last, and what is intended. */
final class SheetAside extends VBox {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH);
    private static final int MOST_REASONS = 3;
    private static final int MOST_CHANGES = 8;

    private final SheetModel sheet;
    private final VBox words = new VBox(4);

    SheetAside(SheetModel sheet, Runnable more) {
        super(10);
        this.sheet = sheet;
        getChildren().addAll(words, new IntentionPane(sheet, more));
        sheet.stateProperty().addListener(change -> show());
        show();
    }

    private void show() {
        SheetModel.State state = sheet.state();
        words.getChildren().clear();
        state.step().ifPresent(step -> why(state, step));
        state.lastTime().ifPresent(last -> changes(state.recall(), last));
        if (!state.sheet().lasting().isEmpty()) {
            section("It will last");
            state.sheet().lasting().forEach(this::lasting);
        }
    }

    private void why(SheetModel.State state, Step step) {
        section("Why this step, why now");
        line(step.reason()).setId("step-reason");
        state.sheet().whyNotEarlier(step).stream().limit(MOST_REASONS).forEach(this::line);
    }

    private void changes(Recall recall, Sitting last) {
        section("Since " + DAY.format(last.begun().atZone(ZoneId.systemDefault())));
        if (recall.differences().isEmpty()) {
            line("Everything is plugged and stands as it did.");
        }
        recall.differences().stream().limit(MOST_CHANGES).forEach(difference -> line(difference.words()));
        int more = recall.differences().size() - MOST_CHANGES;
        if (more > 0) {
            line("and " + more + " more");
        }
    }

    private void lasting(RunSheet.Lasting lasting) {
        Label line = line(lasting.what() + ": " + lasting.words());
        if (!lasting.isEnough()) {
            line.getStyleClass().add("off");
        }
    }

    private void section(String title) {
        Label label = new Label(title);
        label.getStyleClass().addAll("section", "aside-section");
        words.getChildren().add(label);
    }

    private Label line(String text) {
        Label line = new Label(text);
        line.setWrapText(true);
        line.getStyleClass().add("finding-text");
        words.getChildren().add(line);
        return line;
    }
}
