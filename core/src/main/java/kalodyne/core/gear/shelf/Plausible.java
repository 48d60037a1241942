package kalodyne.core.gear.shelf;

import java.util.List;
import java.util.Optional;
import kalodyne.core.files.Table;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Socket;
import org.apache.commons.csv.CSVRecord;

/**
 * Whether values are what such gear usually has. What is unusual may be true, and is only doubted: a slip of the unit is
 * more common than a strange device. The ranges are common practice, set wide; they lie in a table beside this class.
 */
public final class Plausible {
    private static final List<Rule> RULES = read();

    /** From where to where a value usually lies, in the quantity's own measure. */
    private record Rule(
            Fact.Of of, Fact<?> fact, String signal, String way, double low, double high, String typically) {
        boolean isAbout(Fact.Of part, Fact<?> known, Optional<Socket> socket) {
            return of == part
                    && fact == known
                    && (signal.isEmpty()
                            || socket.map(each -> each.signal().word())
                                    .orElse("")
                                    .equals(signal))
                    && (way.isEmpty()
                            || socket.map(each -> each.way().word()).orElse("").equals(way));
        }
    }

    /**
     * A value that is doubted.
     *
     * @param part the mark of the part that has it
     * @param label the part for people
     * @param fact which value
     * @param shown the value as people read it
     * @param typically what is usual, as half a sentence
     */
    public record Doubt(String part, String label, Fact<?> fact, String shown, String typically) {
        /** In a sentence or two. */
        public String text() {
            return shown + " is unusual here: " + typically + ". Check the unit; if it is true, it stays.";
        }
    }

    private Plausible() {}

    /** All values of a device that are doubted, in their order. */
    public static List<Doubt> doubts(Device device) {
        return Parts.of(device).stream()
                .flatMap(part -> part.facts().known().stream()
                        .flatMap(fact -> doubt(part, fact, socketOf(device, part)).stream()))
                .toList();
    }

    /** All values of a lead that are doubted, in their order. */
    public static List<Doubt> doubts(Lead lead) {
        return Parts.of(lead).stream()
                .flatMap(part ->
                        part.facts().known().stream().flatMap(fact -> doubt(part, fact, Optional.empty()).stream()))
                .toList();
    }

    private static Optional<Socket> socketOf(Device device, Part part) {
        return part.of() == Fact.Of.SOCKET
                ? device.socket(part.mark().substring(part.mark().indexOf(' ') + 1))
                : Optional.empty();
    }

    private static <T> Optional<Doubt> doubt(Part part, Fact<T> fact, Optional<Socket> socket) {
        double value = part.facts().quantity(fact).map(fact.quantity()::measure).orElseThrow();
        return RULES.stream()
                .filter(rule -> rule.isAbout(part.of(), fact, socket))
                .findFirst()
                .filter(rule -> value < rule.low() || value > rule.high())
                .map(rule -> new Doubt(
                        part.mark(),
                        part.label(),
                        fact,
                        part.facts().printed(fact).orElseThrow(),
                        rule.typically()));
    }

    private static List<Rule> read() {
        return Table.rows(Plausible.class, "plausible.csv").stream()
                .map(Plausible::rule)
                .toList();
    }

    private static Rule rule(CSVRecord row) {
        Fact.Of of = Fact.Of.valueOf(row.get("of"));
        Fact<?> fact = Fact.named(of, row.get("value")).orElseThrow();
        return new Rule(
                of,
                fact,
                row.get("signal"),
                row.get("way"),
                measure(fact, row.get("low")),
                measure(fact, row.get("high")),
                row.get("typically"));
    }

    private static <T> double measure(Fact<T> fact, String text) {
        return fact.quantity().measure(fact.quantity().read(text));
    }
}
