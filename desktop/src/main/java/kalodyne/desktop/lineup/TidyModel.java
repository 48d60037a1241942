package kalodyne.desktop.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.files.Progress;
import kalodyne.core.lineup.tidy.Cut;
import kalodyne.core.lineup.tidy.LevelAim;
import kalodyne.core.lineup.tidy.Proposal;
import kalodyne.core.lineup.tidy.Tidy;
import kalodyne.core.lineup.tidy.TidyPlan;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;

/** The last clean-up of several recordings: what is wanted, what would come of it, and writing it. */
public final class TidyModel {
    private static final Pattern NUMBER = Pattern.compile("([-+]?[0-9]{1,4}(?:\\.[0-9]{1,3})?) ?[A-Za-z]*");
    private static final double LEAVE_SECONDS = 0.3;
    private static final int BEATS_OF_BAR = 4;

    private final StudioModel studio;
    private final TakesModel takes;
    private final Jobs jobs;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", State.EMPTY);

    /**
     * A choice, and the value that belongs to it.
     *
     * @param unit of the value; empty where it has none
     */
    record Choice(String words, String unit, double usual, double least, double most) {
        static Choice of(String words) {
            return new Choice(words, "", 0, 0, 0);
        }

        double read(String typed) {
            String plain = typed.strip().replace('−', '-').replace(',', '.');
            Matcher matcher = NUMBER.matcher(plain);
            double value = matcher.matches() ? Double.parseDouble(matcher.group(1)) : Double.NaN;
            if (!(value >= least && value <= most)) {
                throw new UnreadableQuantity(
                        "That does not fit here.",
                        "Write " + Print.plain(least) + " to " + Print.plain(most) + " " + unit + ".");
            }
            return value;
        }
    }

    /** What the level of each copy is made of. */
    @SuppressWarnings("ImmutableEnumChecker") // a record of words and numbers
    public enum Level {
        AS_IT_IS(Choice.of("As it is")),
        GAIN(new Choice("Changed by", "dB", 0, -60, 60)),
        PEAK(new Choice("Loudest sample at", "dBFS", -1, -60, 0)),
        LOUDNESS(new Choice("Loudness of", "LUFS", -16, -60, 0)),
        MATCH(new Choice("As loud as the first, and", "LU louder", 0, -40, 40));

        final Choice choice;

        Level(Choice choice) {
            this.choice = choice;
        }

        public String words() {
            return choice.words();
        }

        public String unit() {
            return choice.unit();
        }

        public boolean hasValue() {
            return this != AS_IT_IS;
        }
    }

    /** What of a recording is kept. */
    @SuppressWarnings("ImmutableEnumChecker") // a record of words and numbers
    public enum Keep {
        ALL(Choice.of("All of it")),
        SOUNDING(Choice.of("What sounds, top and tail cut")),
        SONGS(new Choice("A file for each song; pauses of at least", "s", 2, 0.2, 600)),
        MARKS(new Choice("All, with marks where songs begin; pauses of at least", "s", 2, 0.2, 600)),
        BARS(new Choice("From the first hit, in whole bars at", "beats a minute", 120, 20, 400));

        final Choice choice;

        Keep(Choice choice) {
            this.choice = choice;
        }

        public String words() {
            return choice.words();
        }

        public String unit() {
            return choice.unit();
        }

        public boolean hasValue() {
            return this != ALL && this != SOUNDING;
        }

        public boolean hasNames() {
            return this == SONGS || this == MARKS;
        }
    }

    /**
     * What is shown.
     *
     * @param preview what would be written; empty while it was not measured, or something else is wanted since
     * @param problem why there is none, as a sentence
     */
    public record State(
            List<Path> files, CopiesWanted wanted, Optional<Tidy.Preview> preview, boolean isWorking, String problem) {
        static final State EMPTY = new State(List.of(), CopiesWanted.PLAIN, Optional.empty(), false, "");

        public State {
            files = List.copyOf(files);
        }

        State of(List<Path> newFiles) {
            return new State(newFiles, wanted, Optional.empty(), false, "");
        }

        State of(CopiesWanted newWanted) {
            return new State(files, newWanted, Optional.empty(), false, "");
        }

        State working() {
            return new State(files, wanted, preview, true, "");
        }

        State found(Tidy.Preview found) {
            return new State(files, wanted, Optional.of(found), false, "");
        }

        State failed(String why) {
            return new State(files, wanted, Optional.empty(), false, why);
        }

        /** How many copies can be written. */
        public long writable() {
            return preview.map(each -> each.proposals().stream()
                            .filter(Proposal::canBeWritten)
                            .count())
                    .orElse(0L);
        }
    }

