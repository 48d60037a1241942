package kalodyne.desktop.hearing;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import kalodyne.core.hearing.BlindTest;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.HearModel.Hearing;

/** What is heard, from whichever room it was begun: how loud, who plays, which of two, and whether one can tell them apart. */
public final class HearBar extends VBox {
    private static final double SOFTEST_DB = -60;
    private static final double VOLUME_WIDTH = 110;
    private static final int USUAL_TRIES = 10;
    private static final String MADE_UP = "A made-up player";

    private final HearModel hear;
    private final Label title = new Label();
    private final List<ToggleButton> sides = List.of(new ToggleButton(), new ToggleButton());
    private final ToggleButton unknown = new ToggleButton("The unknown one");
    private final CheckBox match = new CheckBox("Equally loud");
    private final Label matching = new Label();
    private final Chooser<Optional<Path>> player = new Chooser<>(
            take -> take.map(file -> file.getFileName().toString()).orElse(MADE_UP));
    private final Slider volume = new Slider(SOFTEST_DB, 0, HearModel.FIRST_VOLUME_DB);
    private final Chooser<Integer> tries = new Chooser<>(count -> count + " tries");
    private final Button blind = new Button("Can you tell them apart?");
    private final Label progress = new Label();
    private final List<Button> answers = List.of(new Button(), new Button());
    private final Button leave = new Button("Stop guessing");
    private boolean isShowing;

    /** Hidden while nothing is heard. */
    public HearBar(HearModel hear) {
        super(6);
        this.hear = hear;
        setId("hear-bar");
        getStyleClass().add("hear-bar");
        getChildren().addAll(row(parts()), row(guessing()));
        hear.hearingProperty().addListener(change -> show());
        show();
    }

    private static FlowPane row(List<Node> parts) {
        FlowPane row = new FlowPane(10, 6);
        row.setRowValignment(VPos.CENTER);
        row.getChildren().setAll(parts);
        return row;
    }

    private List<Node> parts() {
        Button stop = Styled.of(new Button("Stop"))
                .id("hear-stop")
                .whole()
                .action(hear::stop)
                .node();
        Styled.of(title).as("medium").id("hear-title");
        for (int i = 0; i < sides.size(); i++) {
            int side = i;
            Styled.of(sides.get(i))
                    .as("chip")
                    .id("hear-side-" + (i + 1))
                    .whole()
                    .action(() -> hear.hearSide(side));
        }
        Styled.of(unknown).as("chip").id("hear-unknown").whole().action(hear::hearUnknown);
        Styled.of(match)
                .id("hear-match")
                .whole()
                .tip("The louder of two always sounds better: it is turned down to the other")
                .action(() -> hear.match(match.isSelected()));
        Styled.of(matching).as("second", "small").id("hear-matching");
        Styled.of(player).id("hear-player").spoken("Who plays").tip("Who plays").action(this::choosePlayer);
        Styled.of(volume)
                .id("hear-volume")
                .tip("How loud you hear it. It begins softly.")
                .spoken("How loud you hear it");
        volume.setPrefWidth(VOLUME_WIDTH);
        volume.setMinWidth(VOLUME_WIDTH);
        volume.valueProperty().addListener((property, before, db) -> hear.volume(db.doubleValue()));
        List<Node> parts = new ArrayList<>(List.of(stop, title));
        parts.addAll(sides);
        parts.addAll(List.of(match, matching, volume));
        return parts;
    }

    private List<Node> guessing() {
        tries.offering(
                IntStream.rangeClosed(BlindTest.FEWEST, BlindTest.MOST).boxed().toList(), USUAL_TRIES);
        Styled.of(tries).id("hear-tries").spoken("How often you say which one it is");
        Styled.of(blind).id("hear-blind").whole().action(() -> hear.compareBlind(tries.getValue()));
        Styled.of(progress).as("medium").id("hear-progress").wrap();
        for (int i = 0; i < answers.size(); i++) {
            int side = i;
            Styled.of(answers.get(i))
                    .as("primary")
                    .id("hear-answer-" + (i + 1))
                    .whole()
                    .action(() -> hear.tell(side));
        }
        Styled.of(leave).id("hear-leave").whole().action(hear::endBlind);
        Label caution = Styled.of(new Label("Begin softly: loud for long harms your ears."))
                .as("second", "small")
                .node();
        List<Node> parts = new ArrayList<>(List.of(player, blind, tries, progress, unknown));
        parts.addAll(answers);
        parts.addAll(List.of(leave, caution));
        return parts;
    }

    private void choosePlayer() {
        if (!isShowing) {
            hear.play(player.getValue());
        }
    }

    private void show() {
        Optional<Hearing> now = hear.hearing();
        Styled.of(this).shown(now.isPresent());
        now.ifPresent(this::show);
    }

    private void show(Hearing now) {
        isShowing = true;
        title.setText("Hearing: " + now.title());
        Optional<BlindTest> test = now.blind();
        boolean isGuessing = test.filter(each -> !each.isOver()).isPresent();
        for (int i = 0; i < sides.size(); i++) {
            String words = i < now.sides().size() ? now.sides().get(i) : "";
            sides.get(i).setText(words);
            sides.get(i).setSelected(now.side() == i);
            Styled.of(sides.get(i)).shown(now.isComparing());
            answers.get(i).setText("It is “" + words + "”");
            Styled.of(answers.get(i)).shown(isGuessing);
        }
        unknown.setSelected(now.isUnknownHeard());
        Styled.of(unknown).shown(isGuessing);
        match.setSelected(now.isMatched());
        Styled.of(match).shown(now.isComparing() && test.isEmpty());
        matching.setText(now.matchingInWords());
        Styled.of(matching).shown(!matching.getText().isEmpty());
        showPlayers(now.isPlayed());
        Styled.of(blind).shown(now.isComparing() && test.isEmpty());
        Styled.of(tries).shown(now.isComparing() && test.isEmpty());
        // Before they are measured, the loudness would give them away.
        blind.setDisable(now.turnedDown().isEmpty());
        progress.setText(test.map(HearBar::words).orElse(""));
        Styled.of(progress).shown(test.isPresent());
        leave.setText(isGuessing ? "Stop guessing" : "Done");
        Styled.of(leave).shown(test.isPresent());
        isShowing = false;
    }

    private void showPlayers(boolean isPlayed) {
        List<Optional<Path>> offered = new ArrayList<>();
        offered.add(Optional.empty());
        hear.takes().forEach(take -> offered.add(Optional.of(take)));
        hear.take().map(Optional::of).filter(take -> !offered.contains(take)).ifPresent(offered::add);
        if (!player.getItems().equals(offered)) {
            player.getItems().setAll(offered);
        }
        player.setValue(hear.take());
        Styled.of(player).shown(isPlayed && offered.size() > 1);
    }

    private static String words(BlindTest test) {
        return test.isOver()
                ? test.words()
                : "Try " + (test.right().size() + 1) + " of " + test.tries() + ": which one is the unknown one?";
    }
}
