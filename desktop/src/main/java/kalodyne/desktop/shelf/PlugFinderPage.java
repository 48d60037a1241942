package kalodyne.desktop.shelf;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.shelf.PlugFinder;
import kalodyne.core.gear.shelf.PlugFinder.Answer;
import kalodyne.core.gear.shelf.PlugFinder.Question;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.Styled;

/** Tells which plug somebody has in the hand. */
final class PlugFinderPage extends VBox {
    private final Set<Answer> answers = EnumSet.noneOf(Answer.class);
    private final VBox questions = new VBox(6);
    private final VBox results = new VBox(10);
    private final Label verdict = new Label();

    PlugFinderPage(Runnable closed) {
        getStyleClass().addAll("palette", "finder-page");
        setId("plug-finder");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Styled.of(verdict).as("card-title").id("plug-verdict");
        DownScroll scroll = new DownScroll(results);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Button again = new Button("Begin again");
        again.setOnAction(event -> {
            answers.clear();
            show();
        });
        Button done = new Button("Done");
        Styled.of(done).id("plug-done").as("primary").action(() -> closed.run());
        VBox left = new VBox(12, questions);
        left.getStyleClass().add("add-left");
        VBox right = new VBox(8, verdict, scroll);
        HBox.setHgrow(right, Priority.ALWAYS);
        HBox both = new HBox(16, left, right);
        VBox.setVgrow(both, Priority.ALWAYS);
        getChildren().addAll(both, new HBox(10, done, again));
        show();
    }

    void focus() {
        questions.lookupAll(".toggle-button").stream().findFirst().ifPresent(node -> node.requestFocus());
    }

    private void show() {
        questions.getChildren().clear();
        for (Question question : Question.values()) {
            List<Answer> given = answers.stream()
                    .filter(answer -> answer.question() == question)
                    .toList();
            List<Answer> offered = given.isEmpty() ? PlugFinder.open(question, answers) : given;
            if (!offered.isEmpty()) {
                ask(question, offered, !given.isEmpty());
            }
        }
        List<PlugFinder.Match> matches = PlugFinder.matches(answers);
        verdict.setText(
                answers.isEmpty()
                        ? "Look at the end and answer what you can see"
                        : matches.size() == 1
                                ? "It is " + matches.get(0).connector().word()
                                : "It is one of " + matches.size());
        results.getChildren().clear();
        if (!answers.isEmpty()) {
            matches.forEach(this::result);
        }
    }

    private void ask(Question question, List<Answer> offered, boolean isGiven) {
        Label words = new Label(question.words());
        Styled.of(words).as("question").wrap();
        FlowPane chips = new FlowPane(6, 6);
        for (Answer answer : offered) {
            ToggleButton chip = new ToggleButton(answer.words());
            Styled.of(chip).as("chip").id("answer-" + answer.name());
            chip.setSelected(isGiven);
            chip.setTooltip(new Tooltip(answer.detail()));
            chip.setOnAction(event -> {
                if (!answers.remove(answer)) {
                    answers.add(answer);
                }
                show();
                focus();
            });
            chips.getChildren().add(chip);
        }
        questions.getChildren().addAll(words, chips);
    }

    private void result(PlugFinder.Match match) {
        PlugDrawing drawing = new PlugDrawing();
        drawing.getStyleClass().add("small-drawing");
        drawing.show(match.connector(), Form.PLUG, Map.of());
        Label name = Styled.of(new Label(match.connector().word())).as("medium").node();
        Label meaning = new Label(match.meaning());
        Styled.of(meaning).as("second", "small").wrap();
        results.getChildren().add(new VBox(3, name, drawing, meaning));
    }
}
