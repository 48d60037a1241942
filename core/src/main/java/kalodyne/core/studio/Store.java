package kalodyne.core.studio;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.json.UnreadableFile;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.statement.PreparedBatch;

/** The tables of a studio file, over one connection that it owns. */
final class Store implements AutoCloseable {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final TypeReference<List<String>> TEXTS = new TypeReference<>() {};

    private final Handle handle;

    Store(Connection connection) {
        // One connection for all; closing it is up to this store.
        this.handle = Jdbi.open(connection);
    }

    static Store forWriting(Path file) throws SQLException {
        return new Store(Database.forWriting(file));
    }

    static Store forReading(Path file) throws SQLException {
        return new Store(Database.forReading(file));
    }

    // --- reading -----------------------------------------------------------------------------------------------

    /** Every item. */
    List<Placed> items() throws UnreadableFile {
        List<Placed> items = new ArrayList<>();
        for (ItemTable table : ItemTable.values()) {
            List<Row> rows = handle.createQuery(table.selectAll())
                    .map((row, context) -> row(table, row))
                    .list();
            for (Row row : rows) {
                items.add(new Placed(ItemText.read(row.key(), row.body()), row.place()));
            }
        }
        return items;
    }

    /** A row of an item's table. */
    record Row(Item.Key key, double place, String body) {}

    static Row row(ItemTable table, ResultSet row) throws SQLException {
        List<String> path = new ArrayList<>();
        for (int i = 1; i <= table.keyLength(); i++) {
            path.add(row.getString(i));
        }
        return new Row(
                new Item.Key(table.kind(), path),
                row.getDouble(table.keyLength() + 1),
                row.getString(table.keyLength() + 2));
    }

    /** An edit as the list of edits shows it. */
    record PastEdit(long number, Instant at, String description, boolean isUndone) {}

    /** All edits, oldest first. */
    List<PastEdit> edits() {
        return handle.createQuery("SELECT number, at, description, undone FROM edit ORDER BY number")
                .map((row, context) -> new PastEdit(
                        row.getLong(1), Instant.parse(row.getString(2)), row.getString(3), row.getBoolean(4)))
                .list();
    }

    /** What an edit did. */
    List<Change> changes(long number) throws UnreadableFile {
        record ChangeRow(
                String kind, String path, double beforePlace, String beforeBody, double afterPlace, String afterBody) {}
        List<ChangeRow> rows = handle.createQuery(
                        "SELECT kind, path, before_place, before_body, after_place, after_body"
                                + " FROM change WHERE edit = ? ORDER BY position")
                .bind(0, number)
                .map((row, context) -> new ChangeRow(
                        row.getString(1),
                        row.getString(2),
                        row.getDouble(3),
                        row.getString(4),
                        row.getDouble(5),
                        row.getString(6)))
                .list();
        List<Change> changes = new ArrayList<>();
        for (ChangeRow row : rows) {
            Item.Key key = new Item.Key(Item.Kind.valueOf(row.kind()), path(row.path()));
            changes.add(new Change(
                    key,
                    placed(key, row.beforePlace(), row.beforeBody()),
                    placed(key, row.afterPlace(), row.afterBody())));
        }
        return changes;
    }

    private static Optional<Placed> placed(Item.Key key, double place, String body) throws UnreadableFile {
        return body == null ? Optional.empty() : Optional.of(new Placed(ItemText.read(key, body), place));
    }

    // --- writing -----------------------------------------------------------------------------------------------

    /** Writes commits, all or none. */
    void write(List<Commit> commits) {
        handle.useTransaction(transaction -> {
            for (Commit commit : commits) {
                commit.items().forEach(change -> write(transaction, change));
                write(transaction, commit.log());
            }
        });
    }

    private static void write(Handle transaction, Change change) {
        ItemTable table = ItemTable.of(change.key().kind());
        List<Object> parameters = new ArrayList<>(change.key().path());
        change.after().ifPresent(placed -> {
            parameters.add(placed.place());
            parameters.add(ItemText.write(placed.item()));
        });
        transaction.execute(change.after().isPresent() ? table.put() : table.remove(), parameters.toArray());
    }

    private static void write(Handle transaction, Commit.Log log) {
        if (log instanceof Commit.Log.Made made) {
            transaction.execute("DELETE FROM edit WHERE undone = 1");
            transaction.execute(
                    "INSERT INTO edit (number, at, description, undone) VALUES (?, ?, ?, 0)",
                    made.number(),
                    made.at().toString(),
                    made.description());
            write(transaction, made.number(), made.changes());
            transaction.execute(
                    "DELETE FROM edit WHERE number <= (SELECT number FROM edit ORDER BY number DESC LIMIT 1 OFFSET ?)",
                    History.MOST_EDITS);
        } else if (log instanceof Commit.Log.WentOn wentOn) {
            transaction.execute("DELETE FROM change WHERE edit = ?", wentOn.number());
            if (wentOn.changes().isEmpty()) {
                transaction.execute("DELETE FROM edit WHERE number = ?", wentOn.number());
            } else {
                transaction.execute(
                        "UPDATE edit SET description = ? WHERE number = ?", wentOn.description(), wentOn.number());
                write(transaction, wentOn.number(), wentOn.changes());
            }
        } else if (log instanceof Commit.Log.Undone undone) {
            transaction.execute("UPDATE edit SET undone = 1 WHERE number = ?", undone.number());
        } else if (log instanceof Commit.Log.Redone redone) {
            transaction.execute("UPDATE edit SET undone = 0 WHERE number = ?", redone.number());
        }
    }

    private static void write(Handle transaction, long edit, List<Change> changes) {
        if (changes.isEmpty()) {
            return;
        }
        PreparedBatch batch = transaction.prepareBatch("INSERT INTO change (edit, position, kind, path, before_place,"
                + " before_body, after_place, after_body) VALUES (?, ?, ?, ?, ?, ?, ?, ?)");
        for (int i = 0; i < changes.size(); i++) {
            Change change = changes.get(i);
            batch.add(
                    edit,
                    i,
                    change.key().kind().name(),
                    path(change.key().path()),
                    change.before().map(Placed::place).orElse(null),
                    change.before().map(placed -> ItemText.write(placed.item())).orElse(null),
                    change.after().map(Placed::place).orElse(null),
                    change.after().map(placed -> ItemText.write(placed.item())).orElse(null));
        }
        batch.execute();
    }

    private static String path(List<String> path) {
        try {
            return MAPPER.writeValueAsString(path);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<String> path(String text) {
        try {
            return MAPPER.readValue(text, TEXTS);
        } catch (JsonProcessingException e) {
            return List.of();
        }
    }

    @Override
    public void close() {
        handle.close();
    }
}
