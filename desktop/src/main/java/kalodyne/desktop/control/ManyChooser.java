package kalodyne.desktop.control;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.control.CheckBox;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuButton;

/**
 * A list that opens, of which several things are chosen; it stays open until Escape or a click elsewhere.
 *
 * @param <C> what is chosen
 */
public final class ManyChooser<C> extends MenuButton {
    private final Function<C, String> words;
    private final String none;
    private final Map<C, CheckBox> boxes = new LinkedHashMap<>();
    private final List<C> chosen = new ArrayList<>();
    private Runnable changed = () -> {};

    /**
     * A chooser.
     *
     * @param words how a thing is called in it
     * @param none what it says while nothing is chosen
     */
    public ManyChooser(Function<C, String> words, String none) {
        this.words = words;
        this.none = none;
        getStyleClass().add("chooses");
        show(List.of());
    }

    /** Offers things, of which some are chosen at first. */
    public ManyChooser<C> offering(Collection<? extends C> choices, Collection<? extends C> present) {
        boxes.clear();
        chosen.clear();
        getItems().clear();
        for (C choice : choices) {
            CheckBox box = new CheckBox(words.apply(choice));
            // The line of the menu has the focus; a click on the box is one on the line.
            box.setFocusTraversable(false);
            box.setMouseTransparent(true);
            CustomMenuItem item = new CustomMenuItem(box, false);
            item.setOnAction(event -> turn(choice));
            boxes.put(choice, box);
            getItems().add(item);
        }
        present.stream().filter(boxes::containsKey).forEach(chosen::add);
        show(chosen);
        return this;
    }

    /** What is chosen, in the order in which it was. */
    public List<C> chosen() {
        return List.copyOf(chosen);
    }

    public void setOnChange(Runnable newChanged) {
        changed = newChanged;
    }

    /** Chooses what was not chosen, and the other way round. */
    public void turn(C choice) {
        if (!chosen.remove(choice)) {
            chosen.add(choice);
        }
        show(chosen);
        changed.run();
    }

    private void show(List<C> now) {
        boxes.forEach((choice, box) -> box.setSelected(now.contains(choice)));
        setText(now.isEmpty() ? none : now.stream().map(words).collect(Collectors.joining(" and ")));
    }
}
