package kalodyne.desktop.takes;

import java.util.List;
import java.util.stream.IntStream;
import javafx.beans.value.ObservableStringValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Paragraphs;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.PlanModel;

/** What a take says about time: how late it came back through the computer, how it keeps the tempo. */
final class TimingPage extends Paragraphs {
    private static final double WIDTH = 560;
    private static final double USUAL_TEMPO = 120;
    private static final int SHORT_FIELD = 6;

    private final TimingModel timing;
    private final Label problem = new Label();
    private final Button leave = new Button("Done");
    private double tempo;

    TimingPage(TimingModel timing, Runnable closed) {
        super(8);
        this.timing = timing;
        tempo = timing.planned().orElse(USUAL_TEMPO);
        getStyleClass().addAll("palette", "timing-page");
        setId("timing-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        setPrefWidth(WIDTH);
        Label head = new Label(timing.take().map(name -> "Time in " + name).orElse("No take is shown"));
        head.getStyleClass().add("card-title");
        getChildren().add(head);
        trip();
        tempo();
        Styled.of(leave).id("timing-done").as("primary").action(() -> closed.run());
        getChildren().add(leave);
    }

    void focus() {
        leave.requestFocus();
    }

    // --- round trip --------------------------------------------------------------------------------------------

    private void trip() {
        section("Round trip through the computer");
        int count = timing.channels();
        if (count < 2) {
            line(
                    "For this, connect an output straight to an input, play single clicks, and record two channels: what is played, and what comes back. This take has one.");
            return;
        }
        List<Integer> channels = IntStream.rangeClosed(1, count).boxed().toList();
        Chooser<Integer> sent = channel("trip-sent", channels, 1);
        Chooser<Integer> back = channel("trip-back", channels, 2);
        Button measure = new Button("Measure");
        measure.setId("trip-measure");
        measure.setOnAction(event -> timing.measureTrip(sent.getValue() - 1, back.getValue() - 1));
        Button keep = new Button("Keep it for the run sheet");
        keep.setId("trip-keep");
        keep.setDisable(true);
        keep.setOnAction(event -> {
            timing.keepTrip();
            keep.setDisable(true);
        });
        timing.tripProperty().addListener(change -> keep.setDisable(!timing.canKeep()));
        row(new Label("Played on"), sent, new Label("came back on"), back, measure, keep);
        result("trip-result", timing.tripProperty());
    }

    private static Chooser<Integer> channel(String id, List<Integer> channels, int present) {
        Chooser<Integer> chooser = new Chooser<>(channel -> "channel " + channel);
        chooser.setId(id);
        return chooser.offering(channels, present);
    }

    // --- tempo -------------------------------------------------------------------------------------------------

    private void tempo() {
        section("Tempo against the clock");
        QuantityField beats = new QuantityField(typed -> tempo = PlanModel.readTempo(typed), problem::setText);
        beats.setId("timing-tempo");
        beats.setPrefColumnCount(SHORT_FIELD);
        beats.show(Print.plain(tempo));
        Button measure = new Button("Measure");
        measure.setId("tempo-measure");
        measure.setDisable(timing.take().isEmpty());
        measure.setOnAction(event -> timing.measureTempo(tempo));
        Styled.of(problem).as("problem", "small").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        row(new Label("Beats a minute"), beats, measure);
        getChildren().add(problem);
        result("tempo-result", timing.tempoProperty());
    }

    // --- parts -------------------------------------------------------------------------------------------------

    private void row(Node... nodes) {
        FlowPane row = new FlowPane(8, 6, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(row);
    }

    private void result(String id, ObservableStringValue text) {
        Label label = line("");
        label.setId(id);
        label.textProperty().bind(text);
    }
}
