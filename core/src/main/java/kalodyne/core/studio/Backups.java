package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Dated copies of a studio in a folder beside it. The older they are, the fewer are kept. */
public final class Backups {
    private static final int DAYS_KEPT_ALL = 7;
    private static final int WEEKS_KEPT = 5;
    private static final int MONTHS_KEPT = 12;

    private final Path studio;

    /**
     * A copy.
     *
     * @param file where it lies
     * @param at when it was made, to the second
     */
    public record Backup(Path file, LocalDateTime at) {}

    public Backups(Path studio) {
        this.studio = studio.toAbsolutePath();
    }

    public Path folder() {
        return studio.resolveSibling("backups");
    }

    /** Newest first. */
    public List<Backup> list() {
        List<Backup> backups = new ArrayList<>();
        if (Files.isDirectory(folder())) {
            try (Stream<Path> files = Files.list(folder())) {
                files.forEach(file -> at(file, backups));
            } catch (IOException e) {
                // A folder that cannot be listed has no backups that could be used.
                return List.of();
            }
        }
        backups.sort(Comparator.comparing(Backup::at).reversed());
        return backups;
    }

    private void at(Path file, List<Backup> backups) {
        String name = file.getFileName().toString();
        String head = StudioPaths.stem(studio) + " ";
        if (name.startsWith(head) && name.endsWith(StudioFile.EXTENSION)) {
            try {
                String moment = name.substring(head.length(), name.length() - StudioFile.EXTENSION.length());
                backups.add(new Backup(file, LocalDateTime.parse(moment, StudioPaths.MOMENT)));
            } catch (DateTimeException e) {
                // Somebody else's file.
                return;
            }
        }
    }

    /** Makes the copy of a day, if there is none of that day yet, and removes those that are too many. */
    void daily(LocalDateTime now) throws SQLException, IOException {
        boolean isMade =
                list().stream().anyMatch(backup -> backup.at().toLocalDate().equals(now.toLocalDate()));
        if (!isMade) {
            make(now);
            prune(now.toLocalDate());
        }
    }

    /** Makes a copy as the studio is on the disk. */
    Path make(LocalDateTime now) throws SQLException, IOException {
        Files.createDirectories(folder());
        Path copy = folder().resolve(StudioPaths.dated(studio, "", now));
        Path part = copy.resolveSibling(copy.getFileName() + ".part");
        Files.deleteIfExists(part);
        try (Connection connection = Database.forReading(studio);
                PreparedStatement copying = connection.prepareStatement("VACUUM INTO ?")) {
            copying.setString(1, part.toString());
            copying.execute();
        }
        Files.move(part, copy, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        return copy;
    }

    /** Keeps all of a week, then the newest of each week, then the newest of each month. */
    void prune(LocalDate today) throws IOException {
        Set<String> kept = new HashSet<>();
        for (Backup backup : list()) {
            LocalDate day = backup.at().toLocalDate();
            long age = ChronoUnit.DAYS.between(day, today);
            boolean isKept = age < DAYS_KEPT_ALL || kept.add(age < 7 * WEEKS_KEPT ? week(day) : month(day));
            boolean isTooOld = !day.isAfter(today.minusMonths(MONTHS_KEPT));
            if (!isKept || isTooOld) {
                Files.deleteIfExists(backup.file());
            }
        }
    }

    private static String week(LocalDate day) {
        return "week " + day.get(IsoFields.WEEK_BASED_YEAR) + " " + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
    }

    private static String month(LocalDate day) {
        return "month " + day.getYear() + " " + day.getMonthValue();
    }
}
