package kalodyne.desktop.runsheet;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import kalodyne.core.runsheet.FaultSearch;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.SheetModel;

/** A search for what is in the way: one question at a time, and what is to blame where the answer is no. */
final class SearchPane {
    private final SheetModel sheet;

    SearchPane(SheetModel sheet) {
        this.sheet = sheet;
    }

    Node show(FaultSearch search) {
        VBox pane = new VBox(7);
        Styled.of(pane).as("search-pane").id("search-pane");
        Label head = new Label(search.symptom().word() + ": "
                + (search.asked().isPresent()
                        ? "question " + (search.at() + 1) + " of "
                                + search.probes().size()
                        : search.found().isPresent() ? "it is here" : "all is as it should be"));
        head.getStyleClass().add("section");
        pane.getChildren().add(head);
        search.asked().ifPresent(probe -> pane.getChildren().addAll(question(probe), answers(search)));
        search.found().ifPresent(probe -> {
            pane.getChildren().add(question(probe));
            probe.causes().forEach(cause -> pane.getChildren().add(line("· " + cause)));
            pane.getChildren()
                    .add(row(
                            button("Back", "search-back", sheet::backInSearch, false),
                            button("Try the step again", "search-end", sheet::endSearch, true)));
        });
        if (search.asked().isEmpty() && search.found().isEmpty()) {
            pane.getChildren()
                    .addAll(
                            line(
                                    "Every question was answered yes: the fault is not in this line. Make a test take; the Takes room reads it."),
                            row(
                                    button("Back", "search-back", sheet::backInSearch, false),
                                    button("Try the step again", "search-end", sheet::endSearch, true)));
        }
        return pane;
    }

    private static Node question(FaultSearch.Probe probe) {
        Label question = new Label(probe.question());
        Styled.of(question).id("search-question").as("search-question").wrap();
        VBox words = new VBox(2, question);
        if (!probe.expected().isEmpty()) {
            words.getChildren().add(line(Print.startingSentence(probe.expected()) + "."));
        }
        return words;
    }

    private Node answers(FaultSearch search) {
        HBox row = row(
                button("Yes", "search-yes", () -> sheet.answer(true), true),
                button("No", "search-no", () -> sheet.answer(false), false));
        if (search.at() > 0) {
            row.getChildren().add(button("Back", "search-back", sheet::backInSearch, false));
        }
        row.getChildren().add(button("Stop searching", "search-end", sheet::endSearch, false));
        return row;
    }

    private static HBox row(Node... nodes) {
        HBox row = new HBox(8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Button button(String words, String id, Runnable action, boolean isFirst) {
        Button button = Styled.of(new Button(words)).id(id).node();
        if (isFirst) {
            button.getStyleClass().add("primary");
        }
        button.setOnAction(event -> action.run());
        return button;
    }

    private static Label line(String words) {
        Label line = Styled.of(new Label(words)).as("step-detail").wrap().node();
        return line;
    }
}
