package kalodyne.desktop.model;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.studio.log.Judging;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.Evidence;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.TakeSentence;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.takes.verdict.TakeContext;
import kalodyne.core.takes.verdict.TakeVerdict;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.job.Jobs;

/** The takes of the run that is looked at, the one that is selected, what was measured in it and what it says. */
public final class TakesModel {
    private static final String RECORD = "record a take";

    private final StudioModel studio;
    private final Clock clock;
    private final TakeReports reports;

    private final ReadOnlyObjectWrapper<TakeSelection> selection =
            new ReadOnlyObjectWrapper<>(this, "selection", TakeSelection.NONE);
    private Optional<Take> selected = Optional.empty();
    private Optional<Take> other = Optional.empty();

    /** What is being read to become a take. */
    private Optional<Path> adding = Optional.empty();

    private String selectedRun = "";

    /**
     * A take that another one is compared with.
     *
     * @param take which one
     * @param report what was measured in it
     * @param verdict what it says about the run by itself
     */
    public record Compared(Take take, TakeReport report, TakeVerdict verdict) {}

    public TakesModel(StudioModel studio, Jobs jobs, Clock clock) {
        this.studio = studio;
        this.clock = clock;
        this.reports = new TakeReports(jobs, this::refresh);
        studio.revisionProperty().addListener((property, before, after) -> refresh());
        refresh();
    }

    public ReadOnlyObjectProperty<TakeSelection> selectionProperty() {
        return selection.getReadOnlyProperty();
    }

    public TakeSelection selection() {
        return selection.get();
    }

    private List<Take> takesOfRun() {
        return studio.reading()
                .map(reading -> studio.setup().takesOf(reading.plan().trace().key()))
                .map(TakesModel::newestFirst)
                .orElse(List.of());
    }

    private static List<Take> newestFirst(List<Take> takes) {
        return IntStream.range(0, takes.size())
                .mapToObj(i -> takes.get(takes.size() - 1 - i))
                .toList();
    }

    /** Looks at a take; one that could not be read before is tried again. */
    public void select(Take take) {
        selected = Optional.of(take);
        reports.forgive(fileOf(take));
        refresh();
    }

    /** Reads a recording and, if it can be read, adds it to the run with the knobs as they stand. */
    public void add(Path recording) {
        Optional<RunLevels> reading = studio.reading();
        if (reading.isEmpty()) {
            studio.notice(
                    "There is no run yet", "A take belongs to a run. Plug a source into something that records first.");
            return;
        }
        LevelPlan run = reading.get().plan();
        if (!run.isRecorded()) {
            studio.notice("This run is heard, not recorded", "Choose the run of the track that was recorded.");
            return;
        }
        Path file = recording.toAbsolutePath().normalize();
        if (reports.of(file).isPresent()) {
            log(run, file, reports.of(file).get());
        } else {
            adding = Optional.of(file);
            reports.read(file, report -> log(run, file, report), this::told);
            refresh();
        }
    }

    private void log(LevelPlan run, Path file, TakeReport report) {
        adding = Optional.empty();
        String key = run.trace().key();
        if (studio.runs().stream().noneMatch(each -> each.key().equals(key))) {
            // The run was removed, or another setup opened, while the take was read.
            return;
        }
        Take unread = new Take(
                nextName(key), key, stored(file), clock.instant().truncatedTo(ChronoUnit.SECONDS), run.positions());
        Take take = unread.with(judging().judge(unread, report));
        selected = Optional.of(take);
        studio.noticeProperty().set(Optional.empty());
        studio.edit("add a take", setup -> setup.with(take));
    }

    /** One more than the highest number in use, so that a name never means two takes. */
    private String nextName(String run) {
        int highest = studio.setup().takesOf(run).stream()
                .map(Take::name)
                .filter(name -> name.matches("Take \\d{1,6}"))
                .mapToInt(name -> Integer.parseInt(name.substring("Take ".length())))
                .max()
                .orElse(0);
        return "Take " + (highest + 1);
    }

    /** Takes the selected take out of the log; the recording stays. */
    public void remove() {
        selected.ifPresent(take -> {
            selected = Optional.empty();
            studio.edit("remove a take", setup -> setup.without(take));
        });
    }

    /** Relative to the setup where it lies beneath it, so that the folder can be moved. */
    private String stored(Path file) {
        Path folder = studio.folder();
        return file.startsWith(folder) ? folder.relativize(file).toString().replace('\\', '/') : file.toString();
    }

