package kalodyne.core.studio;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The table of one kind of item: its name, the columns of its key, and the statements that follow from them. */
@SuppressWarnings("ImmutableEnumChecker") // the list is a copy that cannot be changed
enum ItemTable {
    STUDIO(Item.Kind.STUDIO, "studio", "id"),
    DEVICE(Item.Kind.DEVICE, "device", "id"),
    LEAD(Item.Kind.LEAD, "lead", "id"),
    SETUP(Item.Kind.SETUP, "setup", "id"),
    TAKE(Item.Kind.TAKE, "take", "setup", "run", "name"),
    SITTING(Item.Kind.SITTING, "sitting", "setup", "name"),
    ANSWER(Item.Kind.ANSWER, "practised", "at");

    private final Item.Kind kind;
    private final String table;
    private final List<String> keyColumns;

    ItemTable(Item.Kind kind, String table, String... keyColumns) {
        this.kind = kind;
        this.table = table;
        this.keyColumns = List.of(keyColumns);
    }

    static ItemTable of(Item.Kind kind) {
        return switch (kind) {
            case STUDIO -> STUDIO;
            case DEVICE -> DEVICE;
            case LEAD -> LEAD;
            case SETUP -> SETUP;
            case TAKE -> TAKE;
            case SITTING -> SITTING;
            case ANSWER -> ANSWER;
        };
    }

    Item.Kind kind() {
        return kind;
    }

    String table() {
        return table;
    }

    int keyLength() {
        return keyColumns.size();
    }

    /** Key columns, then place, then body; in the order of the places. */
    String selectAll() {
        return "SELECT " + String.join(", ", keyColumns) + ", place, body FROM " + table + " ORDER BY place";
    }

    /** Parameters: key columns, place, body. */
    String put() {
        String keys = String.join(", ", keyColumns);
        String marks =
                IntStream.range(0, keyColumns.size() + 2).mapToObj(i -> "?").collect(Collectors.joining(", "));
        return "INSERT INTO " + table + " (" + keys + ", place, body) VALUES (" + marks + ") ON CONFLICT (" + keys
                + ") DO UPDATE SET place = excluded.place, body = excluded.body";
    }

    /** Parameters: key columns. */
    String remove() {
        return "DELETE FROM " + table + " WHERE "
                + keyColumns.stream().map(column -> column + " = ?").collect(Collectors.joining(" AND "));
    }
}
