package kalodyne.core.takes.causes;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.findings.FindingCode;

/**
 * All that is known of causes.
 *
 * @param complaints in the order of the book
 */
public record CauseBook(List<Complaint> complaints) {
    private static final double HUNDREDTHS = 100;

    public CauseBook {
        complaints = List.copyOf(complaints);
    }

    /** The one that ships with the program; read when it is first asked for. */
    public static CauseBook shipped() {
        return Shipped.BOOK;
    }

    /** The complaint that a finding is. */
    public Optional<Complaint> complaintOf(FindingCode code) {
        return complaints.stream()
                .filter(each -> each.findings().contains(code))
                .findFirst();
    }

    private static final class Shipped {
        static final CauseBook BOOK = read();

        private static CauseBook read() {
            String file = "causes.json";
            try (InputStream in = CauseBook.class.getResourceAsStream(file)) {
                // Its form is checked by a test, not at every start.
                JsonPlace root =
                        JsonFormat.CAUSES.trusted(new String(in.readAllBytes(), StandardCharsets.UTF_8), Path.of(file));
                return of(root);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static CauseBook of(JsonPlace root) {
        return new CauseBook(root.get("complaints").items().stream()
                .map(CauseBook::complaint)
                .toList());
    }

    private static Complaint complaint(JsonPlace place) {
        return new Complaint(
                place.text("id"),
                place.texts("of").stream().map(FindingCode::of).toList(),
                place.get("causes").items().stream().map(CauseBook::cause).toList(),
                place.get("tests").items().stream().map(CauseBook::test).toList());
    }

    private static Cause cause(JsonPlace place) {
        return new Cause(
                place.text("id"),
                place.text("name"),
                place.text("says"),
                place.get("usual").node().doubleValue(),
                Set.copyOf(optionalTexts(place, "needs")),
                numbers(place.get("given"), 1),
                numbers(place.get("shows"), HUNDREDTHS),
                place.text("predicts"),
                place.text("cure"));
    }

    private static DiagnosticStep test(JsonPlace place) {
        Map<String, List<Double>> then = new LinkedHashMap<>();
        JsonPlace chances = place.get("then");
        for (String cause : chances.fields()) {
            List<Double> of = new ArrayList<>();
            chances.get(cause).items().forEach(each -> of.add(each.node().doubleValue() / HUNDREDTHS));
            then.put(cause, List.copyOf(of));
        }
        return new DiagnosticStep(
                place.text("id"),
                place.text("do"),
                place.get("minutes").node().doubleValue(),
                Set.copyOf(optionalTexts(place, "needs")),
                place.texts("answers"),
                then);
    }

    private static List<String> optionalTexts(JsonPlace place, String field) {
        return place.has(field) ? place.texts(field) : List.of();
    }

    private static Map<String, Double> numbers(JsonPlace place, double per) {
        Map<String, Double> numbers = new LinkedHashMap<>();
        for (String field : place.fields()) {
            numbers.put(field, place.get(field).node().doubleValue() / per);
        }
        return numbers;
    }
}
