package kalodyne.core.studio.log;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import kalodyne.core.findings.Severity;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.units.Print;

/**
 * What keeps going wrong, and what went right.
 *
 * @param read takes of which it is known what was said of them
 * @param clean how many of these could be kept
 * @param unread takes that nobody has read
 * @param recurring faults, the one to do something about first
 * @param runs how each run did, those with the most takes first
 * @param remarks about the times that run sheets were gone through
 */
public record Habits(
        int read, int clean, int unread, List<Recurring> recurring, List<RunHabit> runs, List<String> remarks) {
    /** What happened once may be chance. */
    private static final int TWICE = 2;

    public Habits {
        recurring = List.copyOf(recurring);
        runs = List.copyOf(runs);
        remarks = List.copyOf(remarks);
    }

    /**
     * How a run did.
     *
     * @param run its name
     * @param read its takes of which it is known
     * @param clean how many of these could be kept
     * @param lastClean the newest of those
     */
    public record RunHabit(String run, int read, int clean, Optional<Entry> lastClean) {}

    /**
     * Counts.
     *
     * @param entries newest first
     * @param sessions of the same setups
     */
    public static Habits of(List<Entry> entries, List<Session> sessions) {
        List<Entry> read =
                entries.stream().filter(entry -> entry.judged().isPresent()).toList();
        long takes = entries.stream().filter(Entry::isTake).count();
        return new Habits(
                read.size(),
                clean(read),
                (int) takes - read.size(),
                recurring(read),
                byRun(read).entrySet().stream()
                        .map(each -> new RunHabit(
                                each.getKey(),
                                each.getValue().size(),
                                clean(each.getValue()),
                                each.getValue().stream().filter(Habits::isClean).findFirst()))
                        .sorted(Comparator.comparing(RunHabit::read).reversed())
                        .toList(),
                remarks(sessions));
    }

    private static boolean isClean(Entry entry) {
        return entry.judged().filter(FirstVerdict::isClean).isPresent();
    }

    private static int clean(List<Entry> read) {
        return (int) read.stream().filter(Habits::isClean).count();
    }

    private static Map<String, List<Entry>> byRun(List<Entry> read) {
        return read.stream().collect(Collectors.groupingBy(Entry::about, LinkedHashMap::new, Collectors.toList()));
    }

    // --- faults ------------------------------------------------------------------------------------------------

    /** What spoils a take comes before what only weakens it; then what is more frequent. */
    private static List<Recurring> recurring(List<Entry> read) {
        Map<String, List<Entry>> byCode = new LinkedHashMap<>();
        for (Entry entry : read) {
            entry.judged().orElseThrow().faults().stream()
                    .map(FirstVerdict.Fault::code)
                    .distinct()
                    .forEach(code -> byCode.computeIfAbsent(code, any -> new ArrayList<>())
                            .add(entry));
        }
        return byCode.entrySet().stream()
                .map(each -> recurring(each.getKey(), each.getValue(), read))
                .sorted(Comparator.comparing(Recurring::severity)
                        .thenComparing(Recurring::times, Comparator.reverseOrder())
                        .thenComparing(Recurring::title))
                .toList();
    }

    private static Recurring recurring(String code, List<Entry> with, List<Entry> read) {
        Map.Entry<String, List<Entry>> mostly = byRun(with).entrySet().stream()
                .max(Comparator.comparing(each -> each.getValue().size()))
                .orElseThrow();
        boolean isMost = mostly.getValue().size() * TWICE > with.size();
        Entry last = mostly.getValue().get(0);
        int since = (int) read.stream()
                .filter(entry ->
                        entry.about().equals(last.about()) && entry.at().isAfter(last.at()))
                .count();
        List<FirstVerdict.Fault> faults = with.stream()
                .flatMap(entry -> entry.judged().orElseThrow().faults().stream())
                .filter(fault -> fault.code().equals(code))
                .toList();
        Severity worst = faults.stream()
                .map(FirstVerdict.Fault::severity)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        return new Recurring(
                code,
                worst,
                faults.get(0).title(),
                with.size(),
                read.size(),
                isMost ? last.about() : "",
                isMost ? since : 0);
    }

    // --- sessions ----------------------------------------------------------------------------------------------

    private static List<String> remarks(List<Session> sessions) {
        List<String> remarks = new ArrayList<>();
        List<Duration> times = sessions.stream()
                .filter(Session::isOver)
                .flatMap(session -> LogBook.took(session).stream())
                .sorted()
                .toList();
        if (!times.isEmpty()) {
            remarks.add("Going through it takes about "
                    + times.get(times.size() / 2).toMinutes() + " min (" + Print.counted(times.size(), "time") + ")");
        }
        remarks.addAll(repeated(sessions, "was skipped", tick -> tick.outcome() == Tick.Outcome.SKIPPED));
        for (Symptom symptom : Symptom.values()) {
            remarks.addAll(repeated(
                    sessions,
                    Print.withinSentence(symptom.word()),
                    tick -> tick.noticed().contains(symptom)));
        }
        return remarks;
    }

    /** Steps of which something was so more than once. */
    private static List<String> repeated(List<Session> sessions, String what, Predicate<Tick> isSo) {
        Map<String, Long> counts = new LinkedHashMap<>();
        sessions.forEach(session ->
                session.ticks().stream().filter(isSo).forEach(tick -> counts.merge(tick.title(), 1L, Long::sum)));
        return counts.entrySet().stream()
                .filter(each -> each.getValue() >= TWICE)
                .map(each -> "“" + each.getKey() + "”: " + what + " " + each.getValue() + " times")
                .toList();
    }
}
