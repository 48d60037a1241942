package kalodyne.desktop.shell;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;

/** Scrolls to what gets the focus, so that somebody who goes through the window with Tab sees where they are. */
final class FocusInView {
    private static final double MARGIN = 12;

    private FocusInView() {}

    static void keep(Scene scene) {
        scene.focusOwnerProperty().addListener((property, before, now) -> {
            if (now != null) {
                show(now);
            }
        });
    }

    private static void show(Node focused) {
        for (Node each = focused.getParent(); each != null; each = each.getParent()) {
            if (each instanceof ScrollPane pane && pane.getContent() != null) {
                scroll(pane, focused);
            }
        }
    }

    private static void scroll(ScrollPane pane, Node focused) {
        Bounds place = pane.getContent().sceneToLocal(focused.localToScene(focused.getLayoutBounds()));
        double view = pane.getViewportBounds().getHeight();
        double hidden = pane.getContent().getLayoutBounds().getHeight() - view;
        if (hidden <= 0) {
            return;
        }
        double top = pane.getVvalue() * hidden;
        double wanted = top;
        if (place.getMaxY() + MARGIN > top + view) {
            wanted = place.getMaxY() + MARGIN - view;
        }
        if (place.getMinY() - MARGIN < wanted) {
            wanted = place.getMinY() - MARGIN;
        }
        pane.setVvalue(Math.max(0, Math.min(1, wanted / hidden)));
    }
}
