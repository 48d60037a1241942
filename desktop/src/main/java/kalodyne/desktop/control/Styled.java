package kalodyne.desktop.control;

import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;

/**
 * How a node looks, what tests find it by and what screen readers say of it, in one expression.
 *
 * @param <N> kind of node
 */
public final class Styled<N extends Node> {
    private final N node;

    private Styled(N node) {
        this.node = node;
    }

    /** Begins with a node as it is. */
    public static <N extends Node> Styled<N> of(N node) {
        return new Styled<>(node);
    }

    public N node() {
        return node;
    }

    /** Adds style classes. */
    public Styled<N> as(String... classes) {
        node.getStyleClass().addAll(classes);
        return this;
    }

    public Styled<N> id(String id) {
        node.setId(id);
        return this;
    }

    /** Words that do not fit go on in the next line. */
    public Styled<N> wrap() {
        ((Labeled) node).setWrapText(true);
        return this;
    }

    /** Its words are never cut short. */
    public Styled<N> whole() {
        ((Region) node).setMinWidth(Region.USE_PREF_SIZE);
        return this;
    }

    public Styled<N> tip(String words) {
        Tooltip tip = new Tooltip(words);
        if (node instanceof Control control) {
            control.setTooltip(tip);
        } else {
            Tooltip.install(node, tip);
        }
        return this;
    }

    /** Seen, or neither seen nor given any room. */
    public Styled<N> shown(boolean isShown) {
        node.setVisible(isShown);
        node.setManaged(isShown);
        return this;
    }

    /** What a screen reader says. */
    public Styled<N> spoken(String words) {
        node.setAccessibleText(words);
        return this;
    }

    /** What pressing it does, or choosing in it. */
    public Styled<N> action(Runnable action) {
        node.addEventHandler(ActionEvent.ACTION, event -> action.run());
        return this;
    }
}
