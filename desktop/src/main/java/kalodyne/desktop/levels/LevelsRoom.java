package kalodyne.desktop.levels;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.studio.exchange.SetupTables;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Room;

/** The Levels room: where every knob stands and where it should. */
public final class LevelsRoom implements Room {
    private final StudioModel studio;
    private final Jobs jobs;
    private final HearModel hear;
    private LevelsView view;
    private LevelsAside aside;

    public LevelsRoom(StudioModel studio, Jobs jobs, HearModel hear) {
        this.studio = studio;
        this.jobs = jobs;
        this.hear = hear;
    }

    @Override
    public String id() {
        return "levels";
    }

    @Override
    public String title() {
        return "Levels";
    }

    @Override
    public Node node() {
        return view();
    }

    private LevelsView view() {
        if (view == null) {
            view = new LevelsView(studio, jobs, hear);
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        if (aside == null) {
            aside = new LevelsAside(studio);
        }
        return Optional.of(aside);
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return studio.readingProperty().map(LevelsRoom::report);
    }

    private static Report report(Optional<RunLevels> reading) {
        return reading.map(run -> new Report(
                        "What was noticed on this run",
                        run.findings(),
                        run.isAsAdvised() ? "" : run.verdict().nextStep(),
                        run.worst(),
                        ""))
                .orElse(new Report("", List.of(), "", Optional.empty(), ""));
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Set all as advised", "Shortcut+Enter", studio::setAllAsAdvised),
                Command.of("Hear this run", "Shortcut+Shift+H", hear::toggle),
                Command.of("Show the other runs behind this one", "Shortcut+Shift+O", () -> view().toggleOthers()),
                Command.of("Show where runs meet", "Shortcut+Shift+M", () -> view().toggleMeetings()),
                Command.of("Copy the levels of this run as a table", Copying.KEYS, this::copyTable),
                Command.of("Wider columns", "Shortcut+Shift+Right", () -> view().zoomIn()),
                Command.of("Narrower columns", "Shortcut+Shift+Left", () -> view().zoomOut()));
    }

    private void copyTable() {
        studio.reading().ifPresent(run -> Copying.table(SetupTables.levels(run.plan())));
    }

    @Override
    public String helpResource() {
        return "levels.txt";
    }
}
