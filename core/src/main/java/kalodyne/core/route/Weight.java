package kalodyne.core.route;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.files.Table;
import org.apache.commons.csv.CSVRecord;

/** What counts for a way's place, and how much: the points, with what they are for and why, stand in weights.csv. */
public enum Weight {
    WRONG,
    DEAD,
    CAUTION,
    TURNED_DOWN,
    WEAK,
    HALF,
    ONE_SIDE,
    SIDES_LOST,
    MONO,
    SHARED,
    PRICE_A,
    PRICE_B,
    PRICE_C,
    SOCKET,
    CLIPPED,
    CLIPPED_DB,
    NOISE_DB,
    LOW_DB,
    FADERS,
    PHONES_OUT,
    LINE_INTO_INSTRUMENT,
    BUILT_IN,
    NOT_AS_WISHED,
    BREAK,
    SPECIAL,
    DEVICE,
    KNOBS,
    UNPLUGGED;

    private static final Map<Weight, Row> ROWS = read();

    /**
     * What stands in the table.
     *
     * @param of what it is about
     * @param counts what somebody says that counts, and then makes this count more
     * @param isOnlyCounted whether it counts for nothing where nobody says so
     * @param points for each of what it is for, before somebody says what counts
     * @param per what the points are for: "plug in a socket one behind the other"
     * @param why it counts, and why so much
     * @param source who says so
     */
    public record Row(
            Reason.Of of,
            Optional<Priority> counts,
            boolean isOnlyCounted,
            double points,
            String per,
            String why,
            String source) {}

    public Row row() {
        return ROWS.get(this);
    }

    double points() {
        return row().points();
    }

    /** How much more it counts, where somebody says what counts most and what next; some only count then. */
    double factor(Priority first, Priority then) {
        double factor = row().counts().map(each -> each.factor(first, then)).orElse(1.0);
        return row().isOnlyCounted() ? factor - 1 : factor;
    }

    double pointsFor(Wish wish) {
        return points() * factor(wish.first(), wish.then());
    }

    private static Map<Weight, Row> read() {
        return Table.rows(Weight.class, "weights.csv").stream()
                .collect(Collectors.toMap(row -> valueOf(row.get("weight")), Weight::row));
    }

    private static Row row(CSVRecord row) {
        return new Row(
                Reason.Of.valueOf(row.get("of")),
                Optional.of(row.get("counts")).filter(word -> !word.isEmpty()).map(Priority::valueOf),
                row.get("only").equals("yes"),
                Double.parseDouble(row.get("points")),
                row.get("per"),
                row.get("why"),
                row.get("source"));
    }
}
