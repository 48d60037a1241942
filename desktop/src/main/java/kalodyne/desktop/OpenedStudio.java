package kalodyne.desktop;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.exchange.StudioReader;
import kalodyne.desktop.model.Notice;

/**
 * The studio that the window begins with.
 *
 * @param studio for editing, or only to be read
 * @param notice what there is to say about it, if anything
 */
public record OpenedStudio(OpenStudio studio, Optional<Notice> notice) {
    private static final String OWN = "studio";

    /** A studio that was opened, with what there is to say about that. */
    static OpenedStudio of(OpenStudio studio) {
        Optional<Notice> notice = Optional.empty();
        if (studio.isReadOnly()) {
            notice = Optional.of(Notice.problem("You can look, but not change anything", studio.readOnlyBecause()));
        } else if (!studio.rescued().isEmpty()) {
            notice = Optional.of(Notice.problem("Your studio was damaged", studio.rescued()));
        }
        return new OpenedStudio(studio, notice);
    }

    /** What the window begins with while the studio is still being read. */
    public static OpenedStudio awaited(Path folder, Clock clock) {
        return new OpenedStudio(
                OpenStudio.awaited(folder.resolve(OWN + StudioFile.EXTENSION), clock), Optional.empty());
    }

    /**
     * The user's own studio. One that is not there begins with the setup that an earlier version kept, if any; one that
     * cannot be read stays as it is, and work begins in a file beside it.
     */
    public static OpenedStudio own(Path folder, Clock clock) {
        Path file = folder.resolve(OWN + StudioFile.EXTENSION);
        try {
            return of(StudioFile.open(file, former(folder.resolve(OWN + ".json")), clock));
        } catch (UnreadableFile e) {
            Path beside = unusedBeside(folder);
            Problem problem = e.problems().get(0);
            String text = problem.what() + " It was left as it is: " + e.fileName()
                    + ". What you do now is kept beside it, in " + beside.getFileName() + ".";
            return new OpenedStudio(
                    begun(beside, clock), Optional.of(Notice.problem("Your studio could not be read", text)));
        }
    }

    private static Studio former(Path json) throws UnreadableFile {
        return Files.exists(json) ? StudioReader.read(json) : Studio.empty();
    }

    private static OpenStudio begun(Path file, Clock clock) {
        try {
            return StudioFile.open(file, Studio.empty(), clock);
        } catch (UnreadableFile e) {
            throw new IllegalStateException(e);
        }
    }

    private static Path unusedBeside(Path folder) {
        return IntStream.iterate(2, number -> number + 1)
                .mapToObj(number -> folder.resolve(OWN + "-" + number + StudioFile.EXTENSION))
                .filter(candidate -> !Files.exists(candidate))
                .findFirst()
                .orElseThrow();
    }

    /**
     * A studio that must be there.
     *
     * @throws UnreadableFile where it cannot be read; says everything that is wrong
     */
    public static OpenedStudio named(Path file, Clock clock) throws UnreadableFile {
        if (!Files.exists(file)) {
            throw new UnreadableFile(
                    file, Problem.ofWhole("There is no such file.", "Check its name, or whether it was moved."));
        }
        if (file.toString().endsWith(".json")) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole(
                            "A studio is edited in a file of its own.",
                            "Bring this one into it: kalodyne import " + file.getFileName() + " --into my"
                                    + StudioFile.EXTENSION + "."));
        }
        return of(StudioFile.open(file, Studio.empty(), clock));
    }
}
