package kalodyne.desktop;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Rectangle2D;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.units.LevelUnit;
import kalodyne.desktop.model.Preferences;
import kalodyne.desktop.model.StudioModel.Looked;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * How the window last looked and where it stood, and what was open in it, from one start to the next. Losing it loses no work, so
 * that failures are only logged.
 */
final class ViewSettings {
    private static final Logger LOG = LoggerFactory.getLogger(ViewSettings.class);
    private static final int MOST_RECENT = 8;
    private static final int USUAL_PERCENT = 100;

    private final Path file;
    private final Properties properties = new Properties();

    /** Of the program whose data lies in a folder. */
    ViewSettings(Path folder) {
        this.file = folder.resolve("view.properties");
        try (Reader reader = Files.newBufferedReader(file)) {
            properties.load(reader);
        } catch (IOException | IllegalArgumentException e) {
            // There is none yet, or it is damaged: everything is as at first.
            properties.clear();
        }
    }

    /** Light or dark as the system is, where nobody chose. */
    Look look() {
        // Until there was a choice of three, light or dark was kept as whether it is dark.
        String before = properties.getProperty("dark", "");
        Theme usual = before.isEmpty() ? Theme.SYSTEM : before.equals("true") ? Theme.DARK : Theme.LIGHT;
        return new Look(
                named(Theme.class, "theme", usual),
                number("text").map(Double::intValue).orElse(USUAL_PERCENT));
    }

    void keep(Look look) {
        properties.remove("dark");
        properties.setProperty("theme", mark(look.theme()));
        properties.setProperty("text", String.valueOf(look.textPercent()));
        write();
    }

    /** How one likes to work. */
    Preferences preferences() {
        return new Preferences(
                named(LevelUnit.class, "levels", Preferences.USUAL.levels()),
                named(AimSchool.class, "aim", Preferences.USUAL.aim()),
                folder("folder.takes"),
                folder("folder.papers"),
                Optional.of(properties.getProperty("speakers", "")).filter(name -> !name.isEmpty()));
    }

    void keep(Preferences preferences) {
        properties.setProperty("levels", mark(preferences.levels()));
        properties.setProperty("aim", mark(preferences.aim()));
        keep("folder.takes", preferences.takes());
        keep("folder.papers", preferences.papers());
        properties.setProperty("speakers", preferences.speakers().orElse(""));
        write();
    }

    private void keep(String key, Optional<Path> folder) {
        properties.setProperty(key, folder.map(Path::toString).orElse(""));
    }

    private Optional<Path> folder(String key) {
        return path(properties.getProperty(key, "")).filter(Path::isAbsolute);
    }

    private static Optional<Path> path(String name) {
        try {
            return name.isEmpty() ? Optional.empty() : Optional.of(Path.of(name));
        } catch (InvalidPathException e) {
            return Optional.empty();
        }
    }

    private static String mark(Enum<?> choice) {
        return choice.name().toLowerCase(Locale.ROOT);
    }

    private <E extends Enum<E>> E named(Class<E> choices, String key, E usual) {
        return Stream.of(choices.getEnumConstants())
                .filter(choice -> mark(choice).equals(properties.getProperty(key)))
                .findFirst()
                .orElse(usual);
    }

    /** Where the window stood when it was closed. */
    Optional<Rectangle2D> place() {
        List<Optional<Double>> sides = List.of("x", "y", "width", "height").stream()
                .map(side -> number("window." + side))
                .toList();
        boolean isWhole = sides.stream().allMatch(Optional::isPresent)
                && sides.get(2).get() >= 0
                && sides.get(3).get() >= 0;
        return isWhole
                ? Optional.of(new Rectangle2D(
                        sides.get(0).get(),
                        sides.get(1).get(),
                        sides.get(2).get(),
                        sides.get(3).get()))
                : Optional.empty();
    }

    boolean isMaximized() {
        return Boolean.parseBoolean(properties.getProperty("window.maximized"));
    }

    void keep(Rectangle2D place, boolean isMaximized, String room) {
        properties.setProperty("window.x", String.valueOf(place.getMinX()));
        properties.setProperty("window.y", String.valueOf(place.getMinY()));
        properties.setProperty("window.width", String.valueOf(place.getWidth()));
        properties.setProperty("window.height", String.valueOf(place.getHeight()));
        properties.setProperty("window.maximized", String.valueOf(isMaximized));
        properties.setProperty("room", room);
        write();
    }

    /** What was looked at in the studio that was open last, if it is this one. */
    Optional<Looked> looked(Path studio) {
        return studio.toString().equals(properties.getProperty("looked.studio"))
                ? Optional.of(new Looked(
                        properties.getProperty("looked.setup", ""),
                        properties.getProperty("looked.run", ""),
                        number("looked.station").map(Double::intValue).orElse(0)))
                : Optional.empty();
    }

    void keep(Path studio, Looked looked) {
        properties.setProperty("looked.studio", studio.toString());
        properties.setProperty("looked.setup", looked.setup());
        properties.setProperty("looked.run", looked.run());
        properties.setProperty("looked.station", String.valueOf(looked.station()));
        write();
    }

    /** The room that one was in last; empty before the first time. */
    String room() {
        return properties.getProperty("room", "");
    }

    /** Studios that were open lately and are still there, the last one first. */
    List<Path> recent() {
        return recentNames().stream()
                .flatMap(name -> path(name).stream())
                .filter(Files::isRegularFile)
                .toList();
    }

    private List<String> recentNames() {
        return IntStream.range(0, MOST_RECENT)
                .mapToObj(i -> properties.getProperty("recent." + i, ""))
                .filter(name -> !name.isEmpty())
                .toList();
    }

    void opened(Path studio) {
        List<String> now = new ArrayList<>(recentNames());
        now.remove(studio.toString());
        now.add(0, studio.toString());
        for (int i = 0; i < Math.min(MOST_RECENT, now.size()); i++) {
            properties.setProperty("recent." + i, now.get(i));
        }
        write();
    }

    private Optional<Double> number(String key) {
        try {
            double value = Double.parseDouble(properties.getProperty(key, ""));
            return Double.isFinite(value) && Math.abs(value) < 100_000 ? Optional.of(value) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private void write() {
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
