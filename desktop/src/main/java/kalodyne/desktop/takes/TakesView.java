package kalodyne.desktop.takes;

import java.io.File;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import javafx.stage.FileChooser;
import javafx.util.StringConverter;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.takes.verdict.Comparison;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.FileDrop;
import kalodyne.desktop.control.RecordingDialog;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.SpectrumView;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.ShownTake;
import kalodyne.desktop.model.TakesModel;

/** The verdict, the waveform with its evidence, and the numbers. */
final class TakesView extends VBox {
    private static final Map<String, String> MEANINGS = Map.ofEntries(
            Map.entry("loudest peak, dBFS", "The highest moment. 0 dBFS is the most that numbers can hold."),
            Map.entry("average, dBFS re a sine", "How loud the whole take is; a full-scale sine reads 0."),
            Map.entry("places cut off", "Where the tops were flattened at full scale."),
            Map.entry("DC offset, %", "How far the whole take is off centre."),
            Map.entry("predicted", "What Levels computes for the knobs as they stood."),
            Map.entry("measured", "What is in the file."),
            Map.entry("aim", "Where it should lie."),
            Map.entry("peak, dBFS", "The highest sample of this channel."),
            Map.entry("RMS, dB re 1.0", "The average as many programs print it: a full-scale sine reads −3.01."),
            Map.entry("samples cut off", "How many samples lie flat at full scale."),
            Map.entry("noise in the pauses, dBFS", "What is left while nothing is played, relative to full scale."),
            Map.entry("hum, dBFS", "All tones of the mains together, relative to full scale."));

    private final TakesModel takes;
    private final Label sentence = new Label();
    private final ComboBox<Take> chooser = new ComboBox<>();
    private final ComboBox<Optional<Take>> other = new ComboBox<>();
    private final Waveform waveform;
    private final WaveTools tools;
    private final SpectrumView spectrum = new SpectrumView();
    private final SpectrumTimeView overTime = new SpectrumTimeView();
    private final ToggleButton overTimeSwitch = new ToggleButton("Over time");
    private final CausesPane causes;
    private final RecordPane recordPane;
    private final RecordingModel recording;
    private final List<Button> buttons = new ArrayList<>();
    private final NumbersTable comparison = new NumbersTable("comparison", MEANINGS);
    private final NumbersTable channels = new NumbersTable("channels", MEANINGS);
    private final ScrollPane filled;
    private final VBox dropZone = dropZone();
    private final Runnable calibrate;
    private final Runnable time;
    private boolean showing;

    /**
     * A view.
     *
     * @param calibrate shows what the takes say about the gear
     * @param time shows what a take says about time
     * @param told whenever recording asks for something else
     */
    TakesView(
            TakesModel takes,
            RecordingModel recording,
            PlaybackModel playback,
            Runnable calibrate,
            Runnable time,
            Runnable told) {
        this.takes = takes;
        this.calibrate = calibrate;
        this.time = time;
        this.recording = recording;
        comparison.setMaxWidth(Double.MAX_VALUE);
        waveform = new Waveform(seconds -> pointedAt(), this::looked);
        tools = new WaveTools(waveform, playback);
        causes = new CausesPane(this::answered, this::beginSearchAnew);
        recordPane = new RecordPane(recording, this::show, told);
        getStyleClass().add("room");
        VBox.setVgrow(waveform, Priority.ALWAYS);
        filled = scrolled(
                new VBox(8, waveform, tools, new SideBySide(spectrumWithWords(), comparison), causes, channels));
        VBox.setVgrow(filled, Priority.ALWAYS);
        VBox.setVgrow(dropZone, Priority.ALWAYS);
        VBox.setVgrow(recordPane, Priority.ALWAYS);
        getChildren().addAll(header(), filled, dropZone, recordPane);
        FileDrop.on(this, files -> files.forEach(takes::add));
        takes.selectionProperty().addListener(change -> show());
        show();
    }

    private static ScrollPane scrolled(VBox content) {
        content.getStyleClass().add("takes-content");
        ScrollPane scroll = new DownScroll(content).shrinking();
        scroll.setFitToHeight(true);
        scroll.getStyleClass().add("takes-scroll");
        scroll.setPrefHeight(1);
        return scroll;
    }

