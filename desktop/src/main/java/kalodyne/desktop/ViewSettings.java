package kalodyne.desktop;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import kalodyne.desktop.shell.Appearance.Look;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** How the window last looked, from one start to the next. Losing it loses no work, so that failures are only logged. */
final class ViewSettings {
    private static final Logger LOG = LoggerFactory.getLogger(ViewSettings.class);

    private final Path file;

    ViewSettings(Path folder) {
        this.file = folder.resolve("view.properties");
    }

    Look read() {
        Properties properties = new Properties();
        try (Reader reader = Files.newBufferedReader(file)) {
            properties.load(reader);
            return new Look(
                    Boolean.parseBoolean(properties.getProperty("dark")),
                    Integer.parseInt(properties.getProperty("text", "100")));
        } catch (IOException | IllegalArgumentException e) {
            return new Look(false, 100);
        }
    }

    void write(Look look) {
        Properties properties = new Properties();
        properties.setProperty("dark", String.valueOf(look.dark()));
        properties.setProperty("text", String.valueOf(look.textPercent()));
        try {
            Files.createDirectories(file.getParent());
            try (Writer writer = Files.newBufferedWriter(file)) {
                properties.store(writer, "How Kalodyne's window looks");
            }
        } catch (IOException e) {
            LOG.warn("could not write {}", file, e);
        }
    }
}
