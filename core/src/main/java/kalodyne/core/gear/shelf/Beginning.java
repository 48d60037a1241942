package kalodyne.core.gear.shelf;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.files.Table;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import org.apache.commons.csv.CSVRecord;

/**
 * What somebody with an empty shelf is asked first: what they play, what they record with. Every kind of gear is in one of them at
 * the most.
 *
 * @param asks which question it answers
 * @param picture the name of its picture
 * @param words as people say it
 * @param kinds the usual one first
 */
public record Beginning(Asks asks, String picture, String words, List<Profile<Device>> kinds) {
    /** The questions. */
    public enum Asks {
        PLAYS("plays"),
        RECORDS("records");

        private final String word;

        Asks(String word) {
            this.word = word;
        }
    }

    public Beginning {
        kinds = List.copyOf(kinds);
    }

    private static final class Shipped {
        static final Map<Asks, List<Beginning>> BEGINNINGS = Stream.of(Asks.values())
                .collect(Collectors.toMap(
                        asks -> asks,
                        asks -> rows(asks.word).map(row -> of(asks, row)).toList()));
        static final List<Usual> LEADS = rows("leads")
                .map(row -> new Usual(
                        row.get("words"),
                        Catalogue.shipped().lead(row.get("kinds")).orElseThrow()))
                .toList();

        private static Stream<CSVRecord> rows(String asks) {
            return Table.rows(Beginning.class, "beginnings.csv").stream()
                    .filter(row -> row.get("asks").equals(asks));
        }

        private static Beginning of(Asks asks, CSVRecord row) {
            return new Beginning(
                    asks,
                    row.get("picture"),
                    row.get("words"),
                    Stream.of(row.get("kinds").split(" ", -1))
                            .map(kind -> Catalogue.shipped().device(kind).orElseThrow())
                            .toList());
        }
    }

    /** Answers to a question, as they are offered. */
    public static List<Beginning> of(Asks asks) {
        return Shipped.BEGINNINGS.get(asks);
    }

    /**
     * A lead that most people have some of.
     *
     * @param words as people say it
     */
    public record Usual(String words, Profile<Lead> kind) {}

    public static List<Usual> leads() {
        return Shipped.LEADS;
    }

    /** Whether a device is one of these. */
    public boolean has(Device device) {
        return kinds.stream()
                .map(kind -> kind.gear().id())
                .anyMatch(device.profile().orElse("")::equals);
    }
}
