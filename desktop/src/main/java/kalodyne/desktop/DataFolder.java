package kalodyne.desktop;

import java.nio.file.Path;
import java.util.Locale;

/** Where the program keeps what is the user's, by the custom of each system. KALODYNE_HOME overrides it. */
final class DataFolder {
    private DataFolder() {}

    static Path find() {
        String own = System.getenv("KALODYNE_HOME");
        if (own != null && !own.isBlank()) {
            return Path.of(own);
        }
        Path home = Path.of(System.getProperty("user.home"));
        String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        if (system.contains("win")) {
            String appData = System.getenv("APPDATA");
            return (appData == null ? home : Path.of(appData)).resolve("Kalodyne");
        }
        if (system.contains("mac")) {
            return home.resolve("Library/Application Support/Kalodyne");
        }
        String xdg = System.getenv("XDG_DATA_HOME");
        return (xdg == null || xdg.isBlank() ? home.resolve(".local/share") : Path.of(xdg)).resolve("kalodyne");
    }
}
