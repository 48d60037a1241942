package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import kalodyne.core.files.Progress;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.desktop.job.Jobs;

/** What was measured in the takes that were looked at, so that each file is read once while it does not change. */
final class TakeReports {
    private final Jobs jobs;
    private final Map<Path, Measured> measured = new HashMap<>();
    private final Map<Path, State> states = new HashMap<>();

    /** Null before anything is known. */
    private TakeReader.SoFar soFar;

    /** How far a file that is not measured has come. */
    enum State {
        NOT_READ,
        READING,
        /** It grows while it is recorded: it is read when it is whole. */
        GROWING,
        FAILED,
        STOPPED
    }

    /** A report stays good while the file is as long and as old as it was. */
    private record Measured(TakeReport report, long size, long modified) {}

    /** Hears that more is known of the file that is being read. */
    private final Runnable progressed;

    TakeReports(Jobs jobs, Runnable progressed) {
        this.jobs = jobs;
        this.progressed = progressed;
    }

    /** The report of a file, if it was measured and has not changed since. */
    Optional<TakeReport> of(Path file) {
        return Optional.ofNullable(measured.get(file))
                .filter(known -> isFresh(file, known))
                .map(Measured::report);
    }

    State state(Path file) {
        return states.getOrDefault(file, State.NOT_READ);
    }

    /** Makes a file that failed or was stopped one that is not read yet. */
    void forgive(Path file) {
        states.computeIfPresent(file, (path, state) -> state == State.READING || state == State.GROWING ? state : null);
    }

    /** Marks a file as one that grows, or as whole. */
    void grows(Path file, boolean isGrowing) {
        if (isGrowing) {
            states.put(file, State.GROWING);
        } else {
            states.remove(file, State.GROWING);
        }
    }

    /** What is known of the file that is being read. */
    Optional<TakeReader.SoFar> soFar(Path file) {
        return state(file) == State.READING ? Optional.ofNullable(soFar) : Optional.empty();
    }

    /**
     * Reads a file, unless it is being read.
     *
     * @param ready is given the report
     * @param changed hears that the file's state is another one, with the reason where it could not be read
     */
    void read(Path file, Consumer<TakeReport> ready, Consumer<Optional<String>> changed) {
        State before = state(file);
        if (before == State.READING || before == State.GROWING) {
            return;
        }
        states.put(file, State.READING);
        soFar = null;
        FirstNumbers first = new FirstNumbers(file);
        jobs.run("Reading " + file.getFileName(), progress -> measure(file, progress, first::hear))
                .then(result -> {
                    states.remove(file);
                    measured.put(file, result);
                    ready.accept(result.report());
                })
                .otherwise(failure -> {
                    states.put(file, State.FAILED);
                    changed.accept(Optional.of(String.valueOf(failure.getMessage())));
                })
                .whenStopped(() -> {
                    states.put(file, State.STOPPED);
                    changed.accept(Optional.empty());
                });
    }

    /** Passes on what is known of a long file before all of it was read. */
    private final class FirstNumbers {
        private static final long EVERY_NANOS = 200_000_000;

        private final Path file;
        private long told = System.nanoTime();

        FirstNumbers(Path file) {
            this.file = file;
        }

        void hear(TakeReader.SoFar heard) {
            if (System.nanoTime() - told > EVERY_NANOS) {
                told = System.nanoTime();
                jobs.onScreen(() -> tell(heard));
            }
        }

        private void tell(TakeReader.SoFar heard) {
            if (state(file) == State.READING) {
                soFar = heard;
                progressed.run();
            }
        }
    }

    private static Measured measure(Path file, Progress progress, Consumer<TakeReader.SoFar> heard) throws IOException {
        TakeReport report = TakeReader.read(file, progress, heard);
        return new Measured(
                report, Files.size(file), Files.getLastModifiedTime(file).toMillis());
    }

    private static boolean isFresh(Path file, Measured known) {
        try {
            return Files.size(file) == known.size()
                    && Files.getLastModifiedTime(file).toMillis() == known.modified();
        } catch (IOException e) {
            // It is gone: what was measured is still worth showing.
            return true;
        }
    }
}
