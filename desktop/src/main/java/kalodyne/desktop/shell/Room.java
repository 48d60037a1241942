package kalodyne.desktop.shell;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;

/** A room of the work. Its node is built when it is first asked for. */
public interface Room {
    /** Under which it is known to commands: "levels". */
    String id();

    /** As shown in the list of rooms: "Levels". */
    String title();

    Node node();

    /** What stands beside the room, under the findings; empty where there is nothing more to say. */
    Optional<Node> aside();

    /** What the shell shows of this room. */
    ObservableValue<Report> reportProperty();

    /** What can be done in this room only. */
    List<Command> commands();

    /** Things in it that have names, each with what shows it. */
    default List<Command> findable() {
        return List.of();
    }

    /** Shows where something was noticed, as far as the room can. */
    default void show(Place place) {}

    /** Whether it shows the run: without one there is nothing to see in it. */
    default boolean isAboutRun() {
        return true;
    }

    /** Whether one may go on though there is something to be done here: what is only a caution holds nobody up. */
    default boolean isPassable() {
        return false;
    }

    /** Whether it stands beside the order of the work: it is told apart in the list, and has no number in it. */
    default boolean isBeside() {
        return false;
    }

    /** Its own keys, where it has no digit. */
    default Optional<String> ownKeys() {
        return Optional.empty();
    }

    /** Whether the ribbon stands above it, where there is a run. */
    default boolean hasRibbon() {
        return isAboutRun();
    }

    /** Whether what it shows belongs to the run; where not, nothing of the ribbon is marked as chosen. */
    default ObservableBooleanValue onRunProperty() {
        return new SimpleBooleanProperty(true);
    }

    /** Gives it the means to lay something over the window; called once, before it is entered. */
    default void useOverlay(Overlay overlay) {}

    /** Help on this room, as the name of a resource. */
    String helpResource();

    /**
     * What the shell shows of a room.
     *
     * @param findingsTitle over the findings
     * @param findings worst first
     * @param nextStep the one next thing to do here; empty where the job goes on in another room
     * @param mark the worst severity, for the list of rooms
     * @param count a number for the list of rooms, or an empty text
     */
    record Report(
            String findingsTitle, List<Finding> findings, String nextStep, Optional<Severity> mark, String count) {}
}
