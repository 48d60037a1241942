package kalodyne.desktop.lineup;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import kalodyne.core.recording.PairPlayback.Voice;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;

/** One place of both recordings: seen over each other, heard one by one and together. */
final class PlacePane extends VBox {
    private static final double NEARER = 2;

    private final String name;
    private final PairView place;
    private final PairSound sound;
    private final PairWave wave;
    private final Label title = new Label();
    private final Map<Voice, ToggleButton> voices = new EnumMap<>(Voice.class);
    private final Timeline clock = new Timeline(new KeyFrame(Duration.millis(40), event -> follow()));

    /**
     * A pane.
     *
     * @param name "At the start"
     * @param moved told by how many seconds the other one was dragged later
     */
    PlacePane(String name, String id, PairView place, PairSound sound, DoubleConsumer moved) {
        super(6);
        this.name = name;
        this.place = place;
        this.sound = sound;
        wave = new PairWave(id, moved);
        title.getStyleClass().add("section");
        title.setMinWidth(0);
        VBox.setVgrow(wave, Priority.ALWAYS);
        FlowPane tools = new FlowPane(6, 4);
        tools.setAlignment(Pos.CENTER_LEFT);
        tools.setMinHeight(USE_PREF_SIZE);
        voice(Voice.REFERENCE, "Reference", id + "-hear-reference", "Only the reference, over and over");
        voice(Voice.OTHER, "Other", id + "-hear-other", "Only the other recording");
        voice(Voice.BOTH, "Both: echo?", id + "-hear-both", "Both together: what is off sounds like an echo");
        tools.getChildren().addAll(voices.values());
        tools.getChildren()
                .addAll(
                        tool("−", id + "-further", "Further away (Down)", () -> wave.zoom(1 / NEARER)),
                        tool("+", id + "-nearer", "Nearer (Up)", () -> wave.zoom(NEARER)),
                        tool("All", id + "-whole", "All twelve seconds (Home)", wave::whole));
        getChildren().addAll(title, wave, tools);
        clock.setCycleCount(Animation.INDEFINITE);
        place.seenProperty().addListener(change -> show());
        sound.heardProperty().addListener(change -> showHeard());
        show();
    }

    private void voice(Voice voice, String words, String id, String tip) {
        ToggleButton button = Styled.of(new ToggleButton(words))
                .id(id)
                .as("wave-tool")
                .tip(tip)
                .whole()
                .node();
        button.setOnAction(event -> {
            sound.hear(place, voice);
            showHeard();
        });
        voices.put(voice, button);
    }

    private static Button tool(String words, String id, String tip, Runnable run) {
        Button button = new Button(words);
        Styled.of(button).id(id).as("wave-tool").tip(tip).whole().action(() -> run.run());
        return button;
    }

    private void show() {
        wave.show(place.seen());
        title.setText(name
                + place.place()
                        .map(each -> ", from " + Print.moment(each.fromSeconds()))
                        .orElse(""));
        voices.values().forEach(each -> each.setDisable(place.seen().isEmpty()));
    }

    private void showHeard() {
        Optional<PairSound.Heard> heard =
                sound.heardProperty().get().filter(each -> each.place().equals(place));
        voices.forEach((voice, button) ->
                button.setSelected(heard.filter(each -> each.voice() == voice).isPresent()));
        if (heard.isPresent()) {
            clock.play();
        } else {
            clock.stop();
            wave.heard(OptionalDouble.empty());
        }
    }

    private void follow() {
        wave.heard(sound.position(place).map(OptionalDouble::of).orElse(OptionalDouble.empty()));
    }
}
