package kalodyne.core.studio;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.joint.Patch;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.studio.setup.Setup;

/**
 * Where something of the shelf is plugged.
 *
 * @param setup in which
 * @param row what is plugged there
 */
public record Whereabouts(Setup setup, PatchList.Row row) {
    /** All of a device or of a kind of lead, setup by setup. */
    public static List<Whereabouts> of(Studio studio, String item) {
        return studio.setups().stream()
                .flatMap(setup -> in(setup, studio, item))
                .toList();
    }

    private static Stream<Whereabouts> in(Setup setup, Studio studio, String item) {
        boolean isThere =
                setup.wiring().spots().stream().anyMatch(spot -> spot.kind().equals(item));
        if (!isThere) {
            return Stream.empty();
        }
        Patch patch = studio.patch(setup);
        return PatchList.of(patch, List.of()).stream()
                .filter(row -> row.leads().contains(item)
                        || row.ends().stream().anyMatch(end -> end.spot().item().equals(item)))
                .map(row -> new Whereabouts(setup, row));
    }

    /** "Output → Interface, Line in 3, with Lead 7" of a device; of a lead "Bass synth, Output → Interface, Line in 3". */
    public String words(String item) {
        String to = String.join(
                " and ", row.to().stream().map(end -> end(end, item)).toList());
        boolean isDevice = row.ends().stream().anyMatch(end -> end.spot().item().equals(item));
        return end(row.from(), item) + " → " + to + (isDevice && !row.lead().isEmpty() ? ", with " + row.lead() : "");
    }

    /** Of itself it need not say its name. */
    private static String end(PatchList.End end, String item) {
        return end.spot().item().equals(item) ? end.socket() : end.words();
    }
}
