package kalodyne.desktop.control;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;

/**
 * A list that opens, of which several things are chosen, one at each opening.
 *
 * @param <C> what is chosen
 */
public final class ManyChooser<C> extends MenuButton {
    private final Function<C, String> words;
    private final String none;
    private final Map<C, CheckMenuItem> items = new LinkedHashMap<>();
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
        items.clear();
        chosen.clear();
        getItems().clear();
        for (C choice : choices) {
            CheckMenuItem item = new CheckMenuItem(words.apply(choice));
            item.setMnemonicParsing(false);
            item.setOnAction(event -> turn(choice));
            items.put(choice, item);
            getItems().add(item);
        }
        present.stream().filter(items::containsKey).forEach(chosen::add);
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
        items.forEach((choice, item) -> item.setSelected(now.contains(choice)));
        setText(now.isEmpty() ? none : now.stream().map(words).collect(Collectors.joining(" and ")));
    }
}
