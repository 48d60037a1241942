package kalodyne.desktop.runsheet;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import kalodyne.core.runsheet.Recall;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.Step;
import kalodyne.desktop.control.Paragraphs;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;

/** Why the step is there and not earlier, what changed since last time, how long things last, and what is intended. */
final class SheetAside extends VBox {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH);
    private static final String TEXT = "finding-text";
    private static final int MOST_REASONS = 3;
    private static final int MOST_CHANGES = 8;

    private final SheetModel sheet;
    private final Paragraphs words = new Paragraphs(4);

    SheetAside(SheetModel sheet, PlanModel plan, Runnable more) {
        super(10);
        this.sheet = sheet;
        getChildren().addAll(words, new IntentionPane(sheet, plan, more));
        sheet.stateProperty().addListener(change -> show());
        show();
    }

    private void show() {
        SheetModel.State state = sheet.state();
        words.getChildren().clear();
        state.step().ifPresent(step -> why(state, step));
        state.lastTime().ifPresent(last -> changes(state.recall(), last));
        if (!state.sheet().lasting().isEmpty()) {
            words.section("It will last");
            state.sheet().lasting().forEach(this::lasting);
        }
    }

    private void why(SheetModel.State state, Step step) {
        words.section("Why this step, why now");
        words.line(step.reason(), TEXT).setId("step-reason");
        state.sheet().whyNotEarlier(step).stream().limit(MOST_REASONS).forEach(why -> words.line(why, TEXT));
    }

    private void changes(Recall recall, Session last) {
        words.section("Since " + DAY.format(last.begun().atZone(ZoneId.systemDefault())));
        if (recall.differences().isEmpty()) {
            words.line("Everything is plugged and set as it was.", TEXT);
        }
        recall.differences().stream().limit(MOST_CHANGES).forEach(difference -> words.line(difference.words(), TEXT));
        int more = recall.differences().size() - MOST_CHANGES;
        if (more > 0) {
            words.line("and " + more + " more", TEXT);
        }
    }

    private void lasting(RunSheet.Lasting lasting) {
        Label line = words.line(lasting.what() + ": " + lasting.words(), TEXT);
        if (!lasting.isEnough()) {
            line.getStyleClass().add("off");
        }
    }
}
