package kalodyne.desktop.lineup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.files.FileNames;
import kalodyne.core.files.Progress;
import kalodyne.core.lineup.Alignment;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.LineUp;
import kalodyne.core.lineup.LineUpWords;
import kalodyne.core.lineup.PairPlace;
import kalodyne.core.lineup.TypedClock;
import kalodyne.core.lineup.tidy.AlignedCopy;
import kalodyne.core.recording.Speakers;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;

/** Two recordings of the same sound: where they belong to each other, by finding and by hand. */
public final class LineupModel implements AutoCloseable {
    private static final double MILLION = 1e6;
    private static final double PLACE_SECONDS = 12;

    private static final Pattern RECORDING =
            Pattern.compile("(?i).*\\.(wav|wave|aiff?|flac|mp3|m4a|aac|ogg|opus|mp4|mov|mkv)");
    /** By its ending, or by what people call it. */
    private static final Pattern FILM = Pattern.compile("(?i).*(\\.(mp4|mov|mkv)|film.*|video.*|camera.*)");

    private static final int MOST_OFFERED = 60;
    private final StudioModel studio;
    private final TakesModel takes;
    private final Jobs jobs;
    private final PairSound sound;
    private final ReadOnlyObjectWrapper<LineupState> state =
            new ReadOnlyObjectWrapper<>(this, "state", LineupState.EMPTY);
    private final PairView start;
    private final PairView end;

    /** How many were begun: only the newest counts. */
    private final AtomicInteger searches = new AtomicInteger();

    public LineupModel(StudioModel studio, TakesModel takes, Jobs jobs, Speakers speakers) {
        this.studio = studio;
        this.takes = takes;
        this.jobs = jobs;
        sound = new PairSound(speakers, studio);
        start = new PairView(jobs::onScreen);
        end = new PairView(jobs::onScreen);
    }

    public ReadOnlyObjectProperty<LineupState> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public LineupState state() {
        return state.get();
    }

    /** What is seen where both begin. */
    public PairView start() {
        return start;
    }

    /** What is seen where both end. */
    public PairView end() {
        return end;
    }

    public PairSound sound() {
        return sound;
    }

    // --- choosing ----------------------------------------------------------------------------------------------

    /**
     * A recording that may be lined up.
     *
     * @param name of the take, or of the file
     */
    public record Offered(String name, Path file) {}

    /** Takes of the setup, and other recordings that lie beside them. */
    public List<Offered> offered() {
        List<Offered> all = new ArrayList<>();
        for (Take take : takes.selection().takes()) {
            all.add(new Offered(take.name(), takes.fileOf(take)));
        }
        try (Stream<Path> beside = Files.list(studio.preferences().takesOf(studio.folder()))) {
            beside.filter(file ->
                            RECORDING.matcher(file.getFileName().toString()).matches())
                    .sorted()
                    .limit(MOST_OFFERED)
                    .filter(file -> all.stream()
                            .noneMatch(each -> each.file().toAbsolutePath().equals(file.toAbsolutePath())))
                    .forEach(file -> all.add(new Offered(file.getFileName().toString(), file)));
        } catch (IOException e) {
            // There is no such folder yet: then there are no other recordings.
            return all;
        }
        return all;
    }

    /** Begins with what plainly belongs together: of two recordings that are no takes the film, and its sound from elsewhere. */
    public void begin() {
        Set<Path> recorded = studio.studio().setups().stream()
                .flatMap(setup -> setup.takes().stream())
                .map(takes::fileOf)
                .map(Path::toAbsolutePath)
                .collect(Collectors.toSet());
        List<Path> others = offered().stream()
                .map(Offered::file)
                .filter(file -> !recorded.contains(file.toAbsolutePath()))
                .toList();
        List<Path> films = others.stream().filter(LineupModel::isFilm).toList();
        boolean isUntouched = state().reference().isEmpty() && state().other().isEmpty();
        if (isUntouched && others.size() == 2 && films.size() == 1) {
            chooseReference(films.get(0));
            chooseOther(others.get(1 - others.indexOf(films.get(0))));
        }
    }

    private static boolean isFilm(Path file) {
        return FILM.matcher(file.getFileName().toString()).matches();
    }

    public void chooseReference(Path file) {
        choose(state().of(Optional.of(file), state().other()));
    }

    public void chooseOther(Path file) {
        choose(state().of(state().reference(), Optional.of(file)));
    }