    /** The run of the take, if any, of whatever setup, that has this recording. */
    public Optional<String> runOf(Path recording) {
        return takesOf(recording).map(Take::run).findFirst();
    }

    private Stream<Take> takesOf(Path recording) {
        return studio.studio().setups().stream()
                .flatMap(setup -> setup.takes().stream())
                .filter(take -> fileOf(take).toAbsolutePath().equals(recording.toAbsolutePath()));
    }

    /** Adds to the notes of the takes that have this recording, in whatever setup and of whatever run. */
    public void noteCopy(Path recording, String words) {
        if (!isReadOnly()) {
            takesOf(recording).toList().forEach(take -> noteCopy(take, words));
        }
    }

    private void noteCopy(Take take, String words) {
        try {
            Take noted = take.withNote(take.note().isBlank() ? words : take.note() + "\n" + words);
            studio.studio().setups().stream()
                    .filter(setup -> setup.takes().contains(take))
                    .findFirst()
                    .ifPresent(setup -> studio.change(
                            null, "note on a take", studio.studio().with(setup.replacing(take, noted))));
        } catch (UnreadableQuantity full) {
            studio.notice("The note of " + take.name() + " is full", "What was done stands beside the copy.");
        }
    }

    /** The recording of the take that is looked at, if it is there. */
    public Optional<Path> recording() {
        return selected.map(this::fileOf).filter(Files::isRegularFile);
    }

    public Path fileOf(Take take) {
        return studio.folder().resolve(take.file()).normalize();
    }

    private void refresh() {
        List<Take> takes = takesOfRun();
        String run =
                studio.reading().map(reading -> reading.plan().trace().key()).orElse("");
        if (selected.filter(takes::contains).isEmpty() || !run.equals(selectedRun)) {
            selected = takes.stream().findFirst();
            selectedRun = run;
        }
        TakeSelection now = selected.map(take -> selectionOf(takes, take)).orElse(TakeSelection.NONE);
        selection.set(adding.filter(file -> reports.state(file) == TakeReports.State.READING)
                .map(file -> now.saying(file.getFileName() + waiting(file)))
                .orElse(now));
    }

    private TakeSelection selectionOf(List<Take> takes, Take take) {
        Path file = fileOf(take);
        Optional<ShownTake> shown = reportOf(take).map(measured -> shown(take, measured, compared(takes, take)));
        String sentence = shown.map(present -> present.verdict().sentence()).orElse(take.name() + waiting(file));
        return new TakeSelection(takes, Optional.of(take), shown, sentence);
    }

    /** What was measured in a take; one that is not read yet is read, and all is shown anew then. */
    private Optional<TakeReport> reportOf(Take take) {
        Path file = fileOf(take);
        if (isWaiting(file)) {
            reports.read(file, ready -> refresh(), this::told);
        }
        return reports.of(file);
    }

    private boolean isWaiting(Path file) {
        return reports.of(file).isEmpty() && reports.state(file) == TakeReports.State.NOT_READ;
    }

    private ShownTake shown(Take take, TakeReport report, Optional<Compared> compared) {
        TakeContext context =
                contextOf(take).with(compared.map(Compared::report)).with(take.tried());
        TakeVerdict verdict = TakeVerdict.of(context, report);
        return new ShownTake(take, report, verdict, Evidence.of(report, verdict.findings()), compared);
    }

    /** What the run says of a take, by itself. */
    private TakeContext contextOf(Take take) {
        return judging().context(take).orElseThrow();
    }

    private Judging judging() {
        return new Judging(studio.levels(), studio.joints());
    }

    private Optional<Compared> compared(List<Take> takes, Take take) {
        return other.filter(each -> takes.contains(each) && !each.equals(take))
                .flatMap(each -> reportOf(each)
                        .map(report -> new Compared(each, report, TakeVerdict.of(contextOf(each), report))));
    }

    /** What is the case with a take by itself, where it was read already; else what was said of it once. */
    public Optional<String> sentenceOf(Take take) {
        return reports.of(fileOf(take))
                .map(TakeSentence::of)
                .or(() -> take.judged().map(FirstVerdict::sentence));
    }

    /** Compares what is looked at with another take of the run; with none where empty. */
    public void compareWith(Optional<Take> take) {
        other = take;
        take.ifPresent(each -> reports.forgive(fileOf(each)));
        refresh();
    }

    /** Notes something on a take. */
    public void note(Take take, String note) {
        if (!take.note().equals(note.strip())) {
            change(take, "note on a take", take.withNote(note));
        }
    }

