package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;

/** Reports a file that is not as long as it says. */
final class FileSizeRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return take.header().fault().stream()
                .map(fault -> TakeRules.finding(
                        fault.samplesMissing() ? FindingCode.FILE_CUT_SHORT : FindingCode.FILE_SIZE_WRONG,
                        fault.samplesMissing() ? Severity.WRONG : Severity.NOTE,
                        TakeRules.whole(take, OptionalInt.empty()),
                        new Figure(take.header().seconds(), "s"),
                        fault.samplesMissing() ? "The file is not whole" : "The file's length is wrong",
                        fault.problem() + " (" + fault.place() + ")",
                        fault.remedy()))
                .toList();
    }
}
