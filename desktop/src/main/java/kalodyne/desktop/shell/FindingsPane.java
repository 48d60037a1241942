package kalodyne.desktop.shell;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** What was noticed, worst first: shape, title, reason, and what to do, which is done at a click where it can be. */
final class FindingsPane extends DownScroll {
    private static final PseudoClass LAST = PseudoClass.getPseudoClass("last");

    private final VBox content = new VBox();
    private final Label title = new Label();
    private final VBox list = new VBox(9);
    private final VBox aside = new VBox();
    private final Consumer<Remedy> apply;
    private final Consumer<Remedy> hear;
    private final Consumer<Place> goTo;
    private Room.Report shown;

    /**
     * A pane that shows nothing yet.
     *
     * @param hear lets one hear what a remedy would change
     */
    FindingsPane(Consumer<Remedy> apply, Consumer<Remedy> hear, Consumer<Place> goTo) {
        this.apply = apply;
        this.hear = hear;
        this.goTo = goTo;
        getStyleClass().add("findings-pane");
        setId("findings");
        title.getStyleClass().add("section");
        title.managedProperty().bind(title.textProperty().isNotEmpty());
        list.managedProperty().bind(Bindings.isNotEmpty(list.getChildren()));
        content.getStyleClass().add("findings-content");
        content.getChildren().addAll(title, list, aside);
        setContent(content);
    }

    void show(Room.Report report) {
        title.setText(report.findingsTitle());
        if (shown != null && shown.findings().equals(report.findings())) {
            return;
        }
        shown = report;
        List<Finding> findings = report.findings();
        list.getChildren().setAll(findings.stream().map(this::card).toList());
        if (findings.isEmpty() && !report.findingsTitle().isEmpty()) {
            list.getChildren()
                    .setAll(Styled.of(new Label("Nothing.")).as("finding-text").node());
        } else if (!findings.isEmpty()) {
            list.getChildren().get(findings.size() - 1).pseudoClassStateChanged(LAST, true);
        }
    }

    void showAside(Optional<Node> node) {
        aside.getChildren().setAll(node.stream().toList());
    }

    boolean hasAside() {
        return !aside.getChildren().isEmpty();
    }

    private Node card(Finding finding) {
        Label head =
                Styled.of(new Label(finding.title())).as("card-title").wrap().node();
        Label reason =
                Styled.of(new Label(finding.text())).as("finding-text").wrap().node();
        VBox words = new VBox(2, head, reason);
        HBox.setHgrow(words, Priority.ALWAYS);
        finding.remedy().ifPresent(remedy -> words.getChildren().add(remedy(finding, remedy)));
        HBox card = new HBox(8, new SeverityMark(finding.severity()), words);
        Styled.of(card).as("finding").id("finding-" + id(finding));
        if (finding.place() instanceof Place.Shelf || finding.place() instanceof Place.Plugged) {
            words.getChildren().add(link("Look at it", "look-" + id(finding), () -> goTo.accept(finding.place())));
        }
        return card;
    }

    private Node remedy(Finding finding, Remedy remedy) {
        if (!remedy.isApplicable()) {
            Label words = new Label(remedy.words() + ".");
            Styled.of(words).as("finding-text", "medium").wrap();
            return words;
        }
        return new VBox(
                2,
                link(remedy.words(), "remedy-" + id(finding), () -> apply.accept(remedy)),
                link("Hear the difference", "hear-" + id(finding), () -> hear.accept(remedy)));
    }

    private static Button link(String words, String id, Runnable action) {
        Button button = new Button(words);
        Styled.of(button).as("action-link").id(id).wrap().action(() -> action.run());
        return button;
    }

    /** Its code as style sheets and lookups can name it: "level-hot". */
    private static String id(Finding finding) {
        return finding.mark().replace('.', '-');
    }
}
