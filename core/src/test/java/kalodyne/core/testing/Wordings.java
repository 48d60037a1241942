package kalodyne.core.testing;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;

/** Findings as somebody reads them, and books of them: what is looked at in a line, then what is said of it, then an empty line. */
public final class Wordings {
    private Wordings() {}

    /** What each part of a book looks at, and all that is said of it. */
    public static Stream<List<String>> read(String book) {
        return Arrays.stream(book.strip().split("\n\n", -1)).map(part -> {
            String[] said = (part + "\n").split("\n", 2);
            return List.of(said[0], said[1].strip());
        });
    }

    /** All that is said, as a book has it. */
    public static String of(List<Finding> findings) {
        return findings.stream().map(Wordings::of).collect(Collectors.joining("\n"));
    }

    private static String of(Finding finding) {
        return finding.severity().word() + " " + finding.mark() + ": " + finding.title() + "\n    " + finding.text()
                + finding.remedy().map(remedy -> "\n    → " + remedy.words()).orElse("");
    }
}
