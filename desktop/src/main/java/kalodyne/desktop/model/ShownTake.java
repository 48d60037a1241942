package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.Evidence;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.verdict.TakeVerdict;

/**
 * A take on the screen.
 *
 * @param take which one
 * @param report what was measured
 * @param verdict what it says about the run as it stands now
 * @param evidence the places that show what was found
 * @param other the take that it is compared with, if any
 */
public record ShownTake(
        Take take,
        TakeReport report,
        TakeVerdict verdict,
        List<Evidence> evidence,
        Optional<TakesModel.Compared> other) {
    public ShownTake {
        evidence = List.copyOf(evidence);
    }

    /** The finding of a code, if there is one. */
    public Optional<Finding> finding(FindingCode code) {
        return verdict.findings().stream()
                .filter(each -> each.code().equals(code))
                .findFirst();
    }
}
