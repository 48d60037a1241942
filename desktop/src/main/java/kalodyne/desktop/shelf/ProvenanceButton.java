package kalodyne.desktop.shelf;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Provenance.Ground;
import kalodyne.core.gear.Provenance.Origin;
import kalodyne.core.units.Print;
import kalodyne.desktop.shell.Overlay;

/** Where a value is from: shown in a word, told whole when opened, changed there. */
final class ProvenanceButton extends MenuButton {
    private final Label whole = new Label();
    private Provenance shown;

    ProvenanceButton(ShelfModel shelf, Overlay overlay, Consumer<UnaryOperator<Provenance>> change) {
        getStyleClass().addAll("quiet", "small-button", "provenance");
        setMinWidth(Region.USE_PREF_SIZE);
        whole.setWrapText(true);
        whole.setMaxWidth(360);
        whole.getStyleClass().addAll("second", "small");
        CustomMenuItem told = new CustomMenuItem(whole, false);
        getItems()
                .addAll(
                        told,
                        new SeparatorMenuItem(),
                        item("From a datasheet", () -> change.accept(was -> of(Origin.DATASHEET, was, shelf))),
                        item("I measured it", () -> change.accept(was -> of(Origin.MEASURED, was, shelf))),
                        item(
                                "It is a guess",
                                () -> change.accept(
                                        was -> Provenance.typical(Ground.ESTIMATE, "Guessed by its owner"))),
                        item(
                                "Say more about it…",
                                () -> TextPages.lay(
                                        overlay,
                                        "Where is this value from?",
                                        shown.source(),
                                        "A page of the manual, how it was measured",
                                        "Keep",
                                        typed -> change.accept(was ->
                                                new Provenance(was.origin(), was.ground(), typed, was.date())))));
    }

    /** What was said about a typical value is not true of one that was read or measured. */
    private static Provenance of(Origin origin, Provenance was, ShelfModel shelf) {
        String source = was.origin() == Origin.TYPICAL ? "" : was.source();
        return new Provenance(origin, Optional.empty(), source, Optional.of(shelf.today()));
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> action.run());
        return item;
    }

    void show(Provenance provenance) {
        shown = provenance;
        setText(provenance.origin().word());
        getStyleClass().removeAll("typical", "datasheet", "measured");
        getStyleClass().add(provenance.origin().word());
        whole.setText(words(provenance));
        setTooltip(new Tooltip(words(provenance)));
        setAccessibleText("From: " + words(provenance));
    }

    /** "Typical, common practice. Line inputs bridge…", "Measured on 2026-03-01. With a tape". */
    private static String words(Provenance provenance) {
        String head = Print.startingSentence(provenance.origin().word())
                + provenance.ground().map(ground -> ", " + ground.word()).orElse("")
                + provenance.date().map(date -> ", " + date).orElse("")
                + ".";
        return provenance.source().isEmpty() ? head : head + " " + provenance.source() + ".";
    }
}
