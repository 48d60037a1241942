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
        Bounds view = pane.getViewportBounds();
        Bounds all = pane.getContent().getLayoutBounds();
        pane.setVvalue(scrolled(pane.getVvalue(), place.getMinY(), place.getMaxY(), view.getHeight(), all.getHeight()));
        pane.setHvalue(scrolled(pane.getHvalue(), place.getMinX(), place.getMaxX(), view.getWidth(), all.getWidth()));
    }

    /** How far to scroll so that a stretch is seen, its beginning before its end; as it is where all is seen. */
    private static double scrolled(double value, double from, double to, double view, double all) {
        double hidden = all - view;
        if (hidden <= 0) {
            return value;
        }
        double wanted = value * hidden;
        if (to + MARGIN > wanted + view) {
            wanted = to + MARGIN - view;
        }
        if (from - MARGIN < wanted) {
            wanted = from - MARGIN;
        }
        return Math.max(0, Math.min(1, wanted / hidden));
    }
}
