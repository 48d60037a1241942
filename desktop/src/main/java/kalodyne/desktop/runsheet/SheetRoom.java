package kalodyne.desktop.runsheet;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import kalodyne.core.findings.Finding;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.SheetText;
import kalodyne.core.runsheet.Task;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Overlay;
import kalodyne.desktop.shell.Room;

/** The Run sheet room: what to do in which order, from the first lead to the last. */
public final class SheetRoom implements Room {
    private final StudioModel studio;
    private final SheetModel sheet;
    private final PlanModel plan;
    private final PaperModel paper;
    private final ReadOnlyObjectWrapper<Report> report = new ReadOnlyObjectWrapper<>(this, "report");
    private SheetView view;
    private SheetAside aside;
    private Overlay overlay;

    public SheetRoom(StudioModel studio, SheetModel sheet, PlanModel plan, PaperModel paper) {
        this.plan = plan;
        this.studio = studio;
        this.sheet = sheet;
        this.paper = paper;
        sheet.stateProperty().addListener(change -> report.set(report()));
        report.set(report());
    }

    @Override
    public String id() {
        return "runsheet";
    }

    @Override
    public String title() {
        return "Run sheet";
    }

    @Override
    public Node node() {
        return view();
    }

    private SheetView view() {
        if (view == null) {
            view = new SheetView(sheet, paper, studio);
            sheet.look();
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        if (aside == null) {
            aside = new SheetAside(sheet, plan, this::plan);
        }
        return Optional.of(aside);
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        SheetModel.State state = sheet.state();
        List<Finding> findings = state.sheet().findings();
        String count = state.session().isPresent()
                ? state.progress().done() + "/" + state.sheet().tasks().size()
                : "";
        return new Report(
                findings.isEmpty() ? "" : "What stands in the way",
                findings,
                next(state),
                Finding.worst(findings),
                count);
    }

    private static String next(SheetModel.State state) {
        if (state.sheet().steps().isEmpty()) {
            return "";
        }
        if (state.session().isEmpty()) {
            return "Begin the run sheet: press Space";
        }
        return state.progress()
                .now()
                .flatMap(state.sheet()::taskOf)
                .map(Task::title)
                .orElse("All is done: end this session");
    }

    private void plan() {
        PlanPage page = new PlanPage(plan, sheet, overlay::lift);
        overlay.lay(page, Pos.TOP_CENTER);
        page.focus();
    }

    private void copyText() {
        RunSheet shown = sheet.state().sheet();
        Copying.text(shown.title() + String.join("\n", SheetText.of(shown, false)) + "\n");
    }

    @Override
    public void useOverlay(Overlay windowsOverlay) {
        overlay = windowsOverlay;
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Plan format, space, power and places…", "Shortcut+Shift+P", this::plan),
                Command.of("Tick the step", "Shortcut+D", sheet::done),
                Command.of("Skip the step", "Shortcut+Shift+D", sheet::skip),
                Command.of("Open the step again", "Shortcut+U", sheet::undo),
                Command.of("Copy the run sheet as text", Copying.KEYS, this::copyText),
                Command.of("End this session", null, sheet::finish));
    }

    @Override
    public boolean isAboutRun() {
        return false;
    }

    @Override
    public String helpResource() {
        return "runsheet.txt";
    }
}
