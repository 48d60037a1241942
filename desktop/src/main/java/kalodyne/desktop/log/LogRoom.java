package kalodyne.desktop.log;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import kalodyne.core.studio.log.Entry;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Room;

/** The Log room: what was done, how it stood then and how to bring it back, what keeps going wrong. */
public final class LogRoom implements Room {
    /** Of older ones the search in the room knows. */
    private static final int MOST_FOUND = 100;

    private final LogModel log;
    private final PaperModel paper;
    private final Consumer<Entry> showTake;
    private final Consumer<String> practise;
    private final Runnable enter;
    private final ReadOnlyObjectWrapper<Report> report = new ReadOnlyObjectWrapper<>(this, "report");
    private LogView view;
    private LogAside aside;

    /**
     * A room.
     *
     * @param showTake looks at a take where it is heard and seen
     * @param practise is given the topic of a fault that keeps coming back
     * @param enter goes there
     */
    public LogRoom(
            LogModel log, PaperModel paper, Consumer<Entry> showTake, Consumer<String> practise, Runnable enter) {
        this.log = log;
        this.paper = paper;
        this.showTake = showTake;
        this.practise = practise;
        this.enter = enter;
        log.stateProperty().addListener(change -> report.set(report()));
        report.set(report());
    }

    @Override
    public String id() {
        return "log";
    }

    @Override
    public String title() {
        return "Log";
    }

    @Override
    public Node node() {
        if (view == null) {
            view = new LogView(log, paper, showTake);
            log.look();
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        if (aside == null) {
            aside = new LogAside(log, practise);
        }
        return Optional.of(aside);
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        LogModel.State state = log.state();
        String next = state.chosen()
                .map(entry -> state.back().steps())
                .filter(steps -> !steps.isEmpty())
                .map(steps -> "To bring it back: " + steps.get(0))
                .orElse(
                        state.count() == 0
                                ? "Record a test take, or go through the run sheet"
                                : "Look for what was right before");
        return new Report("", List.of(), next, Optional.empty(), "");
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Show the log of all setups, or of one", null, () -> log.showAll(!log.isOfAll())),
                Command.of(
                        "Copy the takes of this setup as a table", Copying.KEYS, () -> Copying.table(log.takesTable())),
                Command.of("Set all as it was then", null, log::setAsThen),
                Command.of("Read every take not read yet", null, log::readAll));
    }

    @Override
    public List<Command> findable() {
        return log.state().shown().stream()
                .limit(MOST_FOUND)
                .map(entry -> Command.of(EntryCell.words(entry) + ", " + EntryCell.time(entry.at()), null, () -> {
                    enter.run();
                    log.choose(entry);
                }))
                .toList();
    }

    @Override
    public boolean isAboutRun() {
        return false;
    }

    @Override
    public boolean isBeside() {
        return true;
    }

    @Override
    public Optional<String> ownKeys() {
        return Optional.of("Shortcut+Shift+L");
    }

    @Override
    public String helpResource() {
        return "log.txt";
    }
}
