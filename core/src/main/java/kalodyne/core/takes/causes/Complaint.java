package kalodyne.core.takes.causes;

import java.util.List;
import kalodyne.core.findings.FindingCode;

/**
 * What somebody complains of.
 *
 * @param id stable: "hum"
 * @param findings the findings that are this complaint
 * @param causes what can be behind it
 * @param tests what tells those apart
 */
public record Complaint(String id, List<FindingCode> findings, List<Cause> causes, List<DiagnosticStep> tests) {
    public Complaint {
        findings = List.copyOf(findings);
        causes = List.copyOf(causes);
        tests = List.copyOf(tests);
    }
}
