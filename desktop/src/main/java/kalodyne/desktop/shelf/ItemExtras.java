package kalodyne.desktop.shelf;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.Whereabouts;
import kalodyne.desktop.control.PhotoThumb;
import kalodyne.desktop.control.PictureChooser;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;

/** What its owner keeps with the chosen thing beside its values: colour and number, where it is plugged, a note, a photograph. */
final class ItemExtras extends VBox {
    private static final double PHOTO_HEIGHT = 140;

    private final ShelfModel shelf;
    private final Consumer<String> explain;
    private final Consumer<Whereabouts> goTo;
    private final GridPane fields = new GridPane();
    private final NoteArea note;
    private final QuantityField colour;
    private final QuantityField owned;
    private final VBox plugged = new VBox(2);
    private final FlowPane photo = new FlowPane(8, 4);
    private Optional<String> shownPhoto = Optional.of("");

    /**
     * Of the thing that is chosen on a shelf.
     *
     * @param explain tells what is wrong with what was typed
     * @param goTo shows where something is plugged
     */
    ItemExtras(ShelfModel shelf, Consumer<String> explain, Consumer<Whereabouts> goTo) {
        super(6);
        this.shelf = shelf;
        this.explain = explain;
        this.goTo = goTo;
        getStyleClass().add("item-extras");
        note = new NoteArea(shelf::note, explain);
        note.setId("item-note");
        note.setPromptText("Whatever you want to remember");
        colour = field("colour", shelf::colour);
        owned = field("owned", shelf::owned);
        fields.getStyleClass().add("fields");
        fields.addRow(0, label("Colour"), colour);
        fields.addRow(1, label("How many"), owned);
        GridPane.setHgrow(colour, Priority.ALWAYS);
        plugged.setId("where-plugged");
        Label noteLabel = section("Note");
        noteLabel.setLabelFor(note);
        getChildren().addAll(fields, section("Where is this plugged?"), plugged, noteLabel, note, photo);
        shelf.chosenProperty().addListener(change -> show());
        show();
    }

    private QuantityField field(String id, Consumer<String> take) {
        return Styled.of(new QuantityField(take, explain))
                .id("item-" + id)
                .spoken(id)
                .node();
    }

    private static Label label(String words) {
        return Styled.of(new Label(words)).as("second", "small").whole().node();
    }

    private static Label section(String words) {
        return Styled.of(new Label(words)).as("section").node();
    }

    private void show() {
        Optional<Chosen> chosen = shelf.chosen();
        note.show(chosen.map(Chosen::note).orElse(""));
        boolean isLead = chosen.isPresent() && chosen.get() instanceof Chosen.OfLead;
        Styled.of(fields).shown(isLead);
        if (chosen.isPresent() && chosen.get() instanceof Chosen.OfLead lead) {
            colour.show(lead.lead().colour());
            owned.show(String.valueOf(lead.lead().owned()));
        }
        chosen.ifPresent(this::showPlugged);
        showPhoto(chosen.flatMap(Chosen::photo));
    }

    private void showPlugged(Chosen chosen) {
        List<Whereabouts> all = shelf.whereabouts();
        boolean isOneSetup = shelf.hasOneSetup();
        plugged.getChildren()
                .setAll(all.stream()
                        .map(each -> link(
                                (isOneSetup ? "" : each.setup().name() + ": ") + each.words(chosen.id()),
                                () -> goTo.accept(each)))
                        .toList());
        if (all.isEmpty()) {
            plugged.getChildren().add(label("Nowhere: it is free."));
        }
    }

    private void showPhoto(Optional<String> now) {
        if (now.equals(shownPhoto)) {
            return;
        }
        shownPhoto = now;
        photo.getChildren().clear();
        now.ifPresent(name -> photo.getChildren().add(thumb(name)));
        photo.getChildren().add(link(now.isPresent() ? "Another photograph…" : "Add a photograph…", this::choosePhoto));
        if (now.isPresent()) {
            photo.getChildren().add(link("Remove the photograph", shelf::removePhoto));
        }
    }

    private Node thumb(String name) {
        Node thumb = PhotoThumb.of(shelf.fileOf(name), PHOTO_HEIGHT);
        thumb.setId("item-photo");
        thumb.setAccessibleText("Photograph, " + name);
        return thumb;
    }

    private void choosePhoto() {
        PictureChooser.choose("A photograph of it", this).ifPresent(shelf::addPhoto);
    }

    private static Button link(String words, Runnable action) {
        return Styled.of(new Button(words))
                .as("action-link")
                .wrap()
                .action(action)
                .node();
    }
}
