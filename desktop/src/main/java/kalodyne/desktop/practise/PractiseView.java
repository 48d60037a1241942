package kalodyne.desktop.practise;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.practice.Exercise;
import kalodyne.core.practice.Exercises;
import kalodyne.core.studio.practised.Repetition;
import kalodyne.core.studio.practised.Sureness;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.SpectrumView;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.practise.PractiseModel.State;

/** What one is sure of; and in a sitting what is asked, what is answered, and why. */
final class PractiseView extends VBox {
    private static final int MOST_CHOICES = 4;
    private static final int BOXES = 5;

    private final PractiseModel model;
    private final Label sentence = new Label();
    private final Button begin = new Button("Practise for five minutes");
    private final Button leave = new Button("End");
    private final Label ask = new Label();
    private final Button play = new Button("Play");
    private final ClipView wave = new ClipView();
    private final SpectrumView spectrum = new SpectrumView();
    private final List<Button> choices =
            Stream.generate(Button::new).limit(MOST_CHOICES).toList();
    private final Label verdict = new Label();
    private final Label why = new Label();
    private final Label toDo = new Label();
    private final Button next = new Button("Next");
    private final VBox sitting;
    private final VBox outside;
    private final GridPane topics = new GridPane();
    private final SurenessView sureness = new SurenessView(Exercises.topics().size());

    PractiseView(PractiseModel model) {
        this.model = model;
        getStyleClass().addAll("room", "practise");
        sentence.setId("practise-sentence");
        Styled.of(begin).id("practise-begin").as("primary").whole().action(model::begin);
        Styled.of(leave).id("practise-leave").whole().action(model::leave);
        sitting = sitting();
        outside = outside();
        VBox.setVgrow(sitting, Priority.ALWAYS);
        getChildren().addAll(new RoomHeader(sentence, leave, begin), sitting, outside);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        model.stateProperty().addListener(change -> show());
        model.studio().revisionProperty().addListener(change -> showTopics());
        model.hear()
                .hearingProperty()
                .addListener(change -> play.setText(model.hear().isHearing() ? "Stop (P)" : "Play (P)"));
        show();
    }

    private VBox sitting() {
        Styled.of(ask).id("practise-ask").as("practise-ask").wrap();
        ask.setMinHeight(Region.USE_PREF_SIZE);
        Styled.of(play).id("practise-play").whole().action(model::playOrStop);
        play.setText("Play (P)");
        FlowPane answers = new FlowPane(8, 8);
        answers.setId("practise-choices");
        for (int i = 0; i < choices.size(); i++) {
            int choice = i;
            Styled.of(choices.get(i))
                    .id("practise-choice-" + (i + 1))
                    .as("choice")
                    .whole()
                    .action(() -> model.answer(choice));
            answers.getChildren().add(choices.get(i));
        }
        Styled.of(verdict).id("practise-verdict").as("card-title").wrap();
        Styled.of(why).id("practise-why").wrap();
        Styled.of(toDo).id("practise-to-do").as("medium").wrap();
        Stream.of(verdict, why, toDo).forEach(label -> label.setMinHeight(Region.USE_PREF_SIZE));
        Styled.of(next).id("practise-next").as("primary").whole().action(model::next);
        VBox.setVgrow(wave, Priority.ALWAYS);
        VBox.setVgrow(spectrum, Priority.ALWAYS);
        return new VBox(10, ask, play, wave, spectrum, answers, verdict, why, toDo, next);
    }

    private VBox outside() {
        ColumnConstraints grows = new ColumnConstraints();
        grows.setHgrow(Priority.ALWAYS);
        topics.getColumnConstraints().addAll(new ColumnConstraints(), new ColumnConstraints(), grows);
        topics.setHgap(18);
        topics.setVgap(5);
        topics.setId("practise-topics");
        Label over = Styled.of(new Label("Sure of (full) and met (outlined), from day to day"))
                .as("section")
                .node();
        over.visibleProperty().bind(sureness.visibleProperty());
        over.managedProperty().bind(sureness.managedProperty());
        return new VBox(12, topics, over, sureness);
    }

