package kalodyne.desktop.shell;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;

/** How one likes it; what is chosen holds at once and for every later start. */
final class PreferencesPage extends VBox {
    private final Appearance appearance;
    private final Chooser<Theme> theme = new Chooser<>(Theme::words);
    private final Chooser<Integer> text = new Chooser<>(percent -> percent + " %");

    /**
     * A page.
     *
     * @param folder in which all that is kept lies
     * @param leave closes it
     */
    PreferencesPage(Appearance appearance, String folder, Runnable leave) {
        super(8);
        this.appearance = appearance;
        getStyleClass().addAll("palette", "preferences");
        setId("preferences");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Look look = appearance.lookProperty().get();
        theme.offering(List.of(Theme.values()), look.theme());
        text.offering(Appearance.TEXT_SIZES, look.textPercent());
        Styled.of(theme).id("preferred-theme").spoken("Light or dark").action(this::choose);
        Styled.of(text).id("preferred-text").spoken("Size of text").action(this::choose);
        Label kept =
                Styled.of(new Label(folder)).as("second").wrap().id("kept-in").node();
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(8);
        grid.addRow(0, name("Light or dark"), theme);
        grid.addRow(1, name("Size of text"), text);
        grid.addRow(2, name("This studio is kept in"), kept);
        Button done = Styled.of(new Button("Done")).as("primary").action(leave).node();
        done.setDefaultButton(true);
        getChildren()
                .addAll(Styled.of(new Label("Preferences")).as("card-title").node(), grid, done);
    }

    private static Label name(String words) {
        return Styled.of(new Label(words)).whole().node();
    }

    void focus() {
        theme.requestFocus();
    }

    private void choose() {
        if (theme.getValue() != null && text.getValue() != null) {
            appearance.lookProperty().set(new Look(theme.getValue(), text.getValue()));
        }
    }
}
