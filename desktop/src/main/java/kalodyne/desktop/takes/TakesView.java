package kalodyne.desktop.takes;

import java.io.File;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.util.StringConverter;
import kalodyne.core.setup.Take;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import kalodyne.core.verdict.Comparison;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.model.TakesModel;

/** The verdict, the waveform with its evidence, and the numbers. */
final class TakesView extends VBox {
    private static final PseudoClass DROPPING = PseudoClass.getPseudoClass("dropping");

    private static final Map<String, String> MEANINGS = Map.of(
            "loudest peak, dBFS", "The highest moment. 0 dBFS is the most that numbers can hold.",
            "average, dBFS re a sine", "How loud the whole take is; a sine that just fits reads 0.",
            "places cut off", "Where the tops were flattened at full scale.",
            "constant offset, %", "How far the whole take lies off the middle.",
            "predicted", "What Levels computes for the knobs as they stood.",
            "measured", "What is in the file.",
            "aim", "Where it should lie.",
            "peak, dBFS", "The highest sample of this channel.",
            "RMS, dB re 1.0", "The average as many programs print it: a sine that just fits reads −3.01.",
            "samples cut off", "How many samples lie flat at full scale.");

    private final TakesModel takes;
    private final Label sentence = new Label();
    private final ComboBox<Take> chooser = new ComboBox<>();
    private final Waveform waveform = new Waveform();
    private final NumbersTable comparison = new NumbersTable("comparison", MEANINGS);
    private final NumbersTable channels = new NumbersTable("channels", MEANINGS);
    private final VBox filled;
    private final VBox dropZone = dropZone();
    private final Runnable calibrate;
    private boolean showing;

    /**
     * A view.
     *
     * @param calibrate shows what the takes say about the gear
     */
    TakesView(TakesModel takes, Runnable calibrate) {
        this.takes = takes;
        this.calibrate = calibrate;
        getStyleClass().add("room");
        VBox.setVgrow(waveform, Priority.ALWAYS);
        FlowPane tables = new FlowPane(30, 8, comparison, channels);
        tables.setMinHeight(Region.USE_PREF_SIZE);
        filled = new VBox(10, waveform, tables);
        VBox.setVgrow(filled, Priority.ALWAYS);
        VBox.setVgrow(dropZone, Priority.ALWAYS);
        getChildren().addAll(header(), filled, dropZone);
        setOnDragOver(this::dragOver);
        setOnDragExited(event -> pseudoClassStateChanged(DROPPING, false));
        setOnDragDropped(this::dropped);
        takes.selectionProperty().addListener(change -> show());
        show();
    }

    private RoomHeader header() {
        sentence.setId("takes-sentence");
        chooser.setId("take-chooser");
        chooser.setConverter(new TakeNames());
        chooser.setMinWidth(Region.USE_PREF_SIZE);
        chooser.setOnAction(event -> {
            if (!showing && chooser.getValue() != null) {
                takes.select(chooser.getValue());
            }
        });
        Button open = new Button("Add a take…");
        open.setId("open-take");
        open.setMinWidth(Region.USE_PREF_SIZE);
        open.setOnAction(event -> chooseFile());
        Button correct = new Button("Correct the gear…");
        correct.setId("open-calibration");
        correct.setMinWidth(Region.USE_PREF_SIZE);
        correct.setTooltip(new Tooltip("What these takes say about the source and the knob (Ctrl+Shift+K)"));
        correct.setOnAction(event -> calibrate.run());
        return new RoomHeader(sentence, chooser, correct, open);
    }

    private VBox dropZone() {
        Label what = new Label("Drop a recording here");
        what.getStyleClass().add("room-sentence");
        Label how = new Label(
                "A WAV of the loudest part, with the knobs as they stand in Levels. You will see whether it is clean and what to turn.");
        how.getStyleClass().add("second");
        how.setWrapText(true);
        Button open = new Button("Choose a file…");
        open.getStyleClass().add("primary");
        open.setOnAction(event -> chooseFile());
        VBox zone = new VBox(what, how, open);
        zone.getStyleClass().add("drop-zone");
        zone.setId("drop-zone");
        return zone;
    }

    void chooseFile() {
        FileChooser files = new FileChooser();
        files.setTitle("Add a take");
        files.getExtensionFilters()
                .addAll(
                        new FileChooser.ExtensionFilter("WAV recordings", "*.wav", "*.WAV", "*.wave"),
                        new FileChooser.ExtensionFilter("All files", "*.*"));
        File chosen =
                files.showOpenDialog(getScene() == null ? null : getScene().getWindow());
        if (chosen != null) {
            takes.add(chosen.toPath());
        }
    }

    private void dragOver(DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY, TransferMode.LINK, TransferMode.MOVE);
            pseudoClassStateChanged(DROPPING, true);
        }
        event.consume();
    }

    private void dropped(DragEvent event) {
        List<File> files = event.getDragboard().getFiles();
        files.forEach(file -> takes.add(file.toPath()));
        event.setDropCompleted(!files.isEmpty());
        event.consume();
    }

    private void show() {
        showing = true;
        chooser.getItems().setAll(takes.selection().takes());
        Optional<TakesModel.Shown> shown = takes.selection().shown();
        chooser.setVisible(!takes.selection().takes().isEmpty());
        chooser.setManaged(!takes.selection().takes().isEmpty());
        chooser.setValue(takes.selection().take().orElse(null));
        showing = false;
        filled.setVisible(shown.isPresent());
        filled.setManaged(shown.isPresent());
        dropZone.setVisible(shown.isEmpty());
        dropZone.setManaged(shown.isEmpty());
        sentence.setText(takes.selection().sentence());
        shown.ifPresent(this::show);
    }

    private void show(TakesModel.Shown shown) {
        waveform.show(shown.report(), shown.verdict().end());
        comparison.begin(shown.take().name(), "predicted", "measured", "aim");
        for (Comparison row : shown.verdict().comparisons()) {
            comparison.row(
                    List.of(row.what(), row.predicted(), row.measured(), row.aim()),
                    "",
                    "",
                    row.outside() ? "off" : "",
                    "second");
        }
        channels.begin("channel", "peak, dBFS", "RMS, dB re 1.0", "samples cut off");
        for (int c = 0; c < Math.min(8, shown.report().channels().size()); c++) {
            ChannelReport channel = shown.report().channels().get(c);
            channels.row(
                    List.of(
                            String.valueOf(c + 1),
                            Print.decimal(channel.peakLevel().dbfs(), 2),
                            Print.decimal(DigitalLevel.plainRmsDbfs(channel.rms()), 2),
                            channel.isClipped() ? Print.count(channel.clippedSamples()) : "none"),
                    "",
                    "",
                    "",
                    channel.isClipped() ? "off" : "");
        }
        channels.row(List.of("length", Print.moment(shown.report().header().seconds()), "", ""));
    }

    /** "Take 2, bass-take-2.wav". */
    private static final class TakeNames extends StringConverter<Take> {
        @Override
        public String toString(Take take) {
            return take == null ? "choose a take" : take.name() + " · " + TakeTimes.of(take);
        }

        @Override
        public Take fromString(String text) {
            throw new UnsupportedOperationException("a take is chosen, not typed");
        }
    }
}
