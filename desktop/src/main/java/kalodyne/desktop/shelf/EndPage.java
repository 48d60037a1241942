package kalodyne.desktop.shelf;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.EndEdits;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Wire;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.ContactWords;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** Changes what an end of a lead is, and to what each of its contacts is wired. */
final class EndPage {
    private final ShelfModel shelf;
    private final Lead lead;
    private final LeadEnd was;
    private final TextField name = new TextField();
    private final Chooser<Connector> connector = new Chooser<>(Connector::word);
    private final Chooser<Form> form = new Chooser<>(Form::word);
    private final PlugDrawing drawing = new PlugDrawing();
    private final GridPane wires = new GridPane();
    private final Map<Contact, Set<Wire.Spot>> wiring = new EnumMap<>(Contact.class);

    private EndPage(ShelfModel shelf, Lead lead, LeadEnd was) {
        this.shelf = shelf;
        this.lead = lead;
        this.was = was;
    }

    static void lay(Overlay overlay, ShelfModel shelf, Lead lead, LeadEnd end) {
        new EndPage(shelf, lead, end).lay(overlay);
    }

    private void lay(Overlay overlay) {
        name.setText(was.name());
        name.setId("end-name");
        name.setPromptText("left, white, the long one…");
        connector.offering(List.of(Connector.values()), was.connector()).setId("end-connector");
        form.offering(List.of(Form.values()), was.form()).setId("end-form");
        drawing.getStyleClass().add("small-drawing");
        wires.getStyleClass().add("fields");
        connector.setOnAction(event -> show());
        form.setOnAction(event -> draw());
        show();
        FormPage page = new FormPage(overlay, "What is this end?", "Change it", this::take);
        page.row("Written or coloured on it", name);
        page.row("Its connector", connector);
        page.row("Plug or socket", form);
        page.beside(drawing);
        page.beside("Where each contact leads", wires);
        page.open(name);
    }

    private void show() {
        wiring.clear();
        wiring.putAll(EndEdits.carriedOver(lead, was, connector.getValue()));
        wires.getChildren().clear();
        int row = 0;
        for (Contact contact : connector.getValue().contacts()) {
            Label label = new Label(ContactWords.of(connector.getValue(), contact));
            label.getStyleClass().addAll("second", "small");
            MenuButton targets = targets(contact);
            targets.setAccessibleText(label.getText());
            label.setLabelFor(targets);
            GridPane.setHgrow(targets, Priority.ALWAYS);
            wires.addRow(row++, label, targets);
        }
        draw();
    }

    private void draw() {
        drawing.show(connector.getValue(), form.getValue(), Map.of());
    }

    /** The contacts of the other ends, of which some may be joined to this one. */
    private MenuButton targets(Contact contact) {
        MenuButton button = Styled.of(new MenuButton())
                .as("chooses")
                .id("wire-" + contact.name())
                .node();
        button.setMaxWidth(Double.MAX_VALUE);
        Set<Wire.Spot> joined = wiring.getOrDefault(contact, Set.of());
        Map<Wire.Spot, CheckMenuItem> items = new LinkedHashMap<>();
        for (LeadEnd end : lead.ends()) {
            if (!end.id().equals(was.id())) {
                for (Contact there : end.connector().contacts()) {
                    Wire.Spot spot = new Wire.Spot(end.id(), there);
                    CheckMenuItem item = new CheckMenuItem(ContactWords.of(lead, spot));
                    item.setSelected(joined.contains(spot));
                    item.setOnAction(event -> join(contact, items, button));
                    items.put(spot, item);
                }
            }
        }
        button.getItems().addAll(items.values());
        button.setText(words(items));
        return button;
    }

    private void join(Contact contact, Map<Wire.Spot, CheckMenuItem> items, MenuButton button) {
        Set<Wire.Spot> joined = new LinkedHashSet<>();
        items.forEach((spot, item) -> {
            if (item.isSelected()) {
                joined.add(spot);
            }
        });
        wiring.put(contact, joined);
        button.setText(words(items));
    }

    private static String words(Map<Wire.Spot, CheckMenuItem> items) {
        List<String> selected = items.values().stream()
                .filter(CheckMenuItem::isSelected)
                .map(CheckMenuItem::getText)
                .toList();
        return selected.isEmpty() ? "nothing" : selected.stream().collect(Collectors.joining(" and "));
    }

    private void take() {
        LeadEnd changed = new LeadEnd(was.id(), name.getText(), connector.getValue(), form.getValue());
        Lead after = EndEdits.changed(lead, changed, wiring);
        if (!after.equals(lead)) {
            shelf.changeLead("change an end of " + lead.name(), present -> after);
        }
    }
}
