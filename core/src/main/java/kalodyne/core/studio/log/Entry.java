package kalodyne.core.studio.log;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Severity;
import kalodyne.core.runsheet.RigSnapshot;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/**
 * Something that was done.
 *
 * @param setupId of the setup that it was done with
 * @param setup how that is called now
 * @param name "Take 2", "Session 1"
 * @param about what it was of: the run of a take; the setup of a session
 * @param at when it was done, or begun
 * @param sentence what came of it
 * @param note what was noted of it; may be empty
 * @param points what else is kept of it, one by one
 * @param stand how everything stood
 * @param take the take, if it is one; else it is a session
 */
public record Entry(
        String setupId,
        String setup,
        String name,
        String about,
        Instant at,
        String sentence,
        String note,
        List<String> points,
        RigSnapshot stand,
        Optional<Take> take) {
    public Entry {
        points = List.copyOf(points);
    }

    public boolean isTake() {
        return take.isPresent();
    }

    /** What was said of it, where it is a take that somebody has read. */
    public Optional<FirstVerdict> judged() {
        return take.flatMap(Take::judged);
    }

    /** How bad the worst of it was. */
    public Optional<Severity> worst() {
        return judged().stream()
                .flatMap(judged -> judged.faults().stream())
                .map(FirstVerdict.Fault::severity)
                .findFirst();
    }

    /** A setup as it stood then; what was not kept stays as it is. */
    public Setup restored(Setup setup) {
        return setup.as(stand);
    }

    /** All its words, for searching. */
    String text() {
        return String.join(" ", setup, name, about, sentence, note, String.join(" ", points));
    }
}
