package kalodyne.core.studio;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Problems;
import kalodyne.core.studio.setup.DescribedRuns;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;

/**
 * Version 4 of the studio file: runs that were described without gear become gear that is plugged. So do those of the past: every
 * state that undo and redo lead to is converted, and each edit is what then differs between two of them. An edit after which
 * nothing differs any more goes.
 */
@SuppressWarnings("checkstyle:TypeName") // version and name are read off it
public final class V4__DescribedRuns extends BaseJavaMigration {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final String RUN = "RUN";

    /** What the file of version 3 keeps, each with its table and how many columns its key has. */
    private static final Map<String, Integer> KEY_LENGTHS = keyLengths();

    private static Map<String, Integer> keyLengths() {
        Map<String, Integer> lengths = new LinkedHashMap<>();
        lengths.put("STUDIO", 1);
        lengths.put("DEVICE", 1);
        lengths.put("LEAD", 1);
        lengths.put("SETUP", 1);
        lengths.put(RUN, 2);
        lengths.put("TAKE", 3);
        lengths.put("SITTING", 2);
        return lengths;
    }

    private record Key(String kind, List<String> path) {
        String owner() {
            return path.get(0);
        }
    }

    private record Body(double place, String json) {}

    private record Difference(Key key, Body before, Body after) {}

    private record PastEdit(long number, boolean isUndone, List<Difference> differences) {}

    /** All items at one moment. */
    private static final class State {
        private final Map<Key, Body> items = new LinkedHashMap<>();

        State copy() {
            State copy = new State();
            copy.items.putAll(items);
            return copy;
        }

        void put(Key key, Body body) {
            if (body == null) {
                items.remove(key);
            } else {
                items.put(key, body);
            }
        }

        Stream<Key> of(String kind) {
            return items.keySet().stream().filter(key -> key.kind().equals(kind));
        }

        List<Key> inOrder(String kind) {
            return of(kind).sorted(Comparator.comparingDouble(
                            (Key key) -> items.get(key).place()))
                    .toList();
        }

        List<Difference> to(State after) {
            List<Difference> differences = new ArrayList<>();
            Set<Key> keys = new HashSet<>(after.items.keySet());
            items.forEach((key, body) -> {
                Body then = after.items.get(key);
                keys.remove(key);
                if (!body.equals(then)) {
                    differences.add(new Difference(key, body, then));
                }
            });
            after.items.keySet().stream()
                    .filter(keys::contains)
                    .forEach(key -> differences.add(new Difference(key, null, after.items.get(key))));
            return differences;
        }
    }

    @Override
    public void migrate(Context context) throws SQLException {
        // Flyway closes the connection.
        Sql sql = new Sql(context.getConnection());
        try {
            State present = present(sql);
            List<PastEdit> edits = edits(sql);
            if (Stream.concat(
                            present.of(RUN),
                            edits.stream()
                                    .flatMap(edit -> edit.differences().stream().map(Difference::key)))
                    .anyMatch(key -> key.kind().equals(RUN))) {
                convert(sql, present, edits);
            }
        } catch (JsonProcessingException e) {
            throw new SQLException("an item is damaged", e);
        }
        sql.execute("DROP TABLE run");
        sql.execute("PRAGMA user_version = 4");
    }

    private static void convert(Sql sql, State present, List<PastEdit> edits)
            throws SQLException, JsonProcessingException {
        State state = present.copy();
        List<PastEdit> done = edits.stream().filter(edit -> !edit.isUndone()).toList();
        List<PastEdit> undone = edits.stream().filter(PastEdit::isUndone).toList();
        for (int i = done.size() - 1; i >= 0; i--) {
            List<Difference> back = new ArrayList<>(done.get(i).differences());
            Collections.reverse(back);
            back.forEach(each -> state.put(each.key(), each.before()));
        }
        Conversion conversion = new Conversion(present, edits);
        State before = conversion.of(state);
        for (PastEdit edit : done) {
            before = rewrite(sql, edit, state, before, conversion);
        }
        write(sql, present, before);
        for (PastEdit edit : undone) {
            before = rewrite(sql, edit, state, before, conversion);
        }
    }

    /** Goes over an edit, and writes what it does now; returns the state after it. */
    private static State rewrite(Sql sql, PastEdit edit, State state, State before, Conversion conversion)
            throws SQLException, JsonProcessingException {
        edit.differences().forEach(each -> state.put(each.key(), each.after()));
        State after = conversion.of(state);
        List<Difference> differences = before.to(after);
        sql.execute("DELETE FROM change WHERE edit = ?", edit.number());
        for (int i = 0; i < differences.size(); i++) {
            Difference each = differences.get(i);
            sql.execute(
                    "INSERT INTO change (edit, position, kind, path, before_place, before_body, after_place, after_body)"
                            + " VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
                    edit.number(),
                    i,
                    each.key().kind(),
                    MAPPER.writeValueAsString(each.key().path()),
                    each.before() == null ? null : each.before().place(),
                    each.before() == null ? null : each.before().json(),
                    each.after() == null ? null : each.after().place(),
                    each.after() == null ? null : each.after().json());
        }
        if (differences.isEmpty()) {
            sql.execute("DELETE FROM edit WHERE number = ?", edit.number());
        }
        return after;
    }

    // --- what the file holds -----------------------------------------------------------------------------------

    private static State present(Sql sql) throws SQLException {
        State state = new State();
        for (Map.Entry<String, Integer> kind : KEY_LENGTHS.entrySet()) {
            int length = kind.getValue();
            sql.query("SELECT * FROM " + table(kind.getKey()) + " ORDER BY place", row -> {
                        List<String> path = new ArrayList<>();
                        for (int i = 1; i <= length; i++) {
                            path.add(row.getString(i));
                        }
                        Body body = new Body(row.getDouble("place"), row.getString("body"));
                        return Map.entry(new Key(kind.getKey(), path), body);
                    })
                    .forEach(item -> state.put(item.getKey(), item.getValue()));
        }
        return state;
    }

