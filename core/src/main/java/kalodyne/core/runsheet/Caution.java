package kalodyne.core.runsheet;

import kalodyne.core.findings.Severity;

/** What can go wrong in a step, in a few words. */
public record Caution(Severity severity, String words) {}
