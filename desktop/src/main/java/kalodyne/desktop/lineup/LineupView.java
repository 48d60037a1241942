package kalodyne.desktop.lineup;

import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import kalodyne.core.lineup.Alignment;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.LineUpWords;
import kalodyne.core.recording.PairPlayback.Voice;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.FileDrop;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.RecordingDialog;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;

/** Which two, both places where the eye and the ear check, and what can be moved by hand. */
final class LineupView extends VBox {
    private static final double MILLISECOND = 1e-3;
    private static final double MILLION = 1e6;
    private static final int OFFSET_COLUMNS = 9;
    private static final int DRIFT_COLUMNS = 7;

    private final LineupModel model;
    private final Label sentence = new Label();
    private final MenuButton other = new MenuButton();
    private final MenuButton reference = new MenuButton();
    private final Button swap = new Button("Other way round");
    private final Label problem = new Label();
    private final Chooser<Integer> places = new Chooser<>(this::place);
    private final QuantityField offset;
    private final QuantityField drift;
    private final Label typed = new Label();
    private final Label facts = new Label();
    private final Label editor = new Label();
    private final ToggleButton corrected = new ToggleButton("Drift corrected");
    private final Button asFound = new Button("As found");
    private final Chooser<CopyFormat> format = new Chooser<>(CopyFormat::words);
    private final Button write = new Button("Write the copy…");
    private final VBox found;
    private final VBox dropZone;
    private boolean isShowing;

    LineupView(LineupModel model) {
        super(10);
        getStyleClass().add("lineup-page");
        this.model = model;
        sentence.setId("lineup-sentence");
        offset = new QuantityField(model::setOffset, typed::setText);
        drift = new QuantityField(model::setDrift, typed::setText);
        found = found();
        dropZone = dropZone();
        VBox.setVgrow(found, Priority.ALWAYS);
        VBox.setVgrow(dropZone, Priority.ALWAYS);
        getChildren().addAll(header(), which(), problem(), found, dropZone);
        FileDrop.on(this, model::drop);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        model.stateProperty().addListener(change -> show());
        model.start().seenProperty().addListener(change -> show());
        show();
    }

    // --- parts -------------------------------------------------------------------------------------------------

    private RoomHeader header() {
        Styled.of(format).id("lineup-format").spoken("Kind of file");
        format.offering(List.of(CopyFormat.values()), CopyFormat.WAV_24);
        format.setMinWidth(Region.USE_PREF_SIZE);
        write.setId("lineup-write");
        write.getStyleClass().add("primary");
        write.setMinWidth(Region.USE_PREF_SIZE);
        write.setTooltip(new Tooltip("The other recording as long as the reference and in time with it (Ctrl+E)"));
        write.setOnAction(event -> chooseCopy());
        return new RoomHeader(sentence, format, write);
    }

