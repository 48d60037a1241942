package kalodyne.desktop.lineup;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.DirectoryChooser;
import javafx.stage.Window;
import kalodyne.core.lineup.tidy.Channels;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.FileDrop;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.RecordingDialog;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.lineup.TidyModel.Keep;
import kalodyne.desktop.lineup.TidyModel.Level;

/** Cleaning up copies of several recordings: which, what is wanted, what would be written. */
final class TidyView extends VBox {
    private static final int VALUE_COLUMNS = 5;
    private static final int NAMES_COLUMNS = 26;

    private final TidyModel tidy;
    private final Label sentence = new Label();
    private final Button measure = new Button("Measure");
    private final Button write = new Button();
    private final FlowPane files = new FlowPane(8, 6);
    private final Label problem = new Label();
    private final Chooser<Channels.Usual> channels = new Chooser<>(Channels.Usual::words);
    private final Chooser<Level> level = new Chooser<>(Level::words);
    private final QuantityField levelValue;
    private final Label levelUnit = new Label();
    private final Chooser<Keep> keep = new Chooser<>(Keep::words);
    private final QuantityField keepValue;
    private final Label keepUnit = new Label();
    private final TextField names = new TextField();
    private final Chooser<Optional<CopyFormat>> format =
            new Chooser<>(each -> each.map(CopyFormat::words).orElse("Kept as the recording is"));
    private final Button folder = new Button();
    private final PreviewTable table = new PreviewTable();
    private final FlowPane wishes;
    private final VBox dropZone;
    private final LineupModel lineup;
    private boolean isShowing;

    TidyView(TidyModel tidy, LineupModel lineup) {
        super(10);
        getStyleClass().add("lineup-page");
        this.tidy = tidy;
        this.lineup = lineup;
        setId("tidy-view");
        sentence.setId("tidy-sentence");
        levelValue = new QuantityField(typed -> tidy.want(wanted().level(typed)), problem::setText);
        keepValue = new QuantityField(typed -> tidy.want(wanted().keep(typed)), problem::setText);
        dropZone = dropZone();
        DownScroll scroll = new DownScroll(table).shrinking();
        VBox.setVgrow(scroll, Priority.ALWAYS);
        VBox.setVgrow(dropZone, Priority.ALWAYS);
        scroll.visibleProperty().bind(table.visibleProperty());
        scroll.managedProperty().bind(table.visibleProperty());
        Styled.of(problem).id("tidy-problem").as("problem").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        wishes = wishes();
        getChildren().addAll(header(), files, wishes, problem, scroll, dropZone);
        FileDrop.on(this, tidy::add);
        tidy.stateProperty().addListener(change -> show());
        show();
    }

    private CopiesWanted wanted() {
        return tidy.state().wanted();
    }

    // --- parts -------------------------------------------------------------------------------------------------

    private RoomHeader header() {
        measure.setId("tidy-measure");
        measure.setMinWidth(Region.USE_PREF_SIZE);
        Styled.of(measure)
                .tip("Reads all of them and tells what would be written")
                .action(() -> tidy.measure());
        write.setId("tidy-write");
        write.getStyleClass().add("primary");
        Styled.of(write).whole().tip("Copies; the recordings stay as they are").action(() -> tidy.write());
        return new RoomHeader(sentence, measure, write);
    }

