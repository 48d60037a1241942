package kalodyne.core.studio.log;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.shelf.SearchIndex;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.RigSnapshot;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SpotWords;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.units.Print;

/** All that was done with a studio, newest first. */
public final class LogBook {
    private static final int LONGEST_DAY_MINUTES = 24 * 60;

    private final List<Entry> entries;
    private final SearchIndex<Entry> index;

    private LogBook(List<Entry> entries) {
        this.entries = entries;
        index = new SearchIndex<>(entries, Entry::text);
    }

    /**
     * Reads the log of a studio.
     *
     * @param setups of which
     * @param runs names of runs of what is plugged, by the keys that takes know them by; others are called by their gear
     */
    public static LogBook of(Studio studio, List<Setup> setups, Map<String, String> runs) {
        SpotWords words = studio.words();
        Map<String, String> names = new HashMap<>(runs);
        Function<Take, String> run = take -> names.computeIfAbsent(take.run(), key -> byGear(take, words));
        return new LogBook(setups.stream()
                .flatMap(setup -> Stream.concat(
                        setup.takes().stream().map(take -> entry(setup, take, run.apply(take), words)),
                        setup.sessions().stream().map(session -> entry(setup, session))))
                .sorted(Comparator.comparing(Entry::at).reversed())
                .toList());
    }

    public List<Entry> entries() {
        return entries;
    }

    /** Those in which each of the words stands; first those that are called so. */
    public List<Entry> find(String words) {
        return index.find(words, Entry::name);
    }

    // --- entries -----------------------------------------------------------------------------------------------

    private static String byGear(Take take, SpotWords words) {
        return Stream.of(take.run().split(">", -1))
                .map(end -> Spot.known(end).map(words::device).orElse(end))
                .collect(Collectors.joining(" → "));
    }

    private static Entry entry(Setup setup, Take take, String run, SpotWords words) {
        List<String> points = new ArrayList<>();
        take.judged().stream()
                .flatMap(judged -> judged.faults().stream())
                .forEach(fault -> points.add(fault.severity().word() + ": " + fault.title()));
        points.addAll(words.eachPosition(take.positions()));
        return new Entry(
                setup.id(),
                setup.name(),
                take.name(),
                run,
                take.at(),
                take.judged().map(FirstVerdict::sentence).orElse("Not read yet"),
                take.note(),
                points,
                new RigSnapshot(Optional.empty(), take.positions()),
                Optional.of(take));
    }

    private static Entry entry(Setup setup, Session session) {
        long done = count(session, Tick.Outcome.DONE);
        long skipped = count(session, Tick.Outcome.SKIPPED);
        String sentence = Print.counted(done, "step") + " done"
                + (skipped > 0 ? ", " + skipped + " skipped" : "")
                + took(session)
                        .map(minutes -> " in " + minutes.toMinutes() + " min")
                        .orElse("")
                + (session.isOver() ? "" : ", still open");
        return new Entry(
                setup.id(),
                setup.name(),
                session.name(),
                setup.name(),
                session.begun(),
                sentence,
                "",
                session.ticks().stream().flatMap(LogBook::points).toList(),
                session.stand(),
                Optional.empty());
    }

    private static long count(Session session, Tick.Outcome outcome) {
        return session.ticks().stream()
                .filter(tick -> tick.outcome() == outcome)
                .count();
    }

    /** From its beginning to the last step that was done; empty where the clock cannot have been right. */
    static Optional<Duration> took(Session session) {
        return session.ticks().stream()
                .filter(tick -> tick.outcome() == Tick.Outcome.DONE)
                .map(tick -> Duration.between(session.begun(), tick.at()))
                .max(Comparator.naturalOrder())
                .filter(took -> took.toMinutes() > 0 && took.toMinutes() < LONGEST_DAY_MINUTES);
    }

    /** What is to be remembered of a step: that it was skipped, what was noticed or noted, its photographs. */
    private static Stream<String> points(Tick tick) {
        List<String> kept = new ArrayList<>();
        if (tick.outcome() == Tick.Outcome.SKIPPED) {
            kept.add("skipped");
        }
        tick.noticed().stream().map(Symptom::word).map(Print::withinSentence).forEach(kept::add);
        String own = tick.ownNote();
        if (!own.isEmpty()) {
            kept.add("“" + own + "”");
        }
        if (!tick.photos().isEmpty()) {
            kept.add(Print.counted(tick.photos().size(), "photograph"));
        }
        return kept.isEmpty() ? Stream.empty() : Stream.of(tick.title() + ": " + String.join(", ", kept));
    }
}
