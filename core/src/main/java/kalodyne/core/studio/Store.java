package kalodyne.core.studio;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.files.json.UnreadableFile;

/** The tables of a studio file, over one connection that it owns. */
final class Store implements AutoCloseable {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final TypeReference<List<String>> TEXTS = new TypeReference<>() {};

    private final Sql sql;

    Store(Connection connection) {
        this.sql = new Sql(connection);
    }

    static Store forWriting(Path file) throws SQLException {
        return new Store(Database.forWriting(file));
    }

    static Store forReading(Path file) throws SQLException {
        return new Store(Database.forReading(file));
    }

    // --- reading -----------------------------------------------------------------------------------------------

    /** Every item, in no order. */
    List<Placed> items() throws SQLException, UnreadableFile {
        List<Row> rows = new ArrayList<>();
        for (ItemTable table : ItemTable.values()) {
            rows.addAll(sql.query(table.selectAll(), row -> row(table, row)));
        }
        return decoded(rows);
    }

    /**
     * Reads bodies on all processors: of a large studio they take longer than the rest of opening it. Every share has some of
     * each kind, and reads what they have in common once.
     *
     * @return in no order
     */
    private static List<Placed> decoded(List<Row> rows) throws UnreadableFile {
        int shares = Runtime.getRuntime().availableProcessors();
        try {
            return IntStream.range(0, shares)
                    .parallel()
                    .mapToObj(share -> decodedShare(rows, share, shares))
                    .flatMap(List::stream)
                    .toList();
        } catch (UncheckedIOException e) {
            throw (UnreadableFile) e.getCause();
        }
    }

    private static List<Placed> decodedShare(List<Row> rows, int first, int step) {
        ItemText text = new ItemText();
        List<Placed> items = new ArrayList<>();
        for (int i = first; i < rows.size(); i += step) {
            Row row = rows.get(i);
            try {
                items.add(new Placed(text.read(row.key(), row.body()), row.place()));
            } catch (UnreadableFile e) {
                throw new UncheckedIOException(e);
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
    List<PastEdit> edits() throws SQLException {
        return sql.query(
                "SELECT number, at, description, undone FROM edit ORDER BY number",
                row -> new PastEdit(
                        row.getLong(1), Instant.parse(row.getString(2)), row.getString(3), row.getBoolean(4)));
    }

    /** What an edit did. */
    List<Change> changes(long number) throws SQLException, UnreadableFile {
        record ChangeRow(
                String kind, String path, double beforePlace, String beforeBody, double afterPlace, String afterBody) {}
        List<ChangeRow> rows = sql.query(
                "SELECT kind, path, before_place, before_body, after_place, after_body"
                        + " FROM change WHERE edit = ? ORDER BY position",
                row -> new ChangeRow(
                        row.getString(1),
                        row.getString(2),
                        row.getDouble(3),
                        row.getString(4),
                        row.getDouble(5),
                        row.getString(6)),
                number);
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
        return body == null ? Optional.empty() : Optional.of(new Placed(new ItemText().read(key, body), place));
    }

    // --- writing -----------------------------------------------------------------------------------------------

    /** Writes commits, all or none. */
    void write(List<Commit> commits) throws SQLException {
        sql.inTransaction(() -> {
            for (Commit commit : commits) {
                for (Change change : commit.items()) {
                    write(change);
                }
                write(commit.log());
            }
        });
    }

    private void write(Change change) throws SQLException {
        ItemTable table = ItemTable.of(change.key().kind());
        List<Object> parameters = new ArrayList<>(change.key().path());
        change.after().ifPresent(placed -> {
            parameters.add(placed.place());
            parameters.add(ItemText.write(placed.item()));
        });
        sql.execute(change.after().isPresent() ? table.put() : table.remove(), parameters.toArray());
    }

    private void write(Commit.Log log) throws SQLException {
        if (log instanceof Commit.Log.Made made) {
            sql.execute("DELETE FROM edit WHERE undone = 1");
            sql.execute(
                    "INSERT INTO edit (number, at, description, undone) VALUES (?, ?, ?, 0)",
                    made.number(),
                    made.at().toString(),
                    made.description());
            write(made.number(), made.changes());
            sql.execute(
                    "DELETE FROM edit WHERE number <= (SELECT number FROM edit ORDER BY number DESC LIMIT 1 OFFSET ?)",
                    History.MOST_EDITS);
        } else if (log instanceof Commit.Log.WentOn wentOn) {
            sql.execute("DELETE FROM change WHERE edit = ?", wentOn.number());
            if (wentOn.changes().isEmpty()) {
                sql.execute("DELETE FROM edit WHERE number = ?", wentOn.number());
            } else {
                sql.execute("UPDATE edit SET description = ? WHERE number = ?", wentOn.description(), wentOn.number());
                write(wentOn.number(), wentOn.changes());
            }
        } else if (log instanceof Commit.Log.Undone undone) {
            sql.execute("UPDATE edit SET undone = 1 WHERE number = ?", undone.number());
        } else if (log instanceof Commit.Log.Redone redone) {
            sql.execute("UPDATE edit SET undone = 0 WHERE number = ?", redone.number());
        }
    }

    private void write(long edit, List<Change> changes) throws SQLException {
        for (int i = 0; i < changes.size(); i++) {
            Change change = changes.get(i);
            sql.execute(
                    "INSERT INTO change (edit, position, kind, path, before_place, before_body, after_place, after_body)"
                            + " VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
                    edit,
                    i,
                    change.key().kind().name(),
                    path(change.key().path()),
                    change.before().map(Placed::place).orElse(null),
                    change.before().map(placed -> ItemText.write(placed.item())).orElse(null),
                    change.after().map(Placed::place).orElse(null),
                    change.after().map(placed -> ItemText.write(placed.item())).orElse(null));
        }
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
    public void close() throws SQLException {
        sql.close();
    }
}
