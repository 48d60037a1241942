package kalodyne.core.studio.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.Recall;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SpotWords;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import org.junit.jupiter.api.Test;

/** What the log remembers and what it makes of it, counted by hand from takes that are written down here. */
class LogBookTest {
    private static final Instant START = Instant.parse("2026-02-01T10:00:00Z");
    private static final String SYNTH = "bass-synth.out>interface.adc-3";
    private static final String CELLO = "cello.out>interface.adc-1";
    private static final Map<String, String> RUNS = Map.of(SYNTH, "Bass synth → track 3", CELLO, "Cello → track 1");

    private final Studio studio = Boathouse.studio();
    private final Setup bare = studio.setups().get(0);

    /** Eight takes, one a day: hum in four of the cello's five and not in its last two… */
    private static List<Take> takes() {
        return List.of(
                take(1, CELLO, "hum"),
                take(2, CELLO, "hum", "clip"),
                take(3, SYNTH, "clip"),
                take(4, CELLO, "hum"),
                take(5, CELLO),
                take(6, CELLO, "hot"),
                take(7, SYNTH),
                new Take(
                        "Take 8",
                        SYNTH,
                        "8.wav",
                        day(8),
                        Map.of(Spot.read("interface.gain-3"), 0.35),
                        "loud truck",
                        List.of(),
                        Optional.empty()));
    }

    private static Instant day(int number) {
        return START.plusSeconds(86_400L * number);
    }

    private static Take take(int number, String run, String... faults) {
        return new Take("Take " + number, run, number + ".wav", day(number), Map.of(Spot.read("interface.gain-3"), 0.5))
                .with(new FirstVerdict(
                        OptionalDouble.of(-6),
                        OptionalDouble.of(-70),
                        "It was so",
                        Stream.of(faults)
                                .map(code -> new FirstVerdict.Fault(
                                        code,
                                        code.equals("hot") ? Severity.WEAK : Severity.WRONG,
                                        "Title of " + code + " " + number))
                                .toList()));
    }

    private Setup with(List<Session> sessions) {
        return bare.withTakes(takes()).withSessions(sessions);
    }

    private LogBook book(Setup setup) {
        return LogBook.of(studio.with(setup), List.of(setup), RUNS);
    }

    @Test
    void newest_first_and_found_by_any_word() {
        LogBook book = book(with(List.of(session(1, List.of()))));
        assertThat(book.entries()).hasSize(9).isSortedAccordingTo((a, b) -> b.at().compareTo(a.at()));
        assertThat(book.find("truck")).extracting(Entry::name).containsExactly("Take 8");
        assertThat(book.find("hum cello")).extracting(Entry::name).containsExactly("Take 4", "Take 2", "Take 1");
        assertThat(book.find("gain 10:30")).extracting(Entry::name).containsExactly("Take 8");
        assertThat(book.find("nowhere")).isEmpty();
    }

    /** Of one run in its order; takes that nobody has read have nothing to show. */
    @Test
    void takes_of_a_run_are_a_trend() {
        List<Entry> entries = book(with(List.of(session(1, List.of())))).entries();
        Entry synth = entries.stream()
                .filter(entry -> entry.name().equals("Take 8"))
                .findFirst()
                .orElseThrow();
        assertThat(Trend.of(entries, synth).points())
                .extracting(
                        Trend.Point::name,
                        Trend.Point::peakDbfs,
                        point -> point.noiseDbfs().getAsDouble(),
                        Trend.Point::isClean)
                .containsExactly(tuple("Take 3", -6.0, -70.0, false), tuple("Take 7", -6.0, -70.0, true));
        Entry session =
                entries.stream().filter(entry -> !entry.isTake()).findFirst().orElseThrow();
        assertThat(Trend.of(entries, session).points()).isEmpty();
    }

