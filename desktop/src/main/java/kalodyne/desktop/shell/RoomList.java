package kalodyne.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** The rooms in the order of the work, each with what waits in it. */
final class RoomList extends VBox {
    private static final double DIGIT_WIDTH = 8;

    private final ToggleGroup group = new ToggleGroup();
    private final List<Label> titles = new ArrayList<>();
    private final List<Label> letters = new ArrayList<>();

    RoomList(List<Room> rooms, Consumer<Room> enter) {
        getStyleClass().add("room-list");
        for (int i = 0; i < rooms.size(); i++) {
            boolean isFirstBeside =
                    rooms.get(i).isBeside() && i > 0 && !rooms.get(i - 1).isBeside();
            if (isFirstBeside) {
                Region line = Styled.of(new Region()).as("room-rule").node();
                getChildren().add(line);
            }
            getChildren().add(button(rooms.get(i), i + 1, keys(rooms, i), enter));
        }
    }

    /** The keys of a room: the digit of its place in the order of the work; those beside it count down from 9. */
    static String keys(List<Room> rooms, int index) {
        Room room = rooms.get(index);
        return room.ownKeys()
                .orElseGet(() -> "Shortcut+" + (room.isBeside() ? 10 - (rooms.size() - index) : index + 1));
    }

    private ToggleButton button(Room room, int number, String keys, Consumer<Room> enter) {
        Label digit = new Label(String.valueOf(number));
        digit.setMinWidth(DIGIT_WIDTH);
        digit.getStyleClass().addAll("second", "small");
        Label title = new Label(room.title());
        titles.add(title);
        if (room.isBeside()) {
            digit.setText(room.title().substring(0, 1));
            letters.add(digit);
        }
        Label count = Styled.of(new Label()).as("strong", "small").whole().node();
        count.managedProperty().bind(count.textProperty().isNotEmpty());
        SeverityMark mark = new SeverityMark();
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox row = new HBox(8, digit, title, space, count, mark);
        row.setAlignment(Pos.CENTER_LEFT);
        ToggleButton button = new ToggleButton();
        button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        button.setGraphic(row);
        button.getStyleClass().add("room-button");
        button.setId("room-" + room.id());
        Styled.of(button).spoken(room.title()).tip(KeyCombination.valueOf(keys).getDisplayText());
        button.setToggleGroup(group);
        button.setUserData(room);
        // A button does not stretch what it shows.
        row.prefWidthProperty()
                .bind(Bindings.createDoubleBinding(
                        () -> button.getWidth()
                                - button.getInsets().getLeft()
                                - button.getInsets().getRight(),
                        button.widthProperty(),
                        button.insetsProperty()));
        title.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> enter.accept(room));
        room.reportProperty().addListener((property, before, report) -> show(report, count, mark));
        show(room.reportProperty().getValue(), count, mark);
        return button;
    }

    /** With their titles, or the numbers and first letters alone. */
    void showTitles(boolean areShown) {
        titles.forEach(title -> Styled.of(title).shown(areShown));
        letters.forEach(letter -> letter.setVisible(!areShown));
        getStyleClass().remove("slim");
        if (!areShown) {
            getStyleClass().add("slim");
        }
    }

    private static void show(Room.Report report, Label count, SeverityMark mark) {
        count.setText(report.count());
        mark.show(report.mark());
    }

    void select(Room room) {
        group.getToggles().forEach(toggle -> toggle.setSelected(toggle.getUserData() == room));
    }
}