    private static String table(String kind) {
        return kind.toLowerCase(Locale.ROOT);
    }

    private static List<PastEdit> edits(Sql sql) throws SQLException, JsonProcessingException {
        Map<Long, List<Difference>> differences = new HashMap<>();
        record Row(
                long edit,
                String kind,
                String path,
                double beforePlace,
                String beforeBody,
                double afterPlace,
                String afterBody) {}
        List<Row> rows = sql.query(
                "SELECT edit, kind, path, before_place, before_body, after_place, after_body"
                        + " FROM change ORDER BY edit, position",
                row -> new Row(
                        row.getLong(1),
                        row.getString(2),
                        row.getString(3),
                        row.getDouble(4),
                        row.getString(5),
                        row.getDouble(6),
                        row.getString(7)));
        for (Row row : rows) {
            Key key = new Key(row.kind(), List.of(MAPPER.readValue(row.path(), String[].class)));
            differences
                    .computeIfAbsent(row.edit(), each -> new ArrayList<>())
                    .add(new Difference(
                            key,
                            row.beforeBody() == null ? null : new Body(row.beforePlace(), row.beforeBody()),
                            row.afterBody() == null ? null : new Body(row.afterPlace(), row.afterBody())));
        }
        return sql.query(
                "SELECT number, undone FROM edit ORDER BY number",
                row -> new PastEdit(
                        row.getLong(1), row.getBoolean(2), differences.getOrDefault(row.getLong(1), List.of())));
    }

    private static void write(Sql sql, State old, State now) throws SQLException {
        for (Difference each : old.to(now)) {
            ItemTable table = each.key().kind().equals(RUN)
                    ? null
                    : ItemTable.of(Item.Kind.valueOf(each.key().kind()));
            List<Object> parameters = new ArrayList<>(each.key().path());
            if (table != null && each.after() == null) {
                sql.execute(table.remove(), parameters.toArray());
            } else if (table != null) {
                parameters.add(each.after().place());
                parameters.add(each.after().json());
                sql.execute(table.put(), parameters.toArray());
            }
        }
    }

    // --- one state ---------------------------------------------------------------------------------------------

    /** What becomes of a state, always in the same way. */
    private static final class Conversion {
        /** Marks that were ever given: gear that is made from runs gets none of them. */
        private final List<String> marks;

        /** Behind all that is there. */
        private final double place;

        /** Takes as they were, with what becomes of them by the run that they belong to now: of thousands, an edit changes one. */
        private final Map<Body, Map<String, Body>> followed = new HashMap<>();

        Conversion(State present, List<PastEdit> edits) {
            List<Difference> all =
                    edits.stream().flatMap(edit -> edit.differences().stream()).toList();
            marks = Stream.concat(
                            Stream.of("DEVICE", "LEAD").flatMap(present::of),
                            all.stream()
                                    .map(Difference::key)
                                    .filter(key -> key.kind().equals("DEVICE")
                                            || key.kind().equals("LEAD")))
                    .map(Key::owner)
                    .toList();
            place = 1
                    + Stream.concat(
                                    present.items.values().stream(),
                                    all.stream()
                                            .flatMap(each -> Stream.of(each.before(), each.after()))
                                            .filter(Objects::nonNull))
                            .mapToDouble(Body::place)
                            .max()
                            .orElse(0);
        }

        State of(State old) throws JsonProcessingException {
            State now = new State();
            old.items.forEach((key, body) -> {
                if (!key.kind().equals(RUN)
                        && !key.kind().equals("TAKE")
                        && !key.kind().equals("SETUP")) {
                    now.put(key, body);
                }
            });
            DescribedRuns described = new DescribedRuns(new Problems(), marks);
            for (Key key : old.inOrder("SETUP")) {
                Body body = old.items.get(key);
                List<JsonPlace> runs = new ArrayList<>();
                for (Key run : old.inOrder(RUN)) {
                    if (run.owner().equals(key.owner())) {
                        runs.add(
                                new JsonPlace(MAPPER.readTree(old.items.get(run).json())));
                    }
                }
                if (!runs.isEmpty()) {
                    ObjectNode setup = (ObjectNode) MAPPER.readTree(body.json());
                    described.plug(setup, key.owner(), runs);
                    body = new Body(body.place(), setup.toString());
                }
                now.put(key, body);
            }
            for (Key key : old.of("TAKE").toList()) {
                Body body = old.items.get(key);
                String run = described.key(key.owner(), key.path().get(1));
                Key moved =
                        new Key(key.kind(), List.of(key.owner(), run, key.path().get(2)));
                now.put(moved, moved.equals(key) ? body : follow(key.owner(), body, run, described));
            }
            add("DEVICE", described.devices(), now);
            add("LEAD", described.leads(), now);
            return now;
        }

        private Body follow(String setup, Body body, String run, DescribedRuns described)
                throws JsonProcessingException {
            Map<String, Body> known = followed.computeIfAbsent(body, each -> new HashMap<>());
            if (!known.containsKey(run)) {
                ObjectNode take = (ObjectNode) MAPPER.readTree(body.json());
                described.follow(setup, take);
                known.put(run, new Body(body.place(), take.toString()));
            }
            return known.get(run);
        }

        private void add(String kind, JsonPlace gear, State now) {
            for (int i = 0; i < gear.items().size(); i++) {
                JsonPlace item = gear.items().get(i);
                Key key = new Key(kind, List.of(item.text("id")));
                now.put(key, new Body(place + i, item.node().toString()));
            }
        }
    }
}
