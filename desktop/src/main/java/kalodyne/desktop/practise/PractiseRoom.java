package kalodyne.desktop.practise;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Room;

/** The Practise room: what goes wrong in takes, to be heard, seen and named; and what one is sure of. */
public final class PractiseRoom implements Room {
    private final PractiseModel model;
    private final ReadOnlyObjectWrapper<Report> report = new ReadOnlyObjectWrapper<>(this, "report");
    private PractiseView view;

    public PractiseRoom(PractiseModel model) {
        this.model = model;
        model.stateProperty().addListener(change -> report.set(report()));
        report.set(report());
    }

    @Override
    public String id() {
        return "practise";
    }

    @Override
    public String title() {
        return "Practise";
    }

    @Override
    public Node node() {
        if (view == null) {
            view = new PractiseView(model);
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        return Optional.empty();
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        String next = !model.state().isInside()
                ? "Practise for five minutes"
                : model.state().isAnswered() ? "Enter goes on" : "Answer with 1 to 4; P plays it";
        return new Report("", List.of(), next, Optional.empty(), "");
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Practise for five minutes", "Shortcut+Enter", model::begin),
                Command.of("Hear the exercise", "Shortcut+Shift+H", model::playOrStop));
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
    public String helpResource() {
        return "practise.txt";
    }
}
