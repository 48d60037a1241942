package kalodyne.core.testing.corpus;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.testing.WavBytes;

/** Has every take of a corpus read, and counts what was found of what is wrong with it. */
public final class Scoring {
    private final Map<String, Score> scores = new TreeMap<>();
    private final List<String> remarks = Collections.synchronizedList(new ArrayList<>());
    private int cleanTakes;
    private int accusedClean;

    /**
     * How one fault was found.
     *
     * @param found where it is
     * @param missed where it is
     * @param imagined where it is not
     */
    public record Score(int found, int missed, int imagined) {
        static final Score NONE = new Score(0, 0, 0);

        public double precision() {
            return found + imagined == 0 ? 1 : (double) found / (found + imagined);
        }

        public double recall() {
            return found + missed == 0 ? 1 : (double) found / (found + missed);
        }

        private Score plus(boolean isThere, boolean isFound) {
            return new Score(
                    found + (isThere && isFound ? 1 : 0),
                    missed + (isThere && !isFound ? 1 : 0),
                    imagined + (!isThere && isFound ? 1 : 0));
        }
    }

    /** Reads all takes, each from a file as a user's would be. */
    public static Scoring of(List<Supplier<CorpusTake>> takes, Path folder) {
        Scoring scoring = new Scoring();
        takes.parallelStream().map(Supplier::get).forEach(take -> scoring.add(take, read(take, folder)));
        return scoring;
    }

    private static TakeReport read(CorpusTake take, Path folder) {
        try {
            Path file = Files.createTempFile(folder, "take", ".wav");
            WavBytes.integers(24, take.channels().toArray(double[][]::new)).write(file);
            TakeReport report = TakeReader.read(file, Progress.NONE);
            Files.delete(file);
            return report;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private synchronized void add(CorpusTake take, TakeReport report) {
        Set<String> found =
                report.findings().stream().map(Finding::mark).collect(Collectors.toCollection(TreeSet::new));
        found.removeIf(code -> take.alsoTrue().contains(code) && !take.faults().contains(code));
        Set<String> all = new TreeSet<>(found);
        all.addAll(take.faults());
        for (String code : Corpus.FAULTS) {
            Score before = scores.getOrDefault(code, Score.NONE);
            scores.put(code, before.plus(take.faults().contains(code), found.contains(code)));
        }
        for (String code : all) {
            if (!found.contains(code) || !take.faults().contains(code)) {
                remarks.add((found.contains(code) ? "imagined " : "missed   ") + code + " in " + take.name() + " "
                        + report.findings().stream()
                                .filter(each -> each.mark().equals(code))
                                .map(Finding::text)
                                .toList());
            }
        }
        if (take.isClean()) {
            cleanTakes++;
            boolean accused = report.findings().stream()
                    .anyMatch(each -> each.severity() == Severity.HARM || each.severity() == Severity.WRONG);
            accusedClean += accused ? 1 : 0;
        }
    }

    public Map<String, Score> scores() {
        return Map.copyOf(scores);
    }

    public int cleanTakes() {
        return cleanTakes;
    }

    /** How many clean takes were told to have something wrong or harmful. */
    public int accusedClean() {
        return accusedClean;
    }

    /** A line for each fault, and for each take that was misjudged. */
    public List<String> lines() {
        List<String> lines = new ArrayList<>();
        lines.add(String.format("%-20s %9s %9s   of", "fault", "precision", "recall"));
        scores.forEach((code, score) -> lines.add(String.format(
                "%-20s %9.3f %9.3f   %d", code, score.precision(), score.recall(), score.found() + score.missed())));
        lines.add(accusedClean + " of " + cleanTakes + " clean takes told to be wrong");
        remarks.stream().sorted().forEach(lines::add);
        return lines;
    }
}
