package kalodyne.desktop.runsheet;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.runsheet.Act;
import kalodyne.core.runsheet.Order;
import kalodyne.core.runsheet.SheetProgress;
import kalodyne.core.runsheet.Step;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Task;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.sums.Spans;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.LinesField;
import kalodyne.desktop.control.PhotoThumb;
import kalodyne.desktop.control.PictureChooser;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.SheetModel;

/** The step that is looked at, large: what to do, what to mind, what to expect, and what to press. */
final class StepCard {
    private static final int NOTE_ROWS = 2;

    private final SheetModel sheet;
    private final SearchPane search;
    private Button done = new Button();
    private String noteOf = "";

    /** The tick that was turned by a key: whoever does that goes on from there. */
    private String turnedByKey = "";

    StepCard(SheetModel sheet) {
        this.sheet = sheet;
        this.search = new SearchPane(sheet);
    }

    Node show(SheetModel.State state, Task task, int number) {
        Label mark = Styled.of(new Label(String.valueOf(number)))
                .as("step-number-now")
                .node();
        Label title = new Label(task.title());
        Styled.of(title).id("step-title").as("step-now-title").wrap();
        VBox words = new VBox(6, title);
        HBox.setHgrow(words, Priority.ALWAYS);
        if (task.isSingle()) {
            about(words, task.parts().get(0));
        } else {
            for (int i = 0; i < task.parts().size(); i++) {
                Node part = part(state, task.parts().get(i), "part-" + (i + 1));
                words.getChildren().add(part);
            }
        }
        boolean isDone = state.progress().of(task) == SheetProgress.State.DONE;
        List<Order> inTheWay = state.session().isPresent() && !isDone ? sheet.inTheWayOf(task) : List.of();
        if (!inTheWay.isEmpty()) {
            words.getChildren().add(waitsFor(state, inTheWay.get(0)));
        }
        Step step = state.step().orElse(task.parts().get(0));
        if (state.search().isPresent()) {
            words.getChildren().add(search.show(state.search().get()));
        } else if (state.session().isPresent()) {
            symptoms(task).ifPresent(words.getChildren()::add);
            words.getChildren().add(kept(state, step));
        }
        HBox card = new HBox(14, mark, words, buttons(state, task, isDone, !inTheWay.isEmpty()));
        Styled.of(card).as("step-card").id("step-card");
        return card;
    }

    /** How it is done, what to expect, what to mind. */
    private static void about(VBox words, Step step) {
        add(words, step.detail());
        add(words, expected(step));
        step.caution().ifPresent(caution -> {
            Label caring = wrapped(caution.words());
            caring.getStyleClass().add("medium");
            HBox row = new HBox(7, new SeverityMark(caution.severity()), caring);
            row.setAlignment(Pos.TOP_LEFT);
            words.getChildren().add(row);
        });
    }