    private FlowPane wishes() {
        choices(channels, "tidy-channels", List.of(Channels.Usual.values()), chosen -> wanted().with(chosen));
        choices(level, "tidy-level", List.of(Level.values()), chosen -> wanted().with(chosen));
        choices(keep, "tidy-keep", List.of(Keep.values()), chosen -> wanted().with(chosen));
        List<Optional<CopyFormat>> formats = new ArrayList<>();
        formats.add(Optional.empty());
        Stream.of(CopyFormat.values()).map(Optional::of).forEach(formats::add);
        choices(format, "tidy-format", formats, chosen -> wanted().as(chosen));
        value(levelValue, "tidy-level-value");
        value(keepValue, "tidy-keep-value");
        names.setId("tidy-names");
        names.setPromptText("names of the songs, with commas between");
        names.setPrefColumnCount(NAMES_COLUMNS);
        names.focusedProperty().addListener((property, before, isFocused) -> takeNames(isFocused));
        names.setOnAction(event -> takeNames(false));
        Styled.of(folder).id("tidy-folder").whole().action(() -> chooseFolder());
        FlowPane row = new FlowPane(
                14,
                8,
                wish("Keep", keep, keepValue, keepUnit, names),
                wish("Channels", channels),
                wish("Level", level, levelValue, levelUnit),
                wish("Format", format),
                wish("Where", folder));
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** What is wanted of one thing, which stays together where lines break. */
    private static HBox wish(String of, Node... parts) {
        HBox box = new HBox(6, new Label(of));
        box.setAlignment(Pos.CENTER_LEFT);
        box.getChildren().addAll(parts);
        return box;
    }

    private void takeNames(boolean isFocused) {
        if (!isFocused) {
            tidy.want(wanted().named(Arrays.stream(names.getText().split(",", -1))
                    .map(String::strip)
                    .filter(each -> !each.isEmpty())
                    .toList()));
        }
    }

    private <C> void choices(Chooser<C> chooser, String id, List<C> all, Function<C, CopiesWanted> want) {
        chooser.setId(id);
        chooser.offering(all, all.get(0));
        chooser.setMinWidth(Region.USE_PREF_SIZE);
        chooser.setOnAction(event -> {
            if (!isShowing && chooser.getValue() != null) {
                tidy.want(want.apply(chooser.getValue()));
            }
        });
    }

    private static void value(QuantityField field, String id) {
        field.setId(id);
        field.setPrefColumnCount(VALUE_COLUMNS);
        field.setMinWidth(Region.USE_PREF_SIZE);
    }

    private VBox dropZone() {
        Label what = new Label("Drop recordings that are to be cleaned up");
        Styled.of(what).as("room-sentence").wrap();
        Label how = new Label(
                "Cut away what is before and behind, split an evening into songs, take stereo pairs out of many channels, bring all to one loudness. Everything is shown first and written as copies.");
        Styled.of(how).as("second").wrap();
        VBox zone = new VBox(what, how);
        Styled.of(zone).as("drop-zone").id("tidy-drop");
        return zone;
    }

    // --- showing -----------------------------------------------------------------------------------------------

    private void show() {
        isShowing = true;
        TidyModel.State state = tidy.state();
        sentence.setText(sentence(state));
        measure.setDisable(state.isWorking());
        long writable = state.writable();
        write.setText("Write " + Print.counted(writable, "file"));
        write.setDisable(state.isWorking());
        Styled.of(write).shown(writable > 0);
        Styled.of(measure).shown(!state.files().isEmpty());
        Styled.of(wishes).shown(!state.files().isEmpty());
        showFiles(state);
        show(state.wanted());
        problem.setText(state.problem());
        table.show(state.preview());
        Styled.of(dropZone).shown(state.files().isEmpty());
        isShowing = false;
    }

    private static String sentence(TidyModel.State state) {
        if (state.files().isEmpty()) {
            return "Clean up recordings, on copies";
        }
        if (state.isWorking()) {
            return "Reading and writing…";
        }
        return state.preview()
                .map(preview -> preview.isWhole()
                        ? Print.counted(preview.proposals().size(), "file") + " would be written"
                        : state.writable() + " of "
                                + Print.counted(
                                        preview.proposals().size()
                                                + preview.refused().size(),
                                        "file")
                                + " can be written")
                .orElse("Say what you want of "
                        + (state.files().size() == 1
                                ? "it"
                                : "all " + state.files().size()) + ", then measure");
    }

    private void showFiles(TidyModel.State state) {
        files.getChildren().clear();
        for (Path file : state.files()) {
            Button chip = Styled.of(new Button(file.getFileName() + "  ✕"))
                    .as("wave-tool")
                    .node();
            chip.setMnemonicParsing(false);
            Styled.of(chip).tip("Leave it out").action(() -> tidy.remove(file));
            files.getChildren().add(chip);
        }
        files.getChildren().add(addMenu());
    }

    private MenuButton addMenu() {
        MenuButton add = new MenuButton("Add a recording");
        add.setId("tidy-add");
        MenuItem some = new MenuItem("Choose files…");
        some.setOnAction(event -> chooseFiles());
        add.getItems().addAll(some, new SeparatorMenuItem());
        add.setOnShowing(event -> {
            add.getItems().remove(2, add.getItems().size());
            for (LineupModel.Offered each : lineup.offered()) {
                MenuItem item = new MenuItem(each.name());
                item.setMnemonicParsing(false);
                item.setOnAction(chosen -> tidy.add(List.of(each.file())));
                add.getItems().add(item);
            }
        });
        return add;
    }

    private void show(CopiesWanted wanted) {
        channels.setValue(wanted.channels());
        level.setValue(wanted.level());
        keep.setValue(wanted.keep());
        format.setValue(wanted.format());
        Styled.of(levelValue).shown(wanted.level().hasValue());
        Styled.of(levelUnit).shown(wanted.level().hasValue());
        levelValue.show(Print.plain(wanted.levelValue()));
        levelUnit.setText(wanted.level().unit());
        Styled.of(keepValue).shown(wanted.keep().hasValue());
        Styled.of(keepUnit).shown(wanted.keep().hasValue());
        keepValue.show(Print.plain(wanted.keepValue()));
        keepUnit.setText(wanted.keep().unit());
        Styled.of(names).shown(wanted.keep().hasNames());
        folder.setText(wanted.folder().map(each -> "Into " + each.getFileName()).orElse("Beside each recording"));
    }

    // --- doing -------------------------------------------------------------------------------------------------

    private Window window() {
        return getScene() == null ? null : getScene().getWindow();
    }

    private void chooseFiles() {
        Optional.ofNullable(RecordingDialog.chooser("Recordings to clean up").showOpenMultipleDialog(window()))
                .ifPresent(this::add);
    }

    private void add(List<File> chosen) {
        tidy.add(chosen.stream().map(File::toPath).toList());
    }

    private void chooseFolder() {
        DirectoryChooser folders = new DirectoryChooser();
        folders.setTitle("Where the copies go");
        tidy.want(
                wanted().into(Optional.ofNullable(folders.showDialog(window())).map(File::toPath)));
    }
}