    /** "Fit … to …". */
    private FlowPane which() {
        other.setId("lineup-other");
        reference.setId("lineup-reference");
        swap.setId("lineup-swap");
        Styled.of(swap)
                .tip("The one that stays becomes the one that is fitted")
                .whole()
                .action(() -> model.swap());
        other.setOnShowing(event -> offer(other, model::chooseOther));
        reference.setOnShowing(event -> offer(reference, model::chooseReference));
        offer(other, model::chooseOther);
        offer(reference, model::chooseReference);
        FlowPane row = new FlowPane(
                8, 6, new Label("Fit"), other, new Label("to"), reference, new Label("which stays as it is."), swap);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void offer(MenuButton into, Consumer<Path> chosen) {
        into.getItems().clear();
        MenuItem file = new MenuItem("Choose a file…");
        file.setOnAction(event -> chooseFile().ifPresent(chosen));
        into.getItems().add(file);
        List<LineupModel.Offered> offered = model.offered();
        if (!offered.isEmpty()) {
            into.getItems().add(new SeparatorMenuItem());
        }
        for (LineupModel.Offered each : offered) {
            MenuItem item = new MenuItem(each.name());
            item.setMnemonicParsing(false);
            item.setOnAction(event -> chosen.accept(each.file()));
            into.getItems().add(item);
        }
    }

    private VBox problem() {
        Styled.of(problem).id("lineup-problem").as("problem").wrap();
        places.setId("lineup-places");
        places.setMaxWidth(Region.USE_PREF_SIZE);
        places.setOnAction(event -> {
            if (!isShowing && places.getValue() != null) {
                model.choosePlace(places.getValue());
            }
        });
        VBox box = new VBox(6, problem, places);
        box.managedProperty().bind(problem.visibleProperty());
        return box;
    }

    private String place(int which) {
        return model.state()
                .result()
                .map(result -> result.places().get(which))
                .map(seconds -> "Place " + (which + 1) + ": " + LineUpWords.begins(new ClockLine(seconds, 0)))
                .orElse("");
    }

    private VBox found() {
        PlacePane start = new PlacePane("Where both begin", "pair-start", model.start(), model.sound(), model::nudge);
        PlacePane end = new PlacePane("Where both end", "pair-end", model.end(), model.sound(), model::nudgeEnd);
        HBox both = new HBox(12, start, end);
        HBox.setHgrow(start, Priority.ALWAYS);
        HBox.setHgrow(end, Priority.ALWAYS);
        start.setPrefWidth(1);
        end.setPrefWidth(1);
        VBox.setVgrow(both, Priority.ALWAYS);
        Styled.of(facts).id("lineup-facts").as("second").wrap();
        Stream.of(facts, typed, editor).forEach(words -> words.setMinHeight(Region.USE_PREF_SIZE));
        return new VBox(10, legend(), both, byHand(), factsOrProblem(), forEditor());
    }

    private FlowPane legend() {
        Region filled = new Region();
        filled.getStyleClass().add("pair-filled");
        Region line = new Region();
        line.getStyleClass().add("pair-line");
        FlowPane row = new FlowPane(
                8,
                4,
                filled,
                small("reference"),
                line,
                Styled.of(small("other recording, as loud. Drag it to move it; at the end, to change its drift"))
                        .wrap()
                        .node());
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(Region.USE_PREF_SIZE);
        return row;
    }

    private static Label small(String words) {
        Label label = Styled.of(new Label(words)).as("second", "small").node();
        return label;
    }

    private FlowPane byHand() {
        Styled.of(offset).id("lineup-offset").spoken("Offset");
        offset.setPrefColumnCount(OFFSET_COLUMNS);
        Styled.of(drift).id("lineup-drift").spoken("Drift");
        drift.setPrefColumnCount(DRIFT_COLUMNS);
        corrected.setId("lineup-corrected");
        corrected.getStyleClass().add("wave-tool");
        corrected.setMinWidth(Region.USE_PREF_SIZE);
        corrected.setTooltip(new Tooltip("Off: hear and see how it drifts away, lined up at the start only (D)"));
        corrected.setOnAction(event -> model.correctDrift(corrected.isSelected()));
        asFound.setId("lineup-as-found");
        Styled.of(asFound).as("wave-tool").whole().tip("Back to what was found").action(() -> model.asFound());
        FlowPane row = new FlowPane(
                8,
                6,
                new Label("Offset"),
                offset,
                nudge("−1 ms", "nudge-earlier-ms", "Earlier by a millisecond (Shift+,)", -MILLISECOND),
                nudge("−1 sample", "nudge-earlier", "Earlier by a sample (,)", -1),
                nudge("+1 sample", "nudge-later", "Later by a sample (.)", 1),
                nudge("+1 ms", "nudge-later-ms", "Later by a millisecond (Shift+.)", MILLISECOND),
                new Label("Drift"),
                drift,
                corrected,
                asFound);
        row.setAlignment(Pos.CENTER_LEFT);
        row.setMinHeight(Region.USE_PREF_SIZE);
        return row;
    }

    private Button nudge(String words, String id, String tip, double by) {
        Button button = Styled.of(new Button(words))
                .id(id)
                .as("wave-tool")
                .tip(tip)
                .whole()
                .node();
        button.setOnAction(event -> {
            if (Math.abs(by) < 1) {
                model.nudge(by);
            } else {
                model.nudgeSamples((int) by);
            }
        });
        return button;
    }

    /** What is wrong with what was typed takes the place of the facts: were it a line of its own, the button that is being pressed would move. */
    private StackPane factsOrProblem() {
        Styled.of(typed).as("problem", "small").wrap();
        typed.visibleProperty().bind(typed.textProperty().isNotEmpty());
        facts.visibleProperty().bind(typed.visibleProperty().not());
        StackPane both = new StackPane(facts, typed);
        both.setAlignment(Pos.TOP_LEFT);
        return both;
    }

    private HBox forEditor() {
        Styled.of(editor).id("lineup-editor").as("second").wrap();
        editor.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(editor, Priority.ALWAYS);
        Button copy = new Button("Copy these words");
        Styled.of(copy).id("lineup-copy-words").whole();
        copy.setOnAction(event -> copyWords());
        HBox row = new HBox(10, editor, copy);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** What an editing program has to be told. */
    void copyWords() {
        Copying.text(editor.getText());
    }

    private VBox dropZone() {
        Label what = new Label("Drop the film, then the recording that is to fit it");
        Styled.of(what).as("room-sentence").wrap();
        Label how = new Label(
                "Or choose them above. Kalodyne finds where they fit together, and how far their clocks differ. The recordings stay as they are: a copy is written.");
        Styled.of(how).as("second").wrap();
        VBox zone = new VBox(what, how);
        Styled.of(zone).as("drop-zone").id("lineup-drop");
        return zone;
    }

    // --- showing -----------------------------------------------------------------------------------------------

    private void show() {
        isShowing = true;
        LineupState state = model.state();
        sentence.setText(model.sentence());
        other.setText(name(state.other(), "choose a recording"));
        reference.setText(name(state.reference(), "choose the film, or its sound"));
        Styled.of(swap).shown(state.reference().isPresent() && state.other().isPresent());
        boolean isFound = state.clock().isPresent();
        Styled.of(found).shown(isFound);
        Styled.of(dropZone).shown(!isFound && state.problem().isEmpty() && !state.isSearching());
        Styled.of(write).shown(isFound);
        Styled.of(format).shown(isFound);
        problem.setText(state.problem());
        problem.setVisible(!state.problem().isEmpty());
        int count = state.result().map(result -> result.places().size()).orElse(0);
        Styled.of(places).shown(count > 1);
        if (count > 1 && places.getItems().size() != count) {
            places.offering(IntStream.range(0, count).boxed().toList(), 0);
        }
        state.clock().ifPresent(this::show);
        corrected.setSelected(state.isDriftCorrected());
        asFound.setDisable(!state.isMoved());
        facts.setText(state.alignment().map(LineupView::facts).orElse(""));
        isShowing = false;
    }

    private void show(ClockLine clock) {
        offset.show(Print.decimal(clock.offsetSeconds(), 6) + " s");
        drift.show(Print.decimal(MILLION * clock.drift(), 2) + " ppm");
        editor.setText(LineUpWords.forEditor(clock));
    }

    private static String facts(Alignment alignment) {
        return alignment.agreeing() + " of " + alignment.heard() + " places agree, to "
                + Print.decimal(MILLION * alignment.offsetUncertaintySeconds(), 0) + " µs and "
                + Print.decimal(alignment.driftUncertaintyPpm(), 2) + " ppm. What both have is "
                + Print.decimal(Math.abs(alignment.levelDifference().db()), 1) + " dB "
                + (alignment.levelDifference().db() < 0 ? "softer" : "louder") + " in the other recording"
                + (alignment.isInverted() ? ", and inverted: flip its polarity before you mix the two." : ".");
    }

    private static String name(Optional<Path> file, String otherwise) {
        return file.map(each -> each.getFileName().toString()).orElse(otherwise);
    }

    // --- doing -------------------------------------------------------------------------------------------------

    private Optional<Path> chooseFile() {
        FileChooser files = RecordingDialog.chooser("Choose a recording");
        return Optional.ofNullable(files.showOpenDialog(window())).map(File::toPath);
    }

    private Window window() {
        return getScene() == null ? null : getScene().getWindow();
    }

    void chooseCopy() {
        Optional<Path> proposed = model.proposedCopy(format.getValue());
        if (proposed.isEmpty() || model.state().clock().isEmpty()) {
            return;
        }
        FileChooser files = new FileChooser();
        files.setTitle("Write the copy");
        files.setInitialFileName(proposed.get().getFileName().toString());
        File folder = proposed.get().toAbsolutePath().getParent().toFile();
        files.setInitialDirectory(folder.isDirectory() ? folder : null);
        // The system's dialog asks before it gives a name that is taken.
        Optional.ofNullable(files.showSaveDialog(window()))
                .map(File::toPath)
                .ifPresent(target -> model.write(target, format.getValue(), Files.exists(target)));
    }

    void hear(Voice voice) {
        boolean isAtEnd = model.sound()
                .heardProperty()
                .get()
                .filter(each -> each.place().equals(model.end()))
                .isPresent();
        model.sound().hear(isAtEnd ? model.end() : model.start(), voice);
    }

    private void key(KeyEvent event) {
        boolean isTyping = event.getTarget() instanceof TextInputControl;
        if (isTyping
                || event.isShortcutDown()
                || event.isAltDown()
                || model.state().clock().isEmpty()) {
            return;
        }
        double sign = event.getCode() == KeyCode.COMMA ? -1 : 1;
        switch (event.getCode()) {
            case COMMA, PERIOD -> {
                if (event.isShiftDown()) {
                    model.nudge(sign * MILLISECOND);
                } else {
                    model.nudgeSamples((int) sign);
                }
            }
            case R -> hear(Voice.REFERENCE);
            case O -> hear(Voice.OTHER);
            case B -> hear(Voice.BOTH);
            case D -> model.correctDrift(!model.state().isDriftCorrected());
            default -> {
                return;
            }
        }
        event.consume();
    }
}