    @Test
    void what_keeps_going_wrong_is_counted() {
        Habits habits = Habits.of(book(with(List.of())).entries(), List.of());
        assertThat(habits.read()).isEqualTo(7);
        assertThat(habits.unread()).isEqualTo(1);
        assertThat(habits.clean()).isEqualTo(3);
        assertThat(habits.recurring())
                .extracting(Recurring::title, Recurring::words)
                .containsExactly(
                        tuple("Title of hum 4", "in 3 of 7 takes, mostly Cello → track 1; not in the last 2"),
                        tuple("Title of clip 3", "in 2 of 7 takes"),
                        tuple("Title of hot 6", "in 1 of 7 takes, Cello → track 1"));
        assertThat(habits.runs())
                .extracting(
                        Habits.RunHabit::run,
                        Habits.RunHabit::clean,
                        run -> run.lastClean().map(Entry::name).orElse(""))
                .containsExactly(tuple("Cello → track 1", 2, "Take 6"), tuple("Bass synth → track 3", 1, "Take 7"));
    }

    private Session session(int number, List<Tick> ticks) {
        return new Session("Session " + number, day(number), true, ticks, bare.wiring(), bare.settings());
    }

    private static Tick tick(int day, int minute, Tick.Outcome outcome) {
        return new Tick("plug", "Plug it", outcome, day(day).plusSeconds(60L * minute), "", List.of());
    }

    /** A clock that was put back makes no time. */
    @Test
    void sessions_tell_how_long_they_take_and_what_is_noticed_again() {
        List<Session> sessions = List.of(
                session(1, List.of(tick(1, 20, Tick.Outcome.DONE).noticing(Symptom.HUM))),
                session(2, List.of(tick(2, 30, Tick.Outcome.DONE).noticing(Symptom.HUM))),
                session(3, List.of(tick(3, 40, Tick.Outcome.DONE), tick(3, 45, Tick.Outcome.SKIPPED))),
                session(4, List.of(tick(4, -200, Tick.Outcome.DONE))));
        assertThat(Habits.of(List.of(), sessions).remarks())
                .containsExactly("Going through it takes about 30 min (3 times)", "“Plug it”: it hums 2 times");
        Setup none = with(sessions).withTakes(List.of());
        assertThat(book(none).entries().get(1).sentence()).isEqualTo("1 step done, 1 skipped in 40 min");
        assertThat(book(none).entries().get(3).points()).containsExactly("Plug it: it hums");
    }

    /** Going back and looking again finds nothing to do: of all that was kept. */
    @Test
    void what_is_brought_back_stands_as_it_did() {
        Spot gain = Spot.read("interface.gain-3");
        Session then = session(1, List.of());
        Setup now = with(List.of(then))
                .withSettings(bare.settings().turned(Map.of(gain, 0.9)))
                .withWiring(bare.wiring().unplugged(bare.wiring().plugged().subList(0, 2)));
        SpotWords words = studio.words();
        Recall back = Recall.between(then.stand(), now.stand(), words);
        assertThat(back.differences()).hasSize(3);
        assertThat(back.steps())
                .hasSize(5)
                .startsWith("Turn 48 V off, levels down and speakers off, then wait 30 s")
                .endsWith("Switch on again in the order of the run sheet, 48 V last")
                .contains("Turn Interface, gain 3 to 12:00");
        Setup again = now.as(then.stand());
        assertThat(Recall.between(then.stand(), again.stand(), words).steps()).isEmpty();
        assertThat(studio.patch(again)).isEqualTo(studio.patch(bare));
        // A take knows its knobs and no plugs: those stay.
        Entry take = book(now).find("take 8").get(0);
        assertThat(take.restored(now).wiring()).isEqualTo(now.wiring());
        assertThat(take.restored(now).settings().positions()).containsEntry(gain, 0.35);
    }

    /** The log of years is searched while one types. */
    @Test
    void ten_thousand_takes_are_counted_like_ten() {
        List<Take> many = new ArrayList<>();
        IntStream.rangeClosed(1, 10_000)
                .mapToObj(i -> i % 4 == 0 ? take(i, SYNTH, "hum") : take(i, CELLO))
                .forEach(many::add);
        LogBook book = book(bare.withTakes(many));
        Habits habits = Habits.of(book.entries(), List.of());
        assertThat(habits.recurring())
                .singleElement()
                .satisfies(hum -> assertThat(hum.times()).isEqualTo(2_500));
        assertThat(habits.clean()).isEqualTo(7_500);
        assertThat(book.find("hum")).hasSize(2_500);
    }
}