    /** Takes files as they were dropped: of two the first is what stays; of one it does unless something is there already. */
    public void drop(List<Path> files) {
        if (files.size() == 2) {
            choose(state().of(Optional.of(files.get(0)), Optional.of(files.get(1))));
            return;
        }
        for (Path file : files) {
            if (state().reference().isEmpty()) {
                chooseReference(file);
            } else {
                chooseOther(file);
            }
        }
    }

    /** Each becomes what the other one was. */
    public void swap() {
        choose(state().of(state().other(), state().reference()));
    }

    private void choose(LineupState chosen) {
        // Whoever still looks for the pair of before gives up.
        searches.incrementAndGet();
        sound.stop();
        start.clear();
        end.clear();
        state.set(chosen);
        if (chosen.canSearch()) {
            search();
        }
    }

    // --- searching ---------------------------------------------------------------------------------------------

    /** Looks for it anew. */
    public void search() {
        if (!state().canSearch()) {
            return;
        }
        Path reference = state().reference().orElseThrow();
        Path other = state().other().orElseThrow();
        state.set(state().searching());
        int number = searches.incrementAndGet();
        jobs.run(
                        "Lining up " + other.getFileName(),
                        progress -> LineUp.of(reference, other, new Listener(progress, number)))
                .then(result -> {
                    if (number == searches.get()) {
                        state.set(state().found(result));
                        look();
                    }
                })
                .otherwise(failure -> {
                    if (number == searches.get()) {
                        state.set(state().failed(String.valueOf(failure.getMessage())));
                    }
                })
                .whenStopped(() -> {
                    if (number == searches.get()) {
                        state.set(state().failed("It was stopped."));
                    }
                });
    }

    private final class Listener implements LineUp.Listener {
        private final Progress progress;
        private final int number;

        Listener(Progress progress, int number) {
            this.progress = progress;
            this.number = number;
        }

        @Override
        public boolean report(double done) {
            return number == searches.get() && progress.report(done);
        }

        @Override
        public void guessed(ClockLine guess) {
            jobs.onScreen(() -> {
                if (number == searches.get() && state().isSearching()) {
                    state.set(state().guessed(guess));
                }
            });
        }
    }

    /** Reads both places of both recordings. */
    private void look() {
        LineupState now = state();
        if (now.clock().isEmpty() || now.result().isEmpty()) {
            return;
        }
        ClockLine clock = now.clock().get();
        LineUp.Result result = now.result().get();
        double from = Math.max(0, clock.inReference(0));
        double to = Math.min(result.referenceSeconds(), clock.inReference(result.otherSeconds()));
        double seconds = Math.min(PLACE_SECONDS, to - from);
        read(now, clock, from, seconds, start);
        read(now, clock, to - seconds, seconds, end);
    }

    private void read(LineupState now, ClockLine clock, double from, double seconds, PairView into) {
        Path reference = now.reference().orElseThrow();
        Path other = now.other().orElseThrow();
        jobs.run(
                        "Reading " + reference.getFileName(),
                        progress -> PairPlace.read(reference, other, clock, from, seconds, progress))
                .then(place -> {
                    if (state().reference().equals(now.reference())
                            && state().other().equals(now.other())) {
                        into.show(place, seen());
                    }
                })
                .otherwise(
                        failure -> studio.notice("This place could not be read", String.valueOf(failure.getMessage())))
                .whenStopped(() -> into.clear());
    }

    // --- by hand -----------------------------------------------------------------------------------------------

    /** The clock by which the other one is seen and heard: without its drift it fits where both begin. */
    private ClockLine seen() {
        ClockLine clock = state().clock().orElseThrow();
        if (state().isDriftCorrected()) {
            return clock;
        }
        double middle = start.middle().orElse(0.0);
        return new ClockLine(clock.inOther(middle) - middle, 0);
    }

    /** Shows and plays the other one as it comes out, or as it does without the drift corrected. */
    public void correctDrift(boolean is) {
        if (state().clock().isPresent()) {
            state.set(state().corrected(is));
            seeAnew();
        }
    }

    private void seeAnew() {
        start.exchange(seen(), sound);
        end.exchange(seen(), sound);
    }

    private void move(ClockLine line) {
        state.set(state().with(line));
        seeAnew();
    }

    /** Moves the other one later, by seconds, everywhere alike. */
    public void nudge(double seconds) {
        state().clock().ifPresent(clock -> move(new ClockLine(clock.offsetSeconds() - seconds, clock.drift())));
    }

    /** By samples of the reference. */
    public void nudgeSamples(int samples) {
        start.place().ifPresent(place -> nudge((double) samples / place.sampleRateHz()));
    }