    public TidyModel(StudioModel studio, TakesModel takes, Jobs jobs) {
        this.studio = studio;
        this.takes = takes;
        this.jobs = jobs;
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public State state() {
        return state.get();
    }

    // --- choosing ----------------------------------------------------------------------------------------------

    public void add(List<Path> files) {
        List<Path> all = new ArrayList<>(state().files());
        files.stream().filter(each -> !all.contains(each)).forEach(all::add);
        state.set(state().of(all));
    }

    public void remove(Path file) {
        state.set(state().of(state().files().stream()
                .filter(each -> !each.equals(file))
                .toList()));
    }

    public void want(CopiesWanted wanted) {
        if (!wanted.equals(state().wanted())) {
            state.set(state().of(wanted));
        }
    }

    // --- measuring and writing -----------------------------------------------------------------------------------

    private TidyPlan plan() {
        CopiesWanted wanted = state().wanted();
        return new TidyPlan(
                wanted.channels().of(channelNames()),
                level(wanted),
                TidyPlan.USUAL_MOST_DBTP,
                cut(wanted),
                wanted.format(),
                OptionalInt.empty(),
                OptionalLong.empty(),
                wanted.folder(),
                false);
    }

    /** What is recorded on each track of the device that made the first of the files, else of the run that is looked at. */
    private List<String> channelNames() {
        Optional<String> ofFile = state().files().stream()
                .flatMap(file -> takes.runOf(file).stream())
                .findFirst();
        return ofFile.or(() -> studio.reading().map(run -> run.plan().trace().key()))
                .flatMap(run -> studio.levels().recorder(run))
                .map(recorder -> studio.levels().playedOn(recorder))
                .orElse(List.of());
    }

    private LevelAim level(CopiesWanted wanted) {
        double value = wanted.levelValue();
        return switch (wanted.level()) {
            case AS_IT_IS -> new LevelAim.AsItIs();
            case GAIN -> new LevelAim.By(new Gain(value));
            case PEAK -> new LevelAim.Peak(value);
            case LOUDNESS -> new LevelAim.Loudness(value);
            case MATCH ->
                new LevelAim.Match(state().files().get(0).getFileName().toString(), false, new Gain(value));
        };
    }

    private static Cut cut(CopiesWanted wanted) {
        double value = wanted.keepValue();
        return switch (wanted.keep()) {
            case ALL -> new Cut.Nothing();
            case SOUNDING -> new Cut.TopAndTail(LEAVE_SECONDS);
            case SONGS -> new Cut.Songs(value, LEAVE_SECONDS, wanted.names(), false);
            case MARKS -> new Cut.Songs(value, LEAVE_SECONDS, wanted.names(), true);
            case BARS -> new Cut.Bars(value, BEATS_OF_BAR, 0);
        };
    }

    /** Measures everything and proposes copies. */
    public void measure() {
        if (state().files().isEmpty() || state().isWorking()) {
            return;
        }
        Tidy tidy = new Tidy(plan());
        List<Path> files = state().files();
        CopiesWanted wanted = state().wanted();
        state.set(state().working());
        jobs.run("Measuring " + Print.counted(files.size(), "recording"), progress -> tidy.preview(files, progress))
                .then(preview -> {
                    if (state().files().equals(files) && state().wanted().equals(wanted)) {
                        state.set(state().found(preview));
                    }
                })
                .otherwise(failure -> state.set(state().failed(String.valueOf(failure.getMessage()))))
                .whenStopped(() -> state.set(state().failed("It was stopped.")));
    }

    /** What became of writing. */
    private record Outcome(List<Proposal> written, List<String> failed) {}

    /** Writes all copies that can be written; each take whose recording was copied keeps a note of it. */
    public void write() {
        if (state().preview().isEmpty() || state().isWorking()) {
            return;
        }
        Tidy tidy = new Tidy(plan());
        List<Proposal> proposals = state().preview().get().proposals().stream()
                .filter(Proposal::canBeWritten)
                .toList();
        state.set(state().working());
        jobs.run("Writing " + Print.counted(proposals.size(), "file"), progress -> write(tidy, proposals, progress))
                .then(outcome -> told(outcome, proposals.size()))
                .otherwise(failure -> state.set(state().failed(String.valueOf(failure.getMessage()))))
                .whenStopped(() ->
                        state.set(state().failed("It was stopped. What was whole by then is there, nothing half.")));
    }

    private static Outcome write(Tidy tidy, List<Proposal> proposals, Progress progress) {
        List<Proposal> written = new ArrayList<>();
        List<String> failed = new ArrayList<>();
        for (int i = 0; i < proposals.size(); i++) {
            int which = i;
            try {
                tidy.write(proposals.get(i), done -> progress.report((which + done) / proposals.size()));
                written.add(proposals.get(i));
            } catch (IOException e) {
                failed.add(e.getMessage());
            }
        }
        return new Outcome(written, failed);
    }

    private void told(Outcome outcome, int wanted) {
        state.set(state().of(state().files()));
        note(outcome.written());
        String where = outcome.written().stream()
                .findFirst()
                .map(each -> " They lie in " + each.target().getParent() + ".")
                .orElse("");
        String written = outcome.written().size() + " of " + Print.counted(wanted, "file") + " written";
        if (outcome.failed().isEmpty()) {
            studio.tell(written, "What was done stands beside each, and in the notes of the takes." + where);
        } else {
            studio.notice(written, String.join(" ", outcome.failed()));
        }
    }

    private void note(List<Proposal> written) {
        for (Proposal each : written) {
            takes.noteCopy(
                    each.source(),
                    "Copy " + each.target().getFileName() + ": " + Print.moment(each.fromSeconds()) + " to "
                            + Print.moment(each.toSeconds()) + ", gain " + each.gain() + ".");
        }
    }
}
