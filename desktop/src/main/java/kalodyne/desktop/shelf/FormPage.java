package kalodyne.desktop.shelf;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** A form over the window: what is asked on the left, what it looks like on the right. */
final class FormPage extends VBox {
    private final Overlay overlay;
    private final GridPane rows = new GridPane();
    private final VBox side = new VBox(6);
    private final Label problem = new Label();

    /**
     * A form.
     *
     * @param take makes the change; throws {@link UnreadableQuantity} where something cannot be read
     */
    FormPage(Overlay overlay, String title, String done, Runnable take) {
        super(10);
        this.overlay = overlay;
        getStyleClass().addAll("palette", "form-page");
        setId("form-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label head = Styled.of(new Label(title)).as("card-title").node();
        rows.getStyleClass().add("fields");
        Styled.of(problem).as("problem", "small").id("form-problem").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        Button button =
                Styled.of(new Button(done)).as("primary").id("form-done").node();
        button.setDefaultButton(true);
        button.setOnAction(event -> take(take));
        Button leave =
                Styled.of(new Button("Cancel")).action(() -> overlay.lift()).node();
        rows.setMinWidth(Region.USE_PREF_SIZE);
        HBox.setHgrow(side, Priority.ALWAYS);
        HBox both = new HBox(24, rows, side);
        DownScroll scroll = new DownScroll(both);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(head, scroll, problem, new HBox(10, button, leave));
    }

    private void take(Runnable take) {
        try {
            take.run();
            overlay.lift();
        } catch (UnreadableQuantity e) {
            problem.setText(e.getMessage());
        } catch (IllegalArgumentException e) {
            problem.setText(sentence(e.getMessage()));
        }
    }

    private static String sentence(String reason) {
        return Print.startingSentence(reason) + ".";
    }

    /** Asks for one thing. */
    void row(String words, Region answer) {
        Label label = Styled.of(new Label(words)).as("second", "small").whole().node();
        label.setLabelFor(answer);
        answer.setAccessibleText(words);
        answer.setMaxWidth(Double.MAX_VALUE);
        GridPane.setHgrow(answer, Priority.ALWAYS);
        rows.addRow(rows.getRowCount(), label, answer);
    }

    /** Puts things under a heading on the right. */
    void beside(String words, Node... nodes) {
        Label label = Styled.of(new Label(words)).as("section").node();
        side.getChildren().add(label);
        beside(nodes);
    }

    void beside(Node... nodes) {
        side.getChildren().addAll(nodes);
    }

    void open(Node first) {
        overlay.lay(this, Pos.CENTER);
        first.requestFocus();
    }
}
