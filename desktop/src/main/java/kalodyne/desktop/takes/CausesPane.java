package kalodyne.desktop.takes;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kalodyne.core.takes.causes.DiagnosticStep;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.takes.causes.Suspect;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;

/** What most likely makes the worst fault, and the one test that tells the likely causes apart soonest, with its answers to click. */
final class CausesPane extends VBox {
    private static final int MOST_SHOWN = 3;
    private static final double BAR_EMS = 13;

    private final Consumer<Inquiry.Tried> answered;
    private final Runnable anew;

    /**
     * An empty one.
     *
     * @param answered told what came of a test
     * @param anew forgets all answers
     */
    CausesPane(Consumer<Inquiry.Tried> answered, Runnable anew) {
        super(6);
        this.answered = answered;
        this.anew = anew;
        setId("causes");
        getStyleClass().add("causes");
        setMinHeight(USE_PREF_SIZE);
    }

    void show(Optional<Inquiry> inquiry) {
        getChildren().clear();
        setVisible(inquiry.isPresent());
        setManaged(inquiry.isPresent());
        inquiry.ifPresent(this::show);
    }

    private void show(Inquiry inquiry) {
        Label title = Styled.of(new Label("What most likely causes it, in this run"))
                .as("section")
                .node();
        List<Suspect> suspects = inquiry.suspects();
        GridPane list = new GridPane();
        list.getColumnConstraints().addAll(grows(), new ColumnConstraints(), new ColumnConstraints());
        for (int i = 0; i < Math.min(MOST_SHOWN, suspects.size()); i++) {
            row(list, i, suspects.get(i));
        }
        getChildren().addAll(title, list);
        inquiry.nextTest()
                .map(this::test)
                .or(() -> suspects.stream()
                        .findFirst()
                        .map(likeliest -> line("So do this:", likeliest.cause().cure(), "cure")))
                .ifPresent(getChildren()::add);
        if (!inquiry.tried().isEmpty()) {
            getChildren().add(tried(inquiry));
        }
    }

    private static ColumnConstraints grows() {
        ColumnConstraints column = new ColumnConstraints();
        column.setHgrow(Priority.ALWAYS);
        return column;
    }

    private static void row(GridPane list, int row, Suspect suspect) {
        Label name = new Label(suspect.cause().name());
        name.getStyleClass().add("cause");
        name.setMaxWidth(Double.MAX_VALUE);
        name.setTooltip(
                new Tooltip(suspect.cause().says() + "\n" + suspect.cause().predicts()));
        Region bar = Styled.of(new Region()).as("chance").node();
        StackPane track = Styled.of(new StackPane(bar)).as("cause").node();
        track.setAlignment(Pos.CENTER_LEFT);
        bar.setStyle("-fx-max-width: " + Math.max(0.3, BAR_EMS * suspect.chance()) + "em;");
        track.setStyle("-fx-min-width: " + BAR_EMS + "em;");
        Label chance = new Label(Print.decimal(100 * suspect.chance(), 0) + " %");
        chance.getStyleClass().addAll("cause", "medium");
        chance.setMaxWidth(Double.MAX_VALUE);
        chance.setAlignment(Pos.CENTER_RIGHT);
        chance.setMinWidth(Region.USE_PREF_SIZE);
        list.addRow(row, name, track, chance);
    }

    private HBox test(DiagnosticStep test) {
        HBox answers = Styled.of(new HBox(8)).whole().node();
        for (int i = 0; i < test.answers().size(); i++) {
            int answer = i;
            String words = test.answers().get(i);
            Button button = new Button(Print.startingSentence(words));
            button.setId("answer-" + i);
            button.getStyleClass().add("wave-tool");
            Styled.of(button).whole().action(() -> answered.accept(new Inquiry.Tried(test.id(), answer)));
            answers.getChildren().add(button);
        }
        HBox line = line("Tell them apart:", test.instruction(), "next-test");
        line.getChildren().add(answers);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private static HBox line(String head, String words, String id) {
        Label strong = Styled.of(new Label(head)).as("card-title").whole().node();
        Label text = Styled.of(new Label(words)).id(id).wrap().node();
        HBox.setHgrow(text, Priority.ALWAYS);
        HBox line = new HBox(10, strong, text);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    private Node tried(Inquiry inquiry) {
        Button begin = new Button("Begin the search anew");
        Styled.of(begin).as("action-link").id("search-anew").whole().action(() -> anew.run());
        Label path = new Label(path(inquiry));
        Styled.of(path).id("tried").as("second", "small").wrap();
        HBox.setHgrow(path, Priority.ALWAYS);
        HBox line = new HBox(10, path, begin);
        line.setAlignment(Pos.BASELINE_LEFT);
        return line;
    }

    /** "Tried: … Is the hum gone? – the same." */
    private static String path(Inquiry inquiry) {
        StringBuilder words = new StringBuilder("Tried so far:");
        for (Inquiry.Tried each : inquiry.tried()) {
            inquiry.complaint().tests().stream()
                    .filter(test -> test.id().equals(each.test())
                            && each.answer() < test.answers().size())
                    .forEach(test -> words.append(' ')
                            .append(test.instruction())
                            .append(" – ")
                            .append(test.answers().get(each.answer()))
                            .append('.'));
        }
        return words.toString();
    }
}
