package kalodyne.desktop.shell;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;

/** Everything that can be done, under the usual headings; on macOS in the system's own bar. */
final class Menus extends MenuBar {
    private final Menu edit = new Menu("Edit");
    private final List<List<Command>> always;

    /**
     * The commands of a menu in groups, which are set apart by lines.
     *
     * @param editing what can be edited everywhere; what a room has of its own comes beneath
     */
    record Groups(
            List<List<Command>> file,
            List<List<Command>> editing,
            List<List<Command>> view,
            List<List<Command>> go,
            List<List<Command>> help) {}

    Menus(Groups groups, Menu recent) {
        setId("menus");
        setUseSystemMenuBar(true);
        setMinWidth(USE_PREF_SIZE);
        always = groups.editing();
        Menu file = menu("File", groups.file());
        file.getItems().add(2, recent);
        getMenus()
                .addAll(file, edit, menu("View", groups.view()), menu("Go", groups.go()), menu("Help", groups.help()));
    }

    /** What can be done in a room, beside what can be done everywhere. */
    void showRoom(List<Command> ofRoom) {
        fill(edit, always);
        if (!ofRoom.isEmpty()) {
            edit.getItems().add(new SeparatorMenuItem());
            ofRoom.forEach(command -> edit.getItems().add(item(command)));
        }
    }

    private static Menu menu(String title, List<List<Command>> groups) {
        Menu menu = new Menu(title);
        fill(menu, groups);
        return menu;
    }

    private static void fill(Menu menu, List<List<Command>> groups) {
        menu.getItems().clear();
        for (List<Command> group : groups) {
            if (!menu.getItems().isEmpty()) {
                menu.getItems().add(new SeparatorMenuItem());
            }
            group.forEach(command -> menu.getItems().add(item(command)));
        }
    }

    static MenuItem item(Command command) {
        MenuItem item = new MenuItem(command.name());
        item.setAccelerator(command.keys());
        item.setOnAction(event -> command.run().run());
        return item;
    }

    /** The studios that were open lately, asked for when the menu opens. */
    static Menu recent(Supplier<List<Path>> recent, Consumer<Path> open) {
        Menu menu = new Menu("Open a recent studio");
        menu.setId("recent-studios");
        menu.getItems().add(new MenuItem("…"));
        menu.setOnShowing(event -> {
            menu.getItems().clear();
            for (Path file : recent.get()) {
                MenuItem item = new MenuItem(String.valueOf(file));
                item.setMnemonicParsing(false);
                item.setOnAction(chosen -> open.accept(file));
                menu.getItems().add(item);
            }
            if (menu.getItems().isEmpty()) {
                MenuItem none = new MenuItem("None yet");
                none.setDisable(true);
                menu.getItems().add(none);
            }
        });
        return menu;
    }
}
