package kalodyne.desktop.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.util.Duration;
import kalodyne.core.takes.Evidence;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.ShownTake;

/** Hearing a take and finding its places: play, loop a place, go from place to place, nearer and further away. */
final class WaveTools extends HBox {
    private static final double ROUND_A_PLACE_SECONDS = 0.6;
    private static final double NEARER = 2;
    private static final double SHORTEST_SECONDS = 0.05;

    private final Waveform waveform;
    private final PlaybackModel playback;
    private final Button play = tool("Play", "play-take", "From the cursor, or the whole (Ctrl+P)");
    private final Button loop = tool("Loop it", "loop-place", "Over and over, with a little around it");
    private final Button previous = tool("◂", "previous-place", "The place before");
    private final Button next = tool("▸", "next-place", "The next place");
    private final ToggleButton hearOther = new ToggleButton();
    private final Label places = new Label();
    private final Timeline clock = new Timeline(new KeyFrame(Duration.millis(40), event -> follow()));
    private ShownTake shown;
    private int place = -1;

    WaveTools(Waveform waveform, PlaybackModel playback) {
        super(8);
        this.waveform = waveform;
        this.playback = playback;
        setAlignment(Pos.CENTER_LEFT);
        setMinHeight(USE_PREF_SIZE);
        clock.setCycleCount(Animation.INDEFINITE);
        play.setOnAction(event -> playOrStop());
        loop.setOnAction(event -> loop());
        previous.setOnAction(event -> go(-1));
        next.setOnAction(event -> go(1));
        hearOther.setId("hear-other");
        hearOther.getStyleClass().add("wave-tool");
        hearOther.setTooltip(new Tooltip("The take that this one is compared with, from the same moment on"));
        Styled.of(hearOther).whole().action(() -> exchange());
        Styled.of(places).id("places").as("second", "small");
        places.setMinWidth(0);
        HBox.setHgrow(places, Priority.ALWAYS);
        places.setMaxWidth(Double.MAX_VALUE);
        Button nearer = tool("+", "wave-nearer", "Nearer (Up)");
        nearer.setOnAction(event -> waveform.zoom(NEARER));
        Button further = tool("−", "wave-further", "Further away (Down)");
        further.setOnAction(event -> waveform.zoom(1 / NEARER));
        Button whole = tool("Whole take", "wave-whole", "All of it (Home)");
        whole.setOnAction(event -> waveform.whole());
        getChildren().addAll(play, hearOther, loop, previous, next, places, further, nearer, whole);
        playback.playingProperty().addListener(change -> showPlaying());
    }

    private static Button tool(String words, String id, String tip) {
        Button button = Styled.of(new Button(words))
                .as("wave-tool")
                .id(id)
                .tip(tip)
                .whole()
                .node();
        return button;
    }

    void show(ShownTake other) {
        boolean isSame = shown != null && shown.report().equals(other.report());
        shown = other;
        if (!isSame) {
            place = -1;
            playback.stop();
        }
        boolean hasPlaces = !evidence().isEmpty();
        for (Button each : List.of(loop, previous, next)) {
            Styled.of(each).shown(hasPlaces);
        }
        Styled.of(hearOther).shown(other.other().isPresent());
        other.other()
                .ifPresent(
                        compared -> hearOther.setText("Hear " + compared.take().name()));
        if (other.other().isEmpty()) {
            hearOther.setSelected(false);
        }
        showPlace();
    }

    /** From the one take to the other, at the same moment, while it plays. */
    private void exchange() {
        Optional<Double> at = playback.position();
        at.ifPresentOrElse(this::playFrom, this::playFromCursor);
    }

    /** The take that is heard. */
    private TakeReport heard() {
        return hearOther.isSelected() && shown.other().isPresent()
                ? shown.other().get().report()
                : shown.report();
    }

    private List<Evidence> evidence() {
        return shown.evidence();
    }

    private void go(int by) {
        int count = evidence().size();
        place = place < 0 ? (by > 0 ? 0 : count - 1) : Math.floorMod(place + by, count);
        waveform.lookAt(evidence().get(place));
        showPlace();
    }

    /** The cursor was set: what plays begins there. */
    void pointedAt() {
        place = -1;
        showPlace();
        if (playback.playingProperty().get()) {
            playback.stop();
            playFromCursor();
        }
    }

    private void showPlace() {
        places.setText(
                evidence().isEmpty()
                        ? ""
                        : place < 0
                                ? Print.count(evidence().size()) + (evidence().size() == 1 ? " place" : " places")
                                : "place " + (place + 1) + " of " + evidence().size() + ", "
                                        + title(evidence().get(place)));
    }

    private String title(Evidence evidence) {
        return shown.finding(evidence.code())
                .map(finding -> Print.withinSentence(finding.title()) + " at " + Print.moment(evidence.fromSeconds()))
                .orElse("");
    }

    void playOrStop() {
        if (playback.playingProperty().get()) {
            playback.stop();
        } else if (shown != null) {
            playFromCursor();
        }
    }

    private void playFromCursor() {
        playFrom(waveform.cursorSeconds());
    }

    private void playFrom(double seconds) {
        double end = heard().header().seconds();
        if (end > 0) {
            playback.play(heard().file(), seconds < end - SHORTEST_SECONDS ? seconds : 0, end, false);
        }
    }

    private void loop() {
        if (place < 0) {
            go(1);
        }
        Evidence at = evidence().get(place);
        double end = heard().header().seconds();
        playback.play(
                heard().file(),
                Math.max(0, at.fromSeconds() - ROUND_A_PLACE_SECONDS),
                Math.min(end, at.toSeconds() + ROUND_A_PLACE_SECONDS),
                true);
    }

    private void showPlaying() {
        boolean isPlaying = playback.playingProperty().get();
        play.setText(isPlaying ? "Stop" : "Play");
        if (isPlaying) {
            clock.play();
        } else {
            clock.stop();
            waveform.played(OptionalDouble.empty());
        }
    }

    private void follow() {
        Optional<Double> at = playback.position();
        waveform.played(at.isPresent() ? OptionalDouble.of(at.get()) : OptionalDouble.empty());
    }
}