    /** 1 to 4 answer, P plays, Enter goes on, Escape ends the sitting. */
    private void key(KeyEvent event) {
        if (!model.state().isInside() || event.isShortcutDown() || event.isAltDown()) {
            return;
        }
        switch (event.getCode()) {
            case DIGIT1, NUMPAD1 -> model.answer(0);
            case DIGIT2, NUMPAD2 -> model.answer(1);
            case DIGIT3, NUMPAD3 -> model.answer(2);
            case DIGIT4, NUMPAD4 -> model.answer(3);
            case P -> model.playOrStop();
            case ESCAPE -> model.leave();
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void show() {
        State state = model.state();
        Styled.of(sitting).shown(state.isInside());
        Styled.of(outside).shown(!state.isInside());
        Styled.of(begin).shown(!state.isInside());
        Styled.of(leave).shown(state.isInside());
        if (state.isInside()) {
            showSitting(state);
        } else {
            showTopics();
        }
    }

    private void showSitting(State state) {
        sentence.setText(state.asked() == 0 ? "Listen, look, and say what it is" : score(state));
        Optional<Exercise> exercise = state.exercise();
        ask.setText(exercise.map(Exercise::ask).orElse("One moment: the next one is being made…"));
        boolean isHeard = exercise.flatMap(Exercise::sound).isPresent();
        Styled.of(play).shown(isHeard);
        Styled.of(wave).shown(isHeard);
        wave.show(exercise.flatMap(Exercise::sound));
        Styled.of(spectrum).shown(exercise.flatMap(Exercise::report).isPresent());
        exercise.flatMap(Exercise::report).ifPresent(report -> spectrum.show(report, Optional.empty()));
        for (int i = 0; i < choices.size(); i++) {
            showChoice(state, exercise, i);
        }
        boolean isAnswered = state.isAnswered();
        Stream.of(verdict, why, toDo, next)
                .forEach(node -> Styled.of((Node) node).shown(isAnswered));
        if (isAnswered) {
            Exercise asked = exercise.orElseThrow();
            String truth = asked.choices().get(asked.right());
            verdict.setText(state.isRight() ? "Right: " + Print.withinSentence(truth) + "." : "No. " + truth + ".");
            why.setText(asked.why());
            toDo.setText(asked.toDo().isEmpty() ? "" : "What to do: " + Print.withinSentence(asked.toDo()) + ".");
            Styled.of(toDo).shown(!asked.toDo().isEmpty());
            next.requestFocus();
        } else if (isHeard) {
            play.requestFocus();
        } else {
            // What had the focus is gone, and no answer gets it: Enter once more would choose it.
            requestFocus();
        }
    }

    private void showChoice(State state, Optional<Exercise> exercise, int i) {
        Button choice = choices.get(i);
        boolean isThere = exercise.filter(each -> i < each.choices().size()).isPresent();
        Styled.of(choice).shown(isThere);
        choice.getStyleClass().removeAll("right", "chosen");
        if (isThere) {
            choice.setText((i + 1) + "  " + exercise.orElseThrow().choices().get(i));
            choice.setDisable(state.isAnswered());
            if (state.isAnswered() && i == exercise.orElseThrow().right()) {
                choice.getStyleClass().add("right");
            }
        }
    }

    private static String score(State state) {
        return state.right() + " of " + state.asked() + " right";
    }

    private void showTopics() {
        State state = model.state();
        if (state.isInside()) {
            return;
        }
        Repetition repetition = new Repetition(model.answers());
        List<String> all = Exercises.topics();
        long sure = all.stream().filter(repetition::isSure).count();
        sentence.setText(
                state.asked() > 0
                        ? score(state) + " in this sitting"
                        : model.answers().isEmpty()
                                ? "Learn to hear what goes wrong, with the gear of this setup"
                                : "You are sure of " + sure + " of " + all.size());
        topics.getChildren().clear();
        for (int row = 0; row < all.size(); row++) {
            String topic = all.get(row);
            int box = repetition.box(topic).orElse(0);
            Label boxes = new Label("■".repeat(box) + "□".repeat(BOXES - box));
            Styled.of(boxes).as("boxes").spoken(box == 0 ? "not asked yet" : "box " + box + " of " + BOXES);
            topics.addRow(
                    row,
                    Styled.of(new Label(Exercises.words(topic))).whole().node(),
                    Styled.of(boxes).whole().node(),
                    Styled.of(new Label(when(repetition, topic)))
                            .as("second", "small")
                            .node());
        }
        Styled.of(sureness).shown(!model.answers().isEmpty());
        sureness.show(Sureness.of(model.answers(), ZoneId.systemDefault()));
    }

    private String when(Repetition repetition, String topic) {
        Instant now = model.clock().instant();
        return repetition
                .due(topic)
                .map(due -> {
                    long days =
                            Math.max(0, Duration.between(now, due).plusHours(12).toDays());
                    String sure = repetition.isSure(topic) ? "sure · " : "";
                    return sure
                            + (days == 0 ? "again today" : days == 1 ? "again tomorrow" : "again in " + days + " days");
                })
                .orElse("not asked yet");
    }
}
