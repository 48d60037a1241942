package kalodyne.desktop.shelf;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;

/** What its owner wants to remember of the chosen thing, and what the words for where values are from mean. */
final class ShelfAside extends VBox {
    private final ShelfModel shelf;
    private final Label title = new Label();
    private final Label problem = new Label();
    private final GridPane fields = new GridPane();
    private final NoteArea note;
    private final QuantityField colour;
    private final QuantityField owned;
    private final Label noteLabel = label("note");
    private final Label colourLabel = label("colour");
    private final Label ownedLabel = label("how many");

    ShelfAside(ShelfModel shelf) {
        super(8);
        this.shelf = shelf;
        title.getStyleClass().add("section");
        Styled.of(problem).as("problem", "small").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        note = new NoteArea(shelf::note, problem::setText);
        note.setId("item-note");
        note.setPromptText("Whatever you want to remember");
        colour = field("colour", shelf::colour);
        owned = field("owned", shelf::owned);
        fields.getStyleClass().add("fields");
        fields.addRow(0, colourLabel, colour);
        fields.addRow(1, ownedLabel, owned);
        GridPane.setHgrow(colour, Priority.ALWAYS);
        noteLabel.setLabelFor(note);
        getChildren().addAll(title, fields, noteLabel, note, problem, legend());
        shelf.chosenProperty().addListener(change -> show());
        show();
    }

    private QuantityField field(String id, Consumer<String> take) {
        QuantityField field = Styled.of(new QuantityField(take, problem::setText))
                .id("item-" + id)
                .spoken(id)
                .node();
        return field;
    }

    private static Label label(String words) {
        Label label = Styled.of(new Label(words)).as("second", "small").whole().node();
        return label;
    }

    private static VBox legend() {
        Label head = Styled.of(new Label("Where a value is from")).as("section").node();
        VBox legend = new VBox(
                4,
                head,
                meaning("typical", "what such gear usually has"),
                meaning("datasheet", "read in its manual"),
                meaning("measured", "measured on it"));
        legend.getStyleClass().add("legend");
        return legend;
    }

    private static Label meaning(String word, String words) {
        Label label = Styled.of(new Label(word + ": " + words))
                .as("second", "small")
                .wrap()
                .node();
        return label;
    }

    private void show() {
        Optional<Chosen> chosen = shelf.chosen();
        title.setText(chosen.map(Chosen::name).orElse(""));
        note.setVisible(chosen.isPresent());
        noteLabel.setVisible(chosen.isPresent());
        note.show(chosen.map(Chosen::note).orElse(""));
        boolean isLead = chosen.isPresent() && chosen.get() instanceof Chosen.OfLead;
        fields.setVisible(isLead);
        fields.setManaged(isLead);
        if (chosen.isPresent() && chosen.get() instanceof Chosen.OfLead lead) {
            colour.show(lead.lead().colour());
            owned.show(String.valueOf(lead.lead().owned()));
        }
    }
}
