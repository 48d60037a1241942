package kalodyne.desktop.runsheet;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.runsheet.Caution;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Section;
import kalodyne.core.runsheet.SheetProgress;
import kalodyne.core.runsheet.Task;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.model.SheetModel;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.shell.PrintMenu;

/** The steps: what is done quietly above, the one that is now in the middle, what comes below it. */
final class SheetView extends VBox {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ROOT);
    private static final double TENTH_OF_SECOND = 100;

    private final SheetModel sheet;
    private final StudioModel studio;
    private final Label sentence = new Label();
    private final Label second = new Label();
    private final VBox list = new VBox();
    private final ScrollPane scroll = new DownScroll(list);
    private Node shownCard;
    private final Button begin = new Button("Begin");
    private final Button close = new Button("End this session");
    private final CheckBox brief = new CheckBox("Only what differs from last time");
    private final PrintMenu print;
    private final Timeline clock = new Timeline();
    private final StepCard card;

    SheetView(SheetModel sheet, PaperModel paper, StudioModel studio) {
        this.sheet = sheet;
        this.studio = studio;
        this.card = new StepCard(sheet);
        getStyleClass().add("room");
        sentence.setId("sheet-sentence");
        Styled.of(second).as("second", "small").wrap();
        Styled.of(begin).id("sheet-begin").as("primary").tip("Space").action(() -> sheet.begin());
        Styled.of(close).id("sheet-close").action(() -> sheet.finish());
        for (Button button : new Button[] {begin, close}) {
            button.setMinWidth(Region.USE_PREF_SIZE);
            button.managedProperty().bind(button.visibleProperty());
        }
        Styled.of(brief).id("sheet-short").as("small");
        brief.setTooltip(new Tooltip("And every step of safety"));
        brief.managedProperty().bind(brief.visibleProperty());
        brief.setOnAction(event -> sheet.showShort(brief.isSelected()));
        print = new PrintMenu("sheet-print", paper, paper::printables);
        scroll.setId("sheet-scroll");
        list.getStyleClass().add("sheet-list");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(new VBox(2, new RoomHeader(sentence, print, begin, close), second, brief), scroll);
        setFocusTraversable(true);
        setAccessibleText("Run sheet");
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        clock.getKeyFrames().add(new KeyFrame(javafx.util.Duration.millis(TENTH_OF_SECOND), event -> tickOn()));
        clock.setCycleCount(Timeline.INDEFINITE);
        sheet.stateProperty().addListener(change -> show());
        show();
    }

    // --- keys --------------------------------------------------------------------------------------------------

    private void pressed(KeyEvent event) {
        boolean isTyping = event.getTarget() instanceof TextInputControl;
        if (isTyping || event.isShortcutDown() || event.isAltDown()) {
            return;
        }
        Runnable action = action(event.getCode(), event.getTarget() instanceof ButtonBase);
        if (action != null) {
            action.run();
            event.consume();
        }
    }

    /** A button that has the focus keeps its Space, but for the one that is the step's own. */
    private Runnable action(KeyCode key, boolean isOnButton) {
        return switch (key) {
            case SPACE -> isOnButton ? null : sheet::done;
            case BACK_SPACE -> sheet::undo;
            case DOWN -> () -> sheet.move(1);
            case UP -> () -> sheet.move(-1);
            case HOME -> () -> sheet.choose(Optional.empty());
            default -> null;
        };
    }

    /** While something waits. */
    private void tickOn() {
        sheet.state().step().ifPresent(step -> sheet.left(step).ifPresent(left -> card.left(step, left)));
        sheet.pass();
    }

    // --- showing -----------------------------------------------------------------------------------------------

    private void show() {
        boolean isTicking = getScene() != null && getScene().getFocusOwner() instanceof CheckBox;
        SheetModel.State state = sheet.state();
        RunSheet shown = state.sheet();
        boolean isEmpty = shown.steps().isEmpty();
        sentence.setText(sentence(state));
        second.setText(isEmpty ? "" : second(state));
        begin.setVisible(!isEmpty && state.session().isEmpty());
        brief.setVisible(state.lastTime().isPresent());
        brief.setSelected(sheet.isShort());
        print.setVisible(!isEmpty);
        close.setVisible(state.session().isPresent());
        close.pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("default"), state.isOver());
        list.getChildren().clear();
        shownCard = null;
        if (isEmpty) {
            list.getChildren().add(empty());
        }
        Section section = null;
        List<Task> tasks = shown.tasks();
        Optional<Task> lookedAt = state.task();
        for (int i = 0; i < tasks.size(); i++) {
            Task task = tasks.get(i);
            if (task.section() != section) {
                section = task.section();
                Label head = Styled.of(new Label(section.word()))
                        .as("section", "sheet-section")
                        .node();
                list.getChildren().add(head);
            }
            boolean isLookedAt = lookedAt.filter(task::equals).isPresent();
            Node row = isLookedAt ? card.show(state, task, i + 1) : row(state, task, i + 1);
            if (isLookedAt) {
                shownCard = row;
            }
            list.getChildren().add(row);
        }
        if (sheet.isWaiting()) {
            clock.play();
        } else {
            clock.stop();
        }
        Optional.ofNullable(shownCard).ifPresent(row -> Platform.runLater(() -> reveal(row)));
        if (isTicking && !brief.isFocused()) {
            Node next = card.turnedByKey().isEmpty() ? null : list.lookup("#" + card.turnedByKey());
            (next == null ? this : next).requestFocus();
        }
    }

    private static String sentence(SheetModel.State state) {
        int count = state.sheet().tasks().size();
        if (count == 0) {
            return "Nothing is plugged in this setup yet";
        }
        if (state.session().isEmpty()) {
            return state.sheet().summary();
        }
        return state.progress().done() + " of " + count + " done"
                + state.progress()
                        .now()
                        .map(step -> ": " + step.section().standing())
                        .orElse(": put away until next time");
    }

    private String second(SheetModel.State state) {
        String begun = state.session()
                .map(session -> " · begun " + TIME.format(session.begun().atZone(ZoneId.systemDefault())))
                .orElse("");
        return studio.setup().name() + begun + " · Space ticks, Backspace opens again, arrows look around";
    }

    private static Node empty() {
        Label what = new Label("The steps follow from what is plugged");
        what.getStyleClass().add("room-sentence");
        Label how = new Label(
                "Go to Hook-up and plug something, or let it find a way. Then every lead, switch and knob of it stands here in its safe order, with the reason.");
        Styled.of(how).as("second").wrap();
        VBox box = new VBox(8, what, how);
        box.setAlignment(Pos.CENTER);
        box.getStyleClass().add("drop-zone");
        return box;
    }

    private Node row(SheetModel.State state, Task task, int number) {
        SheetProgress.State progress = state.progress().of(task);
        boolean isOver = progress == SheetProgress.State.DONE || progress == SheetProgress.State.SKIPPED;
        Label mark = new Label(progress == SheetProgress.State.DONE ? "✓" : String.valueOf(number));
        mark.getStyleClass().add(isOver ? "step-tick" : "step-number");
        Label title = new Label(task.title());
        Styled.of(title).wrap().as(isOver ? "step-over" : "step-title");
        VBox words = new VBox(2, title);
        if (progress == SheetProgress.State.AGAIN) {
            Label again = new Label("Look at it again: something before it was undone");
            again.getStyleClass().addAll("off", "small");
            words.getChildren().add(again);
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(12, mark, words);
        Optional<Caution> worst = task.parts().stream()
                .flatMap(part -> part.caution().stream())
                .min(Comparator.comparing(Caution::severity));
        worst.filter(caution -> !isOver)
                .ifPresent(caution ->
                        row.getChildren().addAll(new SeverityMark(caution.severity()), tell(caution.words())));
        String told = isOver ? when(state, task, progress) : worst.isPresent() ? "" : told(task);
        if (!told.isEmpty()) {
            row.getChildren().add(tell(told));
        }
        Styled.of(row).as("step-row").id("step-row-" + number);
        row.setOnMouseClicked(event -> {
            sheet.choose(Optional.of(task.parts().get(0)));
            requestFocus();
        });
        return row;
    }

    private static String told(Task task) {
        return task.isSingle()
                ? task.parts().get(0).tell()
                : Print.counted(task.parts().size(), "part");
    }

    private static Label tell(String words) {
        Label tell = Styled.of(new Label(words)).as("second", "small").whole().node();
        return tell;
    }

    private static String when(SheetModel.State state, Task task, SheetProgress.State progress) {
        return task.parts().stream()
                .flatMap(part -> state.tick(part).stream())
                .map(Tick::at)
                .max(Comparator.naturalOrder())
                .map(at -> (progress == SheetProgress.State.SKIPPED ? "skipped " : "")
                        + TIME.format(at.atZone(ZoneId.systemDefault())))
                .orElse("");
    }

    /** Scrolls so that a row stands in the middle third, with what was done before it in sight. */
    private void reveal(Node row) {
        scroll.applyCss();
        scroll.layout();
        double height = list.getHeight();
        double seen = scroll.getViewportBounds().getHeight();
        if (height > seen && row.getParent() == list) {
            double middle = row.getBoundsInParent().getCenterY() - seen / 2.5;
            scroll.setVvalue(Math.max(0, Math.min(1, middle / (height - seen))));
        }
    }
}
