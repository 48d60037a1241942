package kalodyne.desktop.shell;

import java.util.List;
import javafx.application.Application;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** How the window looks: light or dark, and how large its text is. */
public final class Appearance {
    /** The sizes that the style sheet knows, in percent. */
    static final List<Integer> TEXT_SIZES = List.of(80, 90, 100, 110, 125, 150, 175, 200);

    private static final double USUAL_PIXELS = 14;

    private static final String[] FONTS = {
        "IBMPlexSans-Regular.ttf", "IBMPlexSans-Medium.ttf", "IBMPlexSans-SemiBold.ttf"
    };
    private static final String[] STYLES = {
        "theme/tokens.css",
        "theme/controls.css",
        "shell/shell.css",
        "start/start.css",
        "shelf/shelf.css",
        "hookup/hookup.css",
        "levels/levels.css",
        "runsheet/runsheet.css",
        "takes/takes.css",
        "lineup/lineup.css",
        "log/log.css",
        "practise/practise.css",
        "convert/convert.css"
    };

    private final ObjectProperty<Look> look = new SimpleObjectProperty<>(this, "look", new Look(Theme.LIGHT, 100));
    private final BooleanProperty systemDark = new SimpleBooleanProperty(this, "systemDark");

    /** Light, dark, or as the system is. */
    public enum Theme {
        SYSTEM("As the system"),
        LIGHT("Light"),
        DARK("Dark");

        private final String words;

        Theme(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /**
     * A look.
     *
     * @param textPercent size of all text, 80 to 200
     */
    public record Look(Theme theme, int textPercent) {
        public Look {
            textPercent = nearest(textPercent);
        }

        /** The size of usual text in pixels. */
        double em() {
            return USUAL_PIXELS * textPercent / 100.0;
        }

        private static int nearest(int percent) {
            return TEXT_SIZES.stream()
                    .min((a, b) -> Integer.compare(Math.abs(a - percent), Math.abs(b - percent)))
                    .orElseThrow();
        }
    }

    public ObjectProperty<Look> lookProperty() {
        return look;
    }

    /** Whether the system's own windows are dark. */
    public BooleanProperty systemDarkProperty() {
        return systemDark;
    }

    private boolean isDark() {
        Theme theme = look.get().theme();
        return theme == Theme.DARK || (theme == Theme.SYSTEM && systemDark.get());
    }

    public void toggleDark() {
        look.set(new Look(isDark() ? Theme.LIGHT : Theme.DARK, look.get().textPercent()));
    }

    /** Makes the text larger (1), smaller (−1) or as it was made (0). */
    public void scaleText(int direction) {
        int index = TEXT_SIZES.indexOf(look.get().textPercent()) + direction;
        int percent = direction == 0 ? 100 : TEXT_SIZES.get(Math.max(0, Math.min(TEXT_SIZES.size() - 1, index)));
        look.set(new Look(look.get().theme(), percent));
    }

    void dress(Scene scene) {
        for (String font : FONTS) {
            Font.loadFont(Appearance.class.getResourceAsStream("/kalodyne/core/paper/fonts/" + font), 14);
        }
        for (String style : STYLES) {
            scene.getStylesheets().add(resource(style));
        }
        look.addListener(change -> apply(scene.getRoot()));
        systemDark.addListener(change -> apply(scene.getRoot()));
        apply(scene.getRoot());
    }

    private static String resource(String name) {
        return Appearance.class.getResource("/kalodyne/desktop/" + name).toExternalForm();
    }

    private void apply(Parent root) {
        Application.setUserAgentStylesheet(resource(isDark() ? "theme/base-dark.bss" : "theme/base-light.bss"));
        root.getStyleClass().removeIf(style -> style.equals("dark") || style.startsWith("text-"));
        root.getStyleClass().add("text-" + look.get().textPercent());
        if (isDark()) {
            root.getStyleClass().add("dark");
        }
    }
}
