package kalodyne.desktop.hookup;

import java.util.List;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.Offers.Offer;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** Joins two sockets by hand: which, and with which lead of those that fit; each tells beforehand what would come of it. */
final class PlugPage extends VBox {
    private final PlugModel plugs;
    private final Overlay overlay;
    private final Chooser<End> from = new Chooser<>(End::words);
    private final Chooser<End> to = new Chooser<>(End::words);
    private final ListView<Offer> offers = new ListView<>();
    private final Button plug = new Button("Plug it in");
    private int asked;

    /** A socket that is free. */
    private record End(Spot spot, String words) {}

    PlugPage(PlugModel plugs, Overlay overlay) {
        super(8);
        this.plugs = plugs;
        this.overlay = overlay;
        getStyleClass().addAll("palette", "plug-page");
        setId("plug-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label head =
                Styled.of(new Label("What goes into what?")).as("card-title").node();
        from.offering(ends(Direction.IN), null).setId("plug-from");
        to.offering(ends(Direction.OUT), null).setId("plug-to");
        Stream.of(from, to).forEach(each -> each.setOnAction(event -> showOffers()));
        offers.setId("offers");
        offers.setCellFactory(list -> new MarkedCell<>(
                PlugPage::words, PlugPage::outcome, offer -> offer.checked().worst()));
        offers.setPlaceholder(new Label("Choose both sockets."));
        offers.getSelectionModel()
                .selectedItemProperty()
                .addListener((property, before, now) -> plug.setDisable(now == null));
        VBox.setVgrow(offers, Priority.ALWAYS);
        Styled.of(plug).id("plug-in").as("primary");
        plug.setDisable(true);
        plug.setOnAction(event -> plug());
        Button leave =
                Styled.of(new Button("Cancel")).action(() -> overlay.lift()).node();
        getChildren()
                .addAll(
                        head,
                        labelled("From", from),
                        from,
                        labelled("Into", to),
                        to,
                        labelled("With", offers),
                        offers,
                        new HBox(10, plug, leave));
    }

    private static Label labelled(String words, Node node) {
        Label label = Styled.of(new Label(words)).as("second", "small").node();
        label.setLabelFor(node);
        return label;
    }

    void open() {
        overlay.lay(this, Pos.CENTER);
        from.requestFocus();
    }

    /** With both sockets chosen, as far as they are free. */
    void open(Spot giving, Spot taking) {
        open();
        choose(from, giving);
        choose(to, taking);
        showOffers();
        offers.requestFocus();
    }

    private void choose(Chooser<End> chooser, Spot spot) {
        chooser.getItems().stream()
                .filter(end -> end.spot().equals(spot))
                .findFirst()
                .ifPresentOrElse(
                        chooser::setValue,
                        () -> offers.setPlaceholder(new Label("One of the two is in use. Choose another socket.")));
    }

    /** All free sockets but those that only go one way. */
    private List<End> ends(Direction except) {
        return plugs.devices().stream()
                .flatMap(device -> device.sockets().stream()
                        .filter(socket -> socket.way() != except)
                        .filter(socket -> plugs.isFree(device, socket))
                        .map(socket -> end(device, socket)))
                .toList();
    }

    private static End end(Device device, Socket socket) {
        return new End(
                new Spot(device.id(), socket.id()),
                device.name() + " · " + socket.name() + " ("
                        + socket.connector().word() + ")");
    }

    private void showOffers() {
        if (from.getValue() == null || to.getValue() == null) {
            return;
        }
        boolean isSame =
                from.getValue().spot().item().equals(to.getValue().spot().item());
        offers.getItems().clear();
        plug.setDisable(true);
        asked++;
        if (isSame) {
            offers.setPlaceholder(new Label("Both are on one device. Choose another one."));
            return;
        }
        offers.setPlaceholder(new Label("Looking through the drawer…"));
        int asking = asked;
        plugs.offers(from.getValue().spot(), to.getValue().spot(), found -> {
            // Somebody may have chosen other sockets meanwhile.
            if (asking == asked) {
                offers.setPlaceholder(new Label("No lead in the drawer joins these."));
                offers.getItems().setAll(found);
                offers.getSelectionModel().selectFirst();
                plug.setDisable(found.isEmpty());
            }
        });
    }

    private void plug() {
        Offer chosen = offers.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            overlay.lift();
            plugs.plug(chosen);
        }
    }

    private static String words(Offer offer) {
        return offer.leads().isEmpty() ? "straight in" : offer.words();
    }

    /** The worst that would be noticed, in a few words. */
    private static String outcome(Offer offer) {
        return offer.checked().findings().stream()
                .findFirst()
                .map(Finding::title)
                .orElse("Does its job");
    }
}