    /** Moves the other one later where both end, by seconds, and leaves it as it is where both begin. */
    public void nudgeEnd(double seconds) {
        Optional<ClockLine> clock = state().clock();
        if (clock.isEmpty() || start.middle().isEmpty() || end.middle().isEmpty()) {
            return;
        }
        double first = start.middle().get();
        double last = end.middle().get();
        if (last - first < PLACE_SECONDS) {
            nudge(seconds);
            return;
        }
        double atFirst = clock.get().inOther(first);
        double drift = (clock.get().inOther(last) - seconds - atFirst) / (last - first) - 1;
        move(new ClockLine(atFirst - first * (1 + drift), drift));
    }

    /** Sets the offset, as it was typed: "6.75 s", "-120 ms", "1:02:03.5". */
    public void setOffset(String typed) {
        double seconds = TypedClock.offsetSeconds(typed);
        state().clock().ifPresent(clock -> move(new ClockLine(seconds, clock.drift())));
    }

    /** Sets the drift, as it was typed: "35 ppm"; where both begin stays. */
    public void setDrift(String typed) {
        double drift = TypedClock.drift(typed);
        state().clock().ifPresent(clock -> {
            double first = start.middle().orElse(0.0);
            move(new ClockLine(clock.inOther(first) - first * (1 + drift), drift));
        });
    }

    /** Goes back to what was found. */
    public void asFound() {
        state().alignment().ifPresent(alignment -> move(alignment.clock()));
    }

    /** Goes to another of several places that fit. */
    public void choosePlace(int which) {
        state().result().filter(result -> which < result.places().size()).ifPresent(result -> {
            ClockLine clock = state().clock().orElseThrow();
            state.set(state().with(new ClockLine(result.places().get(which), clock.drift())));
            look();
        });
    }

    // --- the copy ----------------------------------------------------------------------------------------------

    /** A name for the copy, beside the other one. */
    public Optional<Path> proposedCopy(CopyFormat format) {
        return state().other()
                .map(other -> other.resolveSibling(FileNames.stem(other) + " lined up." + format.ending()));
    }

    /** Writes the other one as it fits the reference. Its owner was asked before where a file of that name is. */
    public void write(Path target, CopyFormat format, boolean replaces) {
        LineupState now = state();
        if (now.clock().isEmpty()) {
            return;
        }
        double seconds = now.result().orElseThrow().referenceSeconds();
        jobs.run(
                        "Writing " + target.getFileName(),
                        progress -> AlignedCopy.write(
                                now.reference().orElseThrow(),
                                now.other().orElseThrow(),
                                now.clock().get(),
                                seconds,
                                target,
                                Copy.as(format).replacing(replaces),
                                progress))
                .then(written -> {
                    takes.noteCopy(
                            now.other().orElseThrow(),
                            "Copy " + target.getFileName() + ", lined up with "
                                    + now.reference().orElseThrow().getFileName() + ": offset "
                                    + Print.decimal(now.clock().get().offsetSeconds(), 3) + " s, drift "
                                    + Print.decimal(MILLION * now.clock().get().drift(), 1) + " ppm.");
                    String cut = written.clipped() == 0
                            ? ""
                            : " " + Print.counted(written.clipped(), "sample") + " were cut off at full scale.";
                    studio.tell(
                            target.getFileName() + " is written",
                            "It is as long as the reference and keeps time with it. Its peak is "
                                    + DigitalLevel.ofPeak(written.peak()) + "." + cut
                                    + " Lay it under the film, and mute the film's own sound.");
                })
                .otherwise(failure -> studio.notice("The copy was not written", String.valueOf(failure.getMessage())))
                .whenStopped(() -> studio.notice("The copy was not written", "It was stopped. Nothing of it is left."));
    }

    /** How it stands now, in words. */
    public String sentence() {
        LineupState now = state();
        if (now.isSearching()) {
            return now.guess()
                    .map(guess -> "At first sight: " + LineUpWords.begins(guess) + ". Looking closer…")
                    .orElse("Looking for where they fit together…");
        }
        if (now.clock().isEmpty()) {
            return now.problem().isEmpty()
                    ? "Fit two recordings of the same sound to each other"
                    : now.result().isPresent() ? "These two do not belong together" : "They could not be lined up";
        }
        return LineUpWords.sentence(
                now.clock().get(),
                now.alignment().map(Alignment::driftUncertaintyPpm).orElse(0.0));
    }

    @Override
    public void close() {
        sound.stop();
    }
}