    /** A part of a task, with a tick of its own once the sheet is gone through. */
    private Node part(SheetModel.State state, Step part, String id) {
        boolean isDone = state.progress().of(part) == SheetProgress.State.DONE;
        Label title = new Label(part.title());
        Styled.of(title).wrap().as(isDone ? "step-over" : "step-title");
        VBox words = new VBox(2, title);
        if (!isDone) {
            about(words, part);
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(8, words);
        if (state.session().isPresent()) {
            CheckBox tick = new CheckBox();
            tick.setId(id);
            tick.setAccessibleText(part.title());
            tick.setSelected(isDone);
            tick.addEventFilter(KeyEvent.KEY_PRESSED, event -> turnedByKey = id);
            tick.addEventFilter(MouseEvent.MOUSE_PRESSED, event -> turnedByKey = "");
            tick.setOnAction(event -> sheet.turn(part, tick.isSelected()));
            row.getChildren().add(0, tick);
        } else {
            row.getChildren().add(0, new Label("·"));
        }
        row.getStyleClass().add("step-part");
        return row;
    }

    private static String expected(Step step) {
        if (step.tell().isEmpty()) {
            return "";
        }
        boolean isMeasured = step.run().isPresent() || step.act() == Act.TEST_TAKE;
        return (isMeasured ? "Expect: " + step.tell() : Print.startingSentence(step.tell())) + ".";
    }

    private static void add(VBox words, String text) {
        if (!text.isEmpty()) {
            words.getChildren().add(wrapped(text));
        }
    }

    private static Label wrapped(String text) {
        Label label = Styled.of(new Label(text)).as("step-detail").wrap().node();
        return label;
    }

    private static Node waitsFor(SheetModel.State state, Order order) {
        String before = state.sheet().step(order.before()).map(Step::title).orElse("");
        Label words = new Label("Not yet. First “" + before + "”: " + order.why());
        Styled.of(words).id("step-not-yet").as("off", "step-detail").wrap();
        return words;
    }

    // --- buttons -----------------------------------------------------------------------------------------------

    private Node buttons(SheetModel.State state, Task task, boolean isDone, boolean isBlocked) {
        VBox buttons = new VBox(6);
        buttons.setAlignment(Pos.TOP_RIGHT);
        buttons.setMinWidth(Region.USE_PREF_SIZE);
        if (state.session().isEmpty()) {
            return buttons;
        }
        done = new Button(doneWords(task.parts().get(0)));
        Styled.of(done).id("step-done").as("primary");
        done.setDisable(isDone || isBlocked);
        done.setOnAction(event -> sheet.done());
        Button other = new Button(isDone ? "Open again" : "Skip");
        other.setId(isDone ? "step-again" : "step-skip");
        Styled.of(other).as("quiet").tip(isDone ? "Backspace" : "Ctrl+Shift+D");
        other.setOnAction(event -> {
            if (isDone) {
                sheet.undo();
            } else {
                sheet.skip();
            }
        });
        buttons.getChildren().addAll(done, other);
        return buttons;
    }

    private String doneWords(Step step) {
        return step.pause()
                .map(pause -> sheet.left(step)
                        .map(left -> "Wait " + Spans.words(left))
                        .orElse("Start " + Spans.words(pause) + "   Space"))
                .orElse("Done   Space");
    }

    /** Id of the tick that keeps the focus; empty where the whole sheet has it. */
    String turnedByKey() {
        return turnedByKey;
    }

    /** What is left to wait, as it passes. */
    void left(Step step, Duration left) {
        done.setText("Wait " + Spans.words(left.plusMillis(999)));
        done.setAccessibleText("Wait, " + left.toSeconds() + " seconds are left of “" + step.title() + "”");
    }

    private Optional<Node> symptoms(Task task) {
        List<Symptom> symptoms = task.parts().stream()
                .flatMap(part -> part.symptoms().stream())
                .distinct()
                .toList();
        if (symptoms.isEmpty()) {
            return Optional.empty();
        }
        FlowPane all = new FlowPane(6, 6);
        Label instead =
                Styled.of(new Label("Or is it this?")).as("second", "small").node();
        all.getChildren().add(instead);
        for (Symptom symptom : symptoms) {
            Button button = Styled.of(new Button(symptom.word())).as("symptom").node();
            button.setId("symptom-"
                    + symptom.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            button.setOnAction(event -> sheet.notice(symptom));
            all.getChildren().add(button);
        }
        all.setAlignment(Pos.CENTER_LEFT);
        return Optional.of(all);
    }

    // --- what is kept ------------------------------------------------------------------------------------------

    private Node kept(SheetModel.State state, Step step) {
        Optional<Tick> tick = state.tick(step);
        VBox box = new VBox(4);
        boolean isOpen = noteOf.equals(step.id())
                || tick.filter(each -> !each.note().isEmpty()).isPresent();
        if (isOpen) {
            TextArea note = new LinesField(tick.map(Tick::note).orElse(""));
            note.setId("step-note");
            note.setPrefRowCount(NOTE_ROWS);
            note.setPromptText("Anything to remember of this step");
            note.focusedProperty().addListener((property, before, isFocused) -> {
                if (!isFocused) {
                    sheet.note(step, note.getText());
                }
            });
            box.getChildren().add(note);
        }
        HBox row = new HBox(12);
        row.setAlignment(Pos.CENTER_LEFT);
        if (!isOpen) {
            row.getChildren().add(link("Note", "step-add-note", () -> {
                noteOf = step.id();
                sheet.choose(Optional.of(step));
            }));
        }
        row.getChildren().add(link("Photograph…", "step-add-photo", () -> choosePhoto(step, row)));
        tick.map(Tick::photos)
                .orElse(List.of())
                .forEach(photo -> row.getChildren().add(PhotoThumb.of(sheet.fileOf(photo), PhotoThumb.SMALL)));
        box.getChildren().add(row);
        return box;
    }

    private void choosePhoto(Step step, Node owner) {
        PictureChooser.choose("A photograph of this step", owner).ifPresent(file -> sheet.addPhoto(step, file));
    }

    private static Button link(String words, String id, Runnable action) {
        Button button = Styled.of(new Button(words))
                .id(id)
                .as("action-link")
                .action(() -> action.run())
                .node();
        return button;
    }
}