    /** Tells what came of a test; the causes are ranked anew. */
    public void answer(Take take, Inquiry.Tried tried) {
        change(take, "answer a test", take.answered(tried));
    }

    /** Forgets all that was answered. */
    public void beginSearchAnew(Take take) {
        change(take, "begin the search anew", take.withTried(List.of()));
    }

    private void change(Take take, String description, Take changed) {
        selected = selected.map(each -> each.equals(take) ? changed : each);
        other = other.map(each -> each.equals(take) ? changed : each);
        studio.edit(description, setup -> setup.replacing(take, changed));
    }

    // --- recording ---------------------------------------------------------------------------------------------

    /** A file that the next take of a run can go to: beside the studio, of a name that is not taken. */
    public Path fileFor(LevelPlan run) {
        return unusedFile(run.name(), nextName(run.trace().key()));
    }

    /** Adds a take that is about to be recorded, so that it is in the log whatever happens. */
    public void begin(LevelPlan run, Path file) {
        String key = run.trace().key();
        Take take = new Take(
                nextName(key), key, stored(file), clock.instant().truncatedTo(ChronoUnit.SECONDS), run.positions());
        reports.grows(file, true);
        selected = Optional.of(take);
        studio.change(file, RECORD, studio.studio().with(studio.setup().with(take)));
    }

    /** The take is whole now; or there is none, where nothing came. */
    public void finish(Path file, boolean isThere) {
        reports.grows(file, false);
        if (isThere) {
            reports.read(file, report -> judge(file, report), this::told);
            refresh();
        } else {
            studio.setup().takes().stream()
                    .filter(take -> fileOf(take).equals(file))
                    .findFirst()
                    .ifPresent(take -> studio.edit("remove an empty take", setup -> setup.without(take)));
        }
    }

    /** What is said of a take that was just recorded belongs to recording it: one undo takes back both. */
    private void judge(Path file, TakeReport report) {
        Optional<Take> recorded = studio.setup().takes().stream()
                .filter(take -> fileOf(take).equals(file))
                .findFirst();
        recorded.ifPresent(take -> {
            Take judged = take.with(judging().judge(take, report));
            selected = selected.map(each -> each.equals(take) ? judged : each);
            studio.change(file, RECORD, studio.studio().with(studio.setup().replacing(take, judged)));
        });
        refresh();
    }

    private Path unusedFile(String run, String name) {
        String plain = (run + " " + name).toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        Path folder = studio.preferences().takesOf(studio.folder());
        return IntStream.iterate(1, number -> number + 1)
                .mapToObj(number -> folder.resolve(plain + (number == 1 ? "" : "-" + number) + ".wav"))
                .filter(file -> !Files.exists(file))
                .findFirst()
                .orElseThrow();
    }

    private String waiting(Path file) {
        Optional<TakeReader.SoFar> soFar = reports.soFar(file);
        if (soFar.isPresent()) {
            return " is being read: peak " + DigitalLevel.ofPeak(soFar.get().samplePeak()) + " in the first "
                    + Print.moment(soFar.get().seconds());
        }
        return switch (reports.state(file)) {
            case NOT_READ, READING -> " is being read";
            case GROWING -> " is being recorded";
            case FAILED -> " cannot be read";
            case STOPPED -> " was not read to its end";
        };
    }

    /** What the takes of the run say about the gear; empty where they say nothing. */
    public Optional<Calibrating> calibrating() {
        List<Take> takes = takesOfRun();
        return studio.reading()
                .filter(run -> run.plan().isRecorded())
                .flatMap(run -> Calibrating.of(run.plan(), takes, take -> reports.of(fileOf(take))));
    }

    /** Has every take of the run read, then goes on. */
    public void readAll(Runnable then) {
        List<Path> waiting =
                takesOfRun().stream().map(this::fileOf).filter(this::isWaiting).toList();
        if (waiting.isEmpty()) {
            then.run();
        } else {
            reports.read(waiting.get(0), report -> readAll(then), failure -> readAll(then));
        }
    }

    public boolean isReadOnly() {
        return studio.isReadOnly();
    }

    /** Describes the gear as the takes found it. */
    public void correct(Calibrating calibrating) {
        studio.change(null, "describe the gear as the takes found it", calibrating.applied(studio));
    }

    private void told(Optional<String> failure) {
        failure.ifPresent(reason -> studio.notice("This take could not be read", reason));
        refresh();
    }
}
