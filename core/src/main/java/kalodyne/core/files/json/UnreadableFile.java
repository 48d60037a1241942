package kalodyne.core.files.json;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;

/** A file that cannot be read: every problem in it, with its place and what to do. */
public final class UnreadableFile extends IOException {
    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;
    private final String fileName;

    public UnreadableFile(Path file, List<Problem> problems) {
        super(problems.stream().map(problem -> file + ", " + problem).collect(Collectors.joining("\n")));
        this.fileName = file.toString();
        this.problems = List.copyOf(problems);
    }

    public UnreadableFile(Path file, Problem problem) {
        this(file, List.of(problem));
    }

    public String fileName() {
        return fileName;
    }

    public List<Problem> problems() {
        return problems;
    }
}