    private VBox spectrumWithWords() {
        Label title = Styled.of(new Label()).as("section").node();
        title.setMinWidth(0);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(title, Priority.ALWAYS);
        overTimeSwitch.setId("spectrum-switch");
        overTimeSwitch.getStyleClass().add("wave-tool");
        Styled.of(overTimeSwitch).whole().tip("What sounds when, of the part that the waveform shows");
        title.textProperty()
                .bind(Bindings.when(overTimeSwitch.selectedProperty())
                        .then("What sounds when: the louder, the darker")
                        .otherwise("Sound by frequency, dBFS; dotted: the pauses"));
        overTime.visibleProperty().bind(overTimeSwitch.selectedProperty());
        spectrum.visibleProperty().bind(overTimeSwitch.selectedProperty().not());
        StackPane pictures = new StackPane(spectrum, overTime);
        VBox.setVgrow(pictures, Priority.ALWAYS);
        HBox head = new HBox(8, title, overTimeSwitch);
        head.setAlignment(Pos.CENTER_LEFT);
        return new VBox(4, head, pictures);
    }

    /** Another part of the take is seen. */
    private void looked() {
        takes.selection().shown().ifPresent(shown -> overTime.show(shown.report(), waveform.view()));
    }

    private void pointedAt() {
        tools.pointedAt();
    }

    private void answered(Inquiry.Tried tried) {
        takes.selection().take().ifPresent(take -> takes.answer(take, tried));
    }

    private void beginSearchAnew() {
        takes.selection().take().ifPresent(takes::beginSearchAnew);
    }

    /** Shows what is recorded, in place of the take; there, begins or ends recording. */
    void record() {
        if (recordPane.isOpen()) {
            recordPane.recordOrStop();
        } else {
            recordPane.open();
            show();
        }
    }

    /** What recording asks for now; empty where nothing is recorded. */
    String recordingWords() {
        return recordPane.next();
    }

    void playOrStop() {
        tools.playOrStop();
    }

    private RoomHeader header() {
        sentence.setId("takes-sentence");
        Styled.of(chooser).id("take-chooser").spoken("Take");
        chooser.setConverter(new TakeNames());
        chooser.setMinWidth(Region.USE_PREF_SIZE);
        Copying.dragOut(chooser, takes::recording);
        chooser.setOnAction(event -> {
            if (!showing && chooser.getValue() != null) {
                takes.select(chooser.getValue());
            }
        });
        Styled.of(other).id("compare-chooser").spoken("Compared with");
        other.setConverter(new OtherNames());
        other.setMinWidth(Region.USE_PREF_SIZE);
        other.setOnAction(event -> {
            if (!showing && other.getValue() != null) {
                takes.compareWith(other.getValue());
            }
        });
        Button record = new Button("Record a take");
        record.setId("record-take");
        Styled.of(record)
                .as("primary")
                .whole()
                .tip("From an input, with a meter (Ctrl+R)")
                .action(() -> record());
        Button open = new Button("Add a file…");
        Styled.of(open).id("open-take").whole().action(() -> chooseFile());
        Button correct = new Button("Correct the gear…");
        correct.setId("open-calibration");
        correct.setMinWidth(Region.USE_PREF_SIZE);
        correct.setTooltip(new Tooltip("What these takes say about the source and the knob (Ctrl+Shift+K)"));
        correct.setOnAction(event -> calibrate.run());
        Button timing = new Button("Time…");
        timing.setId("open-timing");
        timing.setMinWidth(Region.USE_PREF_SIZE);
        Styled.of(timing)
                .tip("How late it came back, how it keeps the tempo (Ctrl+Shift+T)")
                .action(() -> time.run());
        buttons.addAll(List.of(record, open, correct, timing));
        return new RoomHeader(sentence, chooser, other, record, open, correct, timing);
    }

