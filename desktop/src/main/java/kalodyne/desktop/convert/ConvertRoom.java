package kalodyne.desktop.convert;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.Label;
import kalodyne.core.sums.Sums;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Room;

/** The Convert room: a question, what is known, and the answer as one types. */
public final class ConvertRoom implements Room {
    private final ConvertModel model;
    private final Runnable enter;
    private final ReadOnlyObjectWrapper<Report> report;
    private ConvertView view;

    /**
     * A room.
     *
     * @param enter goes there
     */
    public ConvertRoom(ConvertModel model, Runnable enter) {
        this.model = model;
        this.enter = enter;
        report = new ReadOnlyObjectWrapper<>(
                this,
                "report",
                new Report("", List.of(), "Choose a question, type what you know", Optional.empty(), ""));
    }

    @Override
    public String id() {
        return "convert";
    }

    @Override
    public String title() {
        return "Convert";
    }

    @Override
    public Node node() {
        if (view == null) {
            view = new ConvertView(model);
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        Label words = new Label(
                "The same sums are done for you in Levels and in the run sheet, with the values of your gear. Here they are for anything else.");
        Styled.of(words).as("finding-text").wrap();
        return Optional.of(words);
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    @Override
    public List<Command> commands() {
        return List.of(Command.of("Copy the result", Copying.KEYS, () -> Copying.text(model.words())));
    }

    @Override
    public List<Command> findable() {
        return Sums.all().stream()
                .map(sum -> Command.of(sum.title(), null, () -> {
                    enter.run();
                    model.choose(sum);
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
    public String helpResource() {
        return "convert.txt";
    }
}
