package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.SessionPlan;

/**
 * Takes what can still be read out of a damaged studio. The damaged file is moved aside, whole; a new one with what was
 * read takes its place.
 */
final class Rescue {
    /** Row numbers are passed over in steps that double, up to this, until rows can be read again. */
    private static final long LONGEST_STEP = 1 << 16;

    private final Path file;
    private final Map<Item.Kind, Integer> read = new LinkedHashMap<>();
    private final Map<Item.Kind, Integer> unreadable = new LinkedHashMap<>();
    private boolean hasGaps;

    private Rescue(Path file) {
        this.file = file;
    }

    /**
     * Does it.
     *
     * @return what was found, in sentences
     * @throws IOException where the folder cannot be written; then nothing was changed
     */
    static String of(Path file, LocalDateTime now) throws IOException, SQLException {
        return new Rescue(file).run(now);
    }

    private String run(LocalDateTime now) throws IOException, SQLException {
        List<Placed> found = found();
        boolean isEmpty = found.stream().allMatch(placed -> placed.item().key().kind() == Item.Kind.STUDIO);
        Optional<Backups.Backup> backup = new Backups(file)
                .list().stream().filter(each -> isSound(each.file())).findFirst();
        Path fresh = file.resolveSibling(file.getFileName() + ".rescued");
        StudioPaths.remove(fresh);
        if (isEmpty && backup.isPresent()) {
            Files.copy(backup.get().file(), fresh);
        } else {
            write(found, fresh);
        }
        Path aside = file.resolveSibling(StudioPaths.dated(file, "damaged ", now));
        for (String tail : StudioPaths.TAILS) {
            Path part = StudioPaths.withTail(file, tail);
            if (Files.exists(part)) {
                Files.move(part, StudioPaths.withTail(aside, tail));
            }
        }
        Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE);
        return report(isEmpty, backup, aside);
    }

    private String report(boolean isEmpty, Optional<Backups.Backup> backup, Path aside) {
        String kept = " The damaged file was kept as " + aside.getFileName() + ".";
        String newest = backup.map(
                        each -> " The newest backup is of " + each.at().toLocalDate() + ", in " + each.file() + ".")
                .orElse(" There is no backup.");
        if (isEmpty) {
            return backup.map(each -> "Nothing could be read in it, so the backup of "
                                    + each.at().toLocalDate() + " took its place.")
                            .orElse("Nothing could be read in it, and there is no backup.")
                    + kept;
        }
        int lost = unreadable.values().stream().mapToInt(Integer::intValue).sum();
        String losses = lost == 0 && !hasGaps
                ? "Nothing seems to be missing"
                : (lost == 0 ? "Some more" : lost + " more" + (hasGaps ? " or so" : "")) + " could not be read";
        return "Recovered: " + counts() + ". " + losses + "; the undo history is gone." + kept + newest;
    }

    private String counts() {
        return read.entrySet().stream()
                .filter(entry -> entry.getKey() != Item.Kind.STUDIO)
                .map(entry -> entry.getValue() + " " + words(entry.getKey(), entry.getValue()))
                .collect(Collectors.joining(", "));
    }

    private static String words(Item.Kind kind, int count) {
        return ItemTable.of(kind).table() + (count == 1 ? "" : "s");
    }

    private static boolean isSound(Path backup) {
        try {
            Soundness.check(backup);
            return true;
        } catch (SQLException | StudioTrouble e) {
            return false;
        }
    }

    // --- reading what is there ---------------------------------------------------------------------------------

    private List<Placed> found() {
        List<Placed> found = new ArrayList<>();
        try (Connection connection = Database.forReading(file);
                Statement statement = connection.createStatement()) {
            // Else SQLite refuses a file whose end is missing, whatever can still be read in it.
            statement.execute("PRAGMA writable_schema = ON");
            for (ItemTable table : ItemTable.values()) {
                found.addAll(rows(connection, table));
            }
        } catch (SQLException e) {
            // Not even the first page can be read.
            hasGaps = true;
        }
        return joined(found);
    }

    private List<Placed> rows(Connection connection, ItemTable table) {
        List<Placed> rows = new ArrayList<>();
        long after = Long.MIN_VALUE;
        long step = 1;
        long highest = highestRow(connection, table);
        String select =
                table.selectAll().replaceFirst("SELECT ", "SELECT rowid, ").replaceFirst(" ORDER BY place$", "")
                        + " NOT INDEXED WHERE rowid > ? ORDER BY rowid";
        while (true) {
            try (PreparedStatement statement = connection.prepareStatement(select)) {
                statement.setLong(1, after);
                ResultSet result = statement.executeQuery();
                while (result.next()) {
                    after = result.getLong(1);
                    step = 1;
                    item(table, result).ifPresent(rows::add);
                }
                break;
            } catch (SQLException e) {
                hasGaps = true;
                after = (after == Long.MIN_VALUE ? 0 : after) + step;
                step = Math.min(step * 2, LONGEST_STEP);
                if (after > highest) {
                    break;
                }
            }
        }
        read.put(table.kind(), rows.size());
        return rows;
    }

    private long highestRow(Connection connection, ItemTable table) {
        try (Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery("SELECT max(rowid) FROM " + table.table() + " NOT INDEXED")) {
            return result.getLong(1);
        } catch (SQLException e) {
            // Its end is damaged: further than any studio goes.
            return 1 << 20;
        }
    }

    private Optional<Placed> item(ItemTable table, ResultSet result) throws SQLException {
        List<String> path = new ArrayList<>();
        for (int i = 0; i < table.keyLength(); i++) {
            path.add(String.valueOf(result.getString(i + 2)));
        }
        double place = result.getDouble(table.keyLength() + 2);
        String body = String.valueOf(result.getString(table.keyLength() + 3));
        try {
            return Optional.of(new Placed(new ItemText().read(new Item.Key(table.kind(), path), body), place));
        } catch (UnreadableFile e) {
            unreadable.merge(table.kind(), 1, Integer::sum);
            return Optional.empty();
        }
    }

    /** Without what belongs to something that was lost; a setup that was lost comes back under another name. */
    private List<Placed> joined(List<Placed> found) {
        Set<Item.Key> keys =
                found.stream().map(placed -> placed.item().key()).collect(Collectors.toCollection(HashSet::new));
        List<Placed> joined = new ArrayList<>();
        for (Placed placed : found) {
            Item.Key key = placed.item().key();
            boolean isInside = key.kind() == Item.Kind.TAKE || key.kind() == Item.Kind.SITTING;
            if (isInside && keys.add(new Item.Key(Item.Kind.SETUP, List.of(key.owner())))) {
                joined.add(new Placed(
                        new Item.OfSetup(
                                key.owner(),
                                "Recovered setup",
                                Wiring.NONE,
                                Settings.NONE,
                                Optional.empty(),
                                SessionPlan.USUAL),
                        joined.size()));
            }
            joined.add(placed);
        }
        return joined;
    }

    // --- writing it anew ---------------------------------------------------------------------------------------

    private static void write(List<Placed> found, Path fresh) throws SQLException {
        Ledger ledger = new Ledger(found);
        Studio studio = ledger.studio();
        Studio complete =
                studio.setups().isEmpty() ? studio.withSetups(Studio.empty().setups()) : studio;
        try {
            NewFile.create(fresh, complete);
        } catch (StudioTrouble e) {
            throw new SQLException(e);
        }
    }
}
