package kalodyne.desktop.shelf;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.shell.NamePage;
import kalodyne.desktop.shell.Overlay;

/** Asks for one text over the window. */
final class TextPages {
    private TextPages() {}

    /**
     * Asks.
     *
     * @param take is given what was typed; throws {@link UnreadableQuantity} where it cannot be read
     */
    static void lay(Overlay overlay, String title, String present, String hint, String done, Consumer<String> take) {
        NamePage page = new NamePage(
                title,
                present,
                done,
                typed -> {
                    try {
                        take.accept(typed);
                        return Optional.empty();
                    } catch (UnreadableQuantity e) {
                        return Optional.of(e.getMessage());
                    }
                },
                overlay::lift);
        page.hint(hint);
        overlay.lay(page, Pos.TOP_CENTER);
        page.focus();
    }
}
