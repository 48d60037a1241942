package kalodyne.desktop.shell;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.Styled;

/** What a room is for and what its words mean, in plain sentences. */
final class HelpPage extends VBox {
    private final Button close = new Button("Close");

    /**
     * A page.
     *
     * @param resource a text: a title, an introduction, then a term and its meaning a line, parted by a bar
     */
    HelpPage(String resource, Runnable closed) {
        getStyleClass().add("help");
        setId("help");
        List<String> lines = lines(resource);
        Label title =
                Styled.of(new Label(lines.get(0))).as("room-sentence").wrap().node();
        title.setMinHeight(USE_PREF_SIZE);
        Label introduction = Styled.of(new Label(lines.get(1))).wrap().node();
        introduction.setMinHeight(USE_PREF_SIZE);
        ScrollPane scroll = new ScrollPane(terms(lines.subList(2, lines.size())));
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        close.getStyleClass().add("primary");
        close.setCancelButton(true);
        close.setOnAction(event -> closed.run());
        Label advises = new Label(
                "Kalodyne advises. Makers' manuals, local electrical codes and licensed technicians decide. Never defeat a mains safety earth to cure hum.");
        Styled.of(advises).as("second", "small").wrap();
        advises.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(title, introduction, scroll, advises, close);
    }

    void focus() {
        close.requestFocus();
    }

    private static GridPane terms(List<String> lines) {
        GridPane grid = new GridPane();
        grid.setHgap(16);
        grid.setVgap(9);
        int row = 0;
        for (String line : lines) {
            int bar = line.indexOf('|');
            Label term = Styled.of(new Label(line.substring(0, bar)))
                    .as("strong")
                    .whole()
                    .node();
            GridPane.setValignment(term, VPos.TOP);
            Label meaning = Styled.of(new Label(line.substring(bar + 1))).wrap().node();
            GridPane.setHgrow(meaning, Priority.ALWAYS);
            grid.addRow(row++, term, meaning);
        }
        return grid;
    }

    private static List<String> lines(String resource) {
        try (InputStream in = HelpPage.class.getResourceAsStream("/kalodyne/desktop/help/" + resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
