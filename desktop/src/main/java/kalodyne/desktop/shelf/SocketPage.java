package kalodyne.desktop.shelf;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.SocketEdits;
import kalodyne.core.gear.UsualContacts;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.ContactWords;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** Changes what a socket is: its name, its connector, what goes through it, what each contact carries. */
final class SocketPage {
    private final ShelfModel shelf;
    private final Socket was;
    private final TextField name = new TextField();
    private final Chooser<Connector> connector = new Chooser<>(Connector::word);
    private final Chooser<Form> form = new Chooser<>(Form::word);
    private final Chooser<Direction> way = new Chooser<>(Direction::word);
    private final Chooser<SignalKind> signal = new Chooser<>(SignalKind::word);
    private final Chooser<Optional<Balance>> balance =
            new Chooser<>(choice -> choice.map(Balance::word).orElse("it makes no difference"));
    private final PlugDrawing drawing = new PlugDrawing();
    private final GridPane contactRows = new GridPane();
    private final Map<Contact, Chooser<Carries>> contacts = new LinkedHashMap<>();

    private SocketPage(ShelfModel shelf, Socket was) {
        this.shelf = shelf;
        this.was = was;
    }

    static void lay(Overlay overlay, ShelfModel shelf, Socket socket) {
        new SocketPage(shelf, socket).lay(overlay);
    }

    private void lay(Overlay overlay) {
        name.setText(was.name());
        name.setId("socket-name");
        connector.offering(List.of(Connector.values()), was.connector()).setId("socket-connector");
        form.offering(List.of(Form.values()), was.form()).setId("socket-form");
        way.offering(List.of(Direction.values()), was.way()).setId("socket-way");
        signal.offering(List.of(SignalKind.values()), was.signal()).setId("socket-signal");
        List<Optional<Balance>> balances = Stream.concat(
                        Stream.of(Optional.<Balance>empty()),
                        Stream.of(Balance.values()).map(Optional::of))
                .toList();
        balance.offering(balances, was.balance()).setId("socket-balance");
        drawing.getStyleClass().add("small-drawing");
        contactRows.getStyleClass().add("fields");
        Stream.of(connector, way, signal, balance).forEach(each -> each.setOnAction(event -> showUsual()));
        form.setOnAction(event -> draw());
        show(was.contacts());
        FormPage page = new FormPage(overlay, "What is this socket?", "Change it", this::take);
        page.row("Printed beside it", name);
        page.row("Its connector", connector);
        page.row("A hole, or pins", form);
        page.row("The signal goes", way);
        page.row("It is made for", signal);
        page.row("How balanced", balance);
        page.beside(drawing);
        page.beside("What each contact carries", contactRows);
        page.open(name);
    }

    private void showUsual() {
        show(UsualContacts.of(connector.getValue(), signal.getValue(), balance.getValue(), way.getValue()));
    }

    private void show(Map<Contact, Carries> carried) {
        contacts.clear();
        contactRows.getChildren().clear();
        for (Contact contact : connector.getValue().contacts()) {
            Chooser<Carries> choice = new Chooser<>(Carries::word);
            choice.offering(List.of(Carries.values()), carried.getOrDefault(contact, Carries.NOTHING));
            Styled.of(choice).id("contact-" + contact.name()).action(() -> draw());
            Label label = new Label(ContactWords.of(connector.getValue(), contact));
            label.getStyleClass().addAll("second", "small");
            label.setLabelFor(choice);
            choice.setAccessibleText(label.getText());
            contactRows.addRow(contacts.size(), label, choice);
            contacts.put(contact, choice);
        }
        draw();
    }

    private void draw() {
        drawing.show(connector.getValue(), form.getValue(), ContactWords.carriedBy(made(was.name())));
    }

    private Socket made(String called) {
        Map<Contact, Carries> carried = new EnumMap<>(Contact.class);
        contacts.forEach((contact, choice) -> carried.put(contact, choice.getValue()));
        return new Socket(
                was.id(),
                called,
                connector.getValue(),
                form.getValue(),
                way.getValue(),
                signal.getValue(),
                balance.getValue(),
                carried,
                was.side(),
                was.ties(),
                was.from(),
                was.power(),
                was.channels(),
                was.states(),
                was.facts());
    }

    private void take() {
        Socket changed = made(name.getText());
        if (!changed.equals(was)) {
            shelf.changeDevice("change the socket " + changed.name(), device -> SocketEdits.changed(device, changed));
        }
    }
}
