package kalodyne.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.recording.Speakers;
import kalodyne.core.units.LevelUnit;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.Preferences;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;

/** How one likes it; what is chosen holds at once and for every later start. */
final class PreferencesPage extends VBox {
    private static final String BESIDE = "beside the studio";
    private static final String SYSTEM = "What the system plays through";

    private final StudioModel studio;
    private final Appearance appearance;
    private final Saving saving;
    private final Chooser<Theme> theme = new Chooser<>(Theme::words);
    private final Chooser<Integer> text = new Chooser<>(percent -> percent + " %");
    private final Chooser<LevelUnit> levels = new Chooser<>(LevelUnit::symbol);
    private final Chooser<AimSchool> aim = new Chooser<>(AimSchool::title);
    private final Chooser<Optional<String>> speakers = new Chooser<>(name -> name.orElse(SYSTEM));
    private final ObjectProperty<Optional<Path>> takes;
    private final ObjectProperty<Optional<Path>> papers;
    private final GridPane grid = new GridPane();

    /**
     * A page.
     *
     * @param saving asks for folders
     * @param leave closes it
     */
    PreferencesPage(StudioModel studio, Appearance appearance, Saving saving, Runnable leave) {
        super(8);
        this.studio = studio;
        this.appearance = appearance;
        this.saving = saving;
        getStyleClass().addAll("palette", "preferences");
        setId("preferences");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        grid.setHgap(14);
        grid.setVgap(8);
        Look look = appearance.lookProperty().get();
        Preferences present = studio.preferences();
        theme.offering(List.of(Theme.values()), look.theme());
        text.offering(Appearance.TEXT_SIZES, look.textPercent());
        levels.offering(List.of(LevelUnit.values()), present.levels());
        aim.offering(List.of(AimSchool.values()), present.aim());
        speakers.offering(outputs(present.speakers()), present.speakers());
        takes = new SimpleObjectProperty<>(present.takes());
        papers = new SimpleObjectProperty<>(present.papers());
        choice("Light or dark", "preferred-theme", theme);
        choice("Size of text", "preferred-text", text);
        choice("Levels on wires in", "preferred-levels", levels);
        choice("New setups aim at", "preferred-aim", aim);
        choice("All is heard through", "preferred-speakers", speakers);
        row("Recordings go", folder("preferred-takes", "Where recordings go", takes));
        row("Papers and files go", folder("preferred-papers", "Where papers and files go", papers));
        row(
                "This studio is kept in",
                Styled.of(new Label(String.valueOf(studio.file())))
                        .as("second")
                        .wrap()
                        .id("kept-in")
                        .node());
        Button done = Styled.of(new Button("Done")).as("primary").action(leave).node();
        done.setDefaultButton(true);
        getChildren()
                .addAll(Styled.of(new Label("Preferences")).as("card-title").node(), grid, done);
    }

    /** What there is, and what was chosen though it is unplugged at the moment. */
    private static List<Optional<String>> outputs(Optional<String> chosen) {
        return Stream.of(
                        Stream.of(Optional.<String>empty()),
                        Speakers.names().stream().map(Optional::of),
                        Stream.of(chosen))
                .flatMap(each -> each)
                .distinct()
                .toList();
    }

    private void choice(String words, String id, Chooser<?> chooser) {
        Styled.of(chooser).id(id).spoken(words).action(this::choose);
        row(words, chooser);
    }

    private void row(String words, Node answer) {
        grid.addRow(grid.getRowCount(), Styled.of(new Label(words)).whole().node(), answer);
    }

    /** A folder, and how to choose another one or go back to the usual one. */
    private HBox folder(String id, String title, ObjectProperty<Optional<Path>> folder) {
        Label where = Styled.of(new Label()).id(id).node();
        where.setTextOverrun(OverrunStyle.LEADING_ELLIPSIS);
        where.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(where, Priority.ALWAYS);
        Button other = Styled.of(new Button("Choose…"))
                .id(id + "-choose")
                .whole()
                .spoken(title + ": choose another folder")
                .action(() -> saving.chooseFolder(title).ifPresent(chosen -> folder.set(Optional.of(chosen))))
                .node();
        Button usual = Styled.of(new Button("Usual place"))
                .id(id + "-usual")
                .whole()
                .spoken(title + ": " + BESIDE)
                .action(() -> folder.set(Optional.empty()))
                .node();
        Runnable show = () -> {
            where.setText(folder.get().map(Path::toString).orElse(BESIDE));
            usual.setDisable(folder.get().isEmpty());
        };
        folder.addListener(change -> {
            show.run();
            choose();
        });
        show.run();
        HBox row = new HBox(8, where, other, usual);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    void focus() {
        theme.requestFocus();
    }

    private void choose() {
        appearance.lookProperty().set(new Look(theme.getValue(), text.getValue()));
        studio.preferencesProperty()
                .set(new Preferences(
                        levels.getValue(), aim.getValue(), takes.get(), papers.get(), speakers.getValue()));
    }
}
