package kalodyne.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.RunChoice;
import kalodyne.desktop.model.StudioModel;

/** The bar at the top: which studio, setup and run this is, finding, undo and redo, help. */
final class TopBar extends VBox {
    private final StudioModel studio;
    private final MenuButton studioMenu = quiet("studio-menu");
    private final MenuButton runMenu = quiet("run-menu");
    private final List<MenuItem> studioItems = new ArrayList<>();
    private final Label brand = new Label("Kalodyne");
    private final List<Node> tools;
    private final HBox row = new HBox();
    private final Menus menus;
    private final Button undo = new Button("Undo");
    private final Button redo = new Button("Redo");

    /** What the menus offer: they are only filled anew with something else. */
    private List<?> offered = List.of();

    /**
     * A bar.
     *
     * @param menus stand in front, or above where there is little room
     * @param setupCommands what can be done with setups, beneath their names
     */
    TopBar(StudioModel studio, Menus menus, List<Command> setupCommands, Command find, Command help) {
        this.studio = studio;
        getStyleClass().add("top-bar");
        Styled.of(brand).as("brand").whole();
        studioItems.add(new SeparatorMenuItem());
        setupCommands.forEach(command -> studioItems.add(Menus.item(command)));
        Label run = new Label("run");
        Styled.of(run).as("crumb").whole();
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        Styled.of(undo).as("quiet").id("undo").tip("Undo").whole().action(() -> studio.undo());
        Styled.of(redo).as("quiet").id("redo").tip("Redo").whole().action(() -> studio.redo());
        tools = List.of(button(find, "Find"), undo, redo, button(help, "Help"));
        row.getChildren().addAll(brand, menus, studioMenu, run, runMenu, space);
        row.getChildren().addAll(tools);
        row.getStyleClass().add("top-row");
        getChildren().add(row);
        this.menus = menus;
        run.visibleProperty().bind(studio.awaitedProperty().not());
        runMenu.visibleProperty().bind(studio.awaitedProperty().not());
        studio.revisionProperty().addListener(change -> show());
        studio.awaitedProperty().addListener(change -> show());
        show();
    }

    private static MenuButton quiet(String id) {
        MenuButton button = Styled.of(new MenuButton()).id(id).as("quiet").node();
        // Long names give way to the buttons; the tooltip has them whole.
        button.setMinWidth(0);
        Tooltip whole = new Tooltip();
        whole.textProperty().bind(button.textProperty());
        button.setTooltip(whole);
        return button;
    }

    private static Button button(Command command, String words) {
        Button button = new Button(words);
        Styled.of(button)
                .as("quiet")
                .tip(command.toString())
                .whole()
                .action(() -> command.run().run());
        return button;
    }

    /** With its buttons and the program's name, or without what stands in the menus as well. */
    void showTools(boolean areShown) {
        tools.forEach(tool -> Styled.of(tool).shown(areShown));
        Styled.of(brand).shown(areShown);
        row.getChildren().remove(menus);
        getChildren().remove(menus);
        if (areShown) {
            row.getChildren().add(1, menus);
        } else {
            getChildren().add(0, menus);
        }
    }

    private void show() {
        Setup setup = studio.setup();
        String name = studio.studio().name();
        studioMenu.setText(studio.isAwaited() ? name : name + " / " + setup.name());
        List<?> offering = List.of(
                studio.studio().setups().stream()
                        .map(each -> List.of(each.id(), each.name()))
                        .toList(),
                setup.id(),
                studio.runs());
        if (!offering.equals(offered)) {
            offered = offering;
            showSetups(setup);
            showRuns();
        }
        runMenu.setText(studio.reading().map(reading -> reading.plan().name()).orElse("none yet"));
        showUndo(undo, "Undo", studio.undoable().orElse(null));
        showUndo(redo, "Redo", studio.redoable().orElse(null));
    }

    private void showRuns() {
        runMenu.getItems().clear();
        boolean isHeard = false;
        for (RunChoice run : studio.runs()) {
            MenuItem item = new MenuItem(run.name());
            item.setOnAction(event -> studio.showRun(run.key()));
            if (!run.isRecorded() && !isHeard) {
                isHeard = true;
                runMenu.getItems().add(new SeparatorMenuItem());
            }
            runMenu.getItems().add(item);
        }
    }

    private void showSetups(Setup shown) {
        studioMenu.getItems().clear();
        for (Setup each : studio.studio().setups()) {
            CheckMenuItem item = new CheckMenuItem(each.name());
            item.setSelected(each.id().equals(shown.id()));
            item.setOnAction(event -> studio.showSetup(each.id()));
            studioMenu.getItems().add(item);
        }
        studioMenu.getItems().addAll(studioItems);
    }

    private static void showUndo(Button button, String word, String what) {
        button.setDisable(what == null);
        button.getTooltip().setText(what == null ? word : word + ": " + what);
    }
}
