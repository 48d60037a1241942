package kalodyne.core.setup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;

/** A setup file that cannot be read: every problem in it, with its place and what to do. */
public final class UnreadableSetup extends IOException {
    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;
    private final String fileName;

    /**
     * One problem.
     *
     * @param place "runs › 1 › lead › length, line 14"
     * @param what as a sentence
     * @param remedy as a sentence
     */
    public record Problem(String place, String what, String remedy) {}

    public UnreadableSetup(Path file, List<Problem> problems) {
        super(problems.stream()
                .map(problem -> file + ", " + problem.place() + ": " + problem.what() + " " + problem.remedy())
                .collect(Collectors.joining("\n")));
        this.fileName = file.toString();
        this.problems = List.copyOf(problems);
    }

    public String fileName() {
        return fileName;
    }

    public List<Problem> problems() {
        return problems;
    }
}
