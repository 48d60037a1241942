package kalodyne.desktop.hookup;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Socket;
import kalodyne.core.route.ImpliedSockets;
import kalodyne.core.route.Obvious;
import kalodyne.core.route.Wish;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Styled;

/** Why not the obvious one? Two sockets, and what would come of the simplest leads between them. */
final class ObviousPane extends VBox {
    private final WayModel ways;
    private final Chooser<End> from = new Chooser<>(End::words);
    private final Chooser<End> to = new Chooser<>(End::words);
    private final VBox told = new VBox(8);

    /** A socket that something could come out of, or go into. */
    private record End(Device device, Socket socket) {
        String words() {
            return device.name() + " · " + socket.name() + " ("
                    + socket.connector().word() + ")";
        }
    }

    ObviousPane(WayModel ways) {
        super(6);
        this.ways = ways;
        setId("obvious-pane");
        Styled.of(from).id("obvious-from").spoken("from which socket");
        Styled.of(to).id("obvious-to").spoken("into which socket");
        Stream.of(from, to).forEach(each -> each.setOnAction(event -> tell()));
        ScrollPane scroll = new ScrollPane(told);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("way-pane");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren()
                .addAll(
                        WayPane.wrapped(
                                "Plugs that fit are not yet a way that works. These two come to mind; choose others to try them."),
                        from,
                        to,
                        scroll);
    }

    /** Offers the sockets of what a wish names; those that go only the other way are left out. */
    void offer(Wish wish) {
        from.offering(
                wish.sources().stream()
                        .flatMap(mark -> ways.device(mark).stream())
                        .flatMap(device -> ends(device, Direction.IN))
                        .toList(),
                null);
        to.offering(
                (wish.isHeardOnly() ? wish.heard().marks() : List.of(wish.target()))
                        .stream()
                                .flatMap(mark -> ways.device(mark).stream())
                                .flatMap(device -> ends(device, Direction.OUT))
                                .toList(),
                null);
        told.getChildren().clear();
        imply();
    }

    /** The two that the sentence has in mind are chosen already. */
    private void imply() {
        Optional<Device> one = from.getItems().stream().findFirst().map(End::device);
        Optional<Device> other = to.getItems().stream().findFirst().map(End::device);
        one.flatMap(source -> other.flatMap(target -> ImpliedSockets.of(source, target)))
                .ifPresent(implied -> {
                    from.setValue(new End(one.orElseThrow(), implied.out()));
                    to.setValue(new End(other.orElseThrow(), implied.in()));
                });
    }

    private static Stream<End> ends(Device device, Direction except) {
        return device.sockets().stream()
                .filter(socket -> socket.way() != except)
                .map(socket -> new End(device, socket));
    }

    void focus() {
        from.requestFocus();
    }

    private void tell() {
        End one = from.getValue();
        End other = to.getValue();
        if (one == null || other == null) {
            return;
        }
        told.getChildren().setAll(new Label("Looking through the drawer…"));
        ways.obvious(one.device(), one.socket(), other.device(), other.socket(), this::show);
    }

    private void show(List<Obvious> all) {
        told.getChildren().clear();
        all.forEach(each -> told.getChildren().add(told(each)));
    }

    private static Node told(Obvious obvious) {
        VBox box = new VBox(3);
        Label words = WayPane.wrapped(obvious.words() + (obvious.missing().isEmpty() ? "" : " (to get)"));
        words.getStyleClass().add("medium");
        box.getChildren().add(words);
        obvious.joints().stream()
                .flatMap(joint -> joint.findings().stream())
                .limit(3)
                .map(WayPane::finding)
                .forEach(box.getChildren()::add);
        if (obvious.isFine()) {
            box.getChildren().add(WayPane.wrapped("Nothing is wrong with it at the joint itself."));
        }
        return box;
    }
}
