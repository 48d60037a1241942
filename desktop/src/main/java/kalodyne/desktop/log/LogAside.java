package kalodyne.desktop.log;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import kalodyne.core.practice.Exercises;
import kalodyne.core.practice.Fault;
import kalodyne.core.studio.log.Habits;
import kalodyne.core.studio.log.Recurring;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Paragraphs;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** What keeps going wrong, and what went right. */
final class LogAside extends Paragraphs {
    private static final String TEXT = "finding-text";
    private static final int MOST_FAULTS = 6;
    private static final int MOST_RUNS = 6;
    private static final int MOST_REMARKS = 5;

    private final LogModel log;
    private final Consumer<String> practise;

    /**
     * What stands beside the log.
     *
     * @param practise is given the topic of a fault that can be practised
     */
    LogAside(LogModel log, Consumer<String> practise) {
        super(5);
        this.log = log;
        this.practise = practise;
        setId("log-habits");
        log.stateProperty().addListener(change -> show());
        show();
    }

    private void show() {
        getChildren().clear();
        Habits habits = log.state().habits();
        section("What keeps going wrong");
        if (habits.read() == 0) {
            line(
                    "Once takes have been read, this shows how often something was wrong with them, and in which run.",
                    TEXT);
        } else if (habits.recurring().isEmpty()) {
            line("Nothing: no take had a fault.", TEXT);
        }
        habits.recurring().stream().limit(MOST_FAULTS).forEach(this::fault);
        if (!habits.runs().isEmpty()) {
            section("What went right");
            habits.runs().stream().limit(MOST_RUNS).forEach(this::run);
        }
        if (!habits.remarks().isEmpty()) {
            section("On the run sheet");
            habits.remarks().stream().limit(MOST_REMARKS).forEach(remark -> line(remark, TEXT));
        }
    }

    private void fault(Recurring fault) {
        Label title = new Label(fault.title());
        Styled.of(title).as("medium").wrap();
        HBox.setHgrow(title, Priority.ALWAYS);
        getChildren().add(new HBox(8, new SeverityMark(fault.severity()), title));
        line(Print.startingSentence(fault.words()), TEXT);
        String topic = Fault.topic(fault.code());
        if (Exercises.topics().contains(topic)) {
            Button learn = new Button("Practise hearing it");
            Styled.of(learn)
                    .as("action-link")
                    .id("practise-" + fault.code().replace('.', '-'))
                    .action(() -> practise.accept(topic));
            getChildren().add(learn);
        }
    }

    private void run(Habits.RunHabit run) {
        line(
                run.run() + ": " + run.clean() + " of " + Print.counted(run.read(), "take") + " clean"
                        + run.lastClean()
                                .map(entry -> ", last " + entry.name() + " on " + EntryCell.time(entry.at()))
                                .orElse(""),
                TEXT);
    }
}