    private VBox dropZone() {
        Label what = new Label("Record the loudest part, or drop a recording here");
        what.getStyleClass().add("room-sentence");
        Label how = new Label(
                "With the knobs as they stand in Levels. You will see whether it is clean and what to turn. The simulated interface plays the run where nothing is plugged in.");
        Styled.of(how).as("second").wrap();
        how.setTextAlignment(TextAlignment.CENTER);
        Button record = new Button("Record a take");
        Styled.of(record).as("primary").id("record-first").action(() -> record());
        Button open = Styled.of(new Button("Choose a file…"))
                .action(() -> chooseFile())
                .node();
        HBox buttons = new HBox(10, record, open);
        buttons.setAlignment(Pos.CENTER);
        VBox zone = new VBox(what, how, buttons);
        Styled.of(zone).as("drop-zone").id("drop-zone");
        return zone;
    }

    void chooseFile() {
        FileChooser files = RecordingDialog.chooser("Add a take");
        File chosen =
                files.showOpenDialog(getScene() == null ? null : getScene().getWindow());
        if (chosen != null) {
            takes.add(chosen.toPath());
        }
    }

    private void show() {
        showing = true;
        chooser.getItems().setAll(takes.selection().takes());
        Optional<ShownTake> shown = takes.selection().shown();
        chooser.setValue(takes.selection().take().orElse(null));
        showOther(shown);
        showing = false;
        boolean isRecording = recordPane.isOpen();
        Styled.of(recordPane).shown(isRecording);
        Styled.of(filled).shown(shown.isPresent() && !isRecording);
        Styled.of(dropZone).shown(shown.isEmpty() && !isRecording);
        sentence.setText(
                isRecording
                        ? "Record a take of " + recording.plan().name()
                        : takes.selection().sentence());
        Styled.of(chooser).shown(!isRecording && !chooser.getItems().isEmpty());
        Styled.of(other).shown(!isRecording && other.getItems().size() > 1);
        // Where there is no take, the same stands in the middle.
        buttons.forEach(button ->
                Styled.of(button).shown(!isRecording && !chooser.getItems().isEmpty()));
        shown.ifPresent(this::show);
    }

    /** Both tables, for a spreadsheet. */
    void copyNumbers() {
        Copying.text(comparison.tabbed() + "\n" + channels.tabbed());
    }

    private void showOther(Optional<ShownTake> shown) {
        List<Optional<Take>> all = new ArrayList<>();
        all.add(Optional.empty());
        takes.selection().takes().stream()
                .filter(each -> !takes.selection().take().filter(each::equals).isPresent())
                .map(Optional::of)
                .forEach(all::add);
        other.getItems().setAll(all);
        other.setValue(shown.flatMap(ShownTake::other).map(TakesModel.Compared::take));
    }

    private void show(ShownTake shown) {
        waveform.show(shown);
        tools.show(shown);
        spectrum.show(shown.report(), shown.other().map(TakesModel.Compared::report));
        overTime.show(shown.report(), waveform.view());
        causes.show(shown.verdict().inquiry());
        shown.other().ifPresentOrElse(compared -> showBoth(shown, compared), () -> showOne(shown));
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

    private void showOne(ShownTake shown) {
        comparison.begin(shown.take().name(), "predicted", "measured", "aim");
        for (Comparison row : shown.verdict().comparisons()) {
            comparison.row(
                    List.of(row.what(), row.predicted(), row.measured(), row.aim()),
                    "",
                    "",
                    row.outside() ? "off" : "",
                    "second");
        }
    }

    /** Two takes beside each other, by the same measures. */
    private void showBoth(ShownTake shown, TakesModel.Compared compared) {
        comparison.begin("measured in", shown.take().name(), compared.take().name(), "aim");
        List<Comparison> one = shown.verdict().comparisons();
        List<Comparison> two = compared.verdict().comparisons();
        for (int i = 0; i < one.size(); i++) {
            comparison.row(
                    List.of(
                            one.get(i).what(),
                            one.get(i).measured(),
                            two.get(i).measured(),
                            one.get(i).aim()),
                    "",
                    one.get(i).outside() ? "off" : "",
                    two.get(i).outside() ? "off" : "",
                    "second");
        }
    }

    private static final class OtherNames extends StringConverter<Optional<Take>> {
        @Override
        public String toString(Optional<Take> take) {
            return take == null || take.isEmpty()
                    ? "compare with…"
                    : "with " + take.get().name();
        }

        @Override
        public Optional<Take> fromString(String text) {
            throw new UnsupportedOperationException("a take is chosen, not typed");
        }
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
