package kalodyne.desktop.shell;

import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.Styled;

/** Asks for a name, or another short text. */
public final class NamePage extends VBox {
    private final TextField field;

    /**
     * A page.
     *
     * @param title "Rename this run"
     * @param present the text as it is
     * @param done on the button that takes it
     * @param rename takes the new text, or says why not
     * @param closed when it is done or left
     */
    public NamePage(
            String title, String present, String done, Function<String, Optional<String>> rename, Runnable closed) {
        getStyleClass().add("palette");
        setId("name-page");
        setMaxWidth(520);
        setMaxHeight(USE_PREF_SIZE);
        Label head = Styled.of(new Label(title)).as("card-title").node();
        Label problem = new Label();
        Styled.of(problem).as("problem", "small").id("name-problem").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        field = new TextField(present);
        field.setId("name-field");
        Button take = Styled.of(new Button(done)).as("primary").id("name-done").node();
        Button leave =
                Styled.of(new Button("Cancel")).action(() -> closed.run()).node();
        Runnable commit = () -> rename.apply(field.getText().strip()).ifPresentOrElse(problem::setText, closed);
        take.setOnAction(event -> commit.run());
        field.setOnAction(event -> commit.run());
        getChildren().addAll(head, field, problem, new HBox(10, take, leave));
    }

    /** What could be written, while nothing is. */
    public void hint(String words) {
        field.setPromptText(words);
    }

    public void focus() {
        field.requestFocus();
        field.selectAll();
    }
}
