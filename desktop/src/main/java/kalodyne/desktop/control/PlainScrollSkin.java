package kalodyne.desktop.control;

import javafx.scene.control.ScrollPane;
import javafx.scene.control.skin.ScrollPaneSkin;

/**
 * What every scrolled part looks like; named in the style sheet. The usual skin keeps a picture of what is in sight, which is made
 * anew, whole, with every small change in it: that takes longer than painting what changed.
 */
public final class PlainScrollSkin extends ScrollPaneSkin {
    public PlainScrollSkin(ScrollPane pane) {
        super(pane);
        getChildren().stream()
                .filter(child -> child.getStyleClass().contains("viewport"))
                .forEach(viewport -> viewport.setCache(false));
    }
}
