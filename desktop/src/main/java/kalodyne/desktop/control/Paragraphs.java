package kalodyne.desktop.control;

import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Words below each other, with headings between them, as wide as there is room. */
public class Paragraphs extends VBox {
    public Paragraphs(double spacing) {
        super(spacing);
    }

    /** A heading. */
    public final void section(String title) {
        line(title, "section", "aside-section");
    }

    /** Words in as many lines as they need. */
    public final Label line(String text, String... styles) {
        Label line = Styled.of(new Label(text)).wrap().node();
        line.setMinHeight(USE_PREF_SIZE);
        line.getStyleClass().addAll(styles);
        getChildren().add(line);
        return line;
    }
}
