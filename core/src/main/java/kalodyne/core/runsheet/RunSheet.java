package kalodyne.core.runsheet;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.sums.Spans;
import kalodyne.core.units.Print;

/**
 * The ordered steps for a setup.
 *
 * @param title the setup
 * @param steps in the order in which they are done
 * @param orders why they stand so
 * @param findings what cannot work or will not last, worst first
 * @param lasting how long cards, batteries and ports last
 */
public record RunSheet(
        String title, List<Step> steps, List<Order> orders, List<Finding> findings, List<Lasting> lasting) {
    /** Of one reason so many steps are named. */
    private static final int MOST_TOLD = 3;

    public RunSheet {
        steps = List.copyOf(steps);
        orders = List.copyOf(orders);
        findings = List.copyOf(findings);
        lasting = List.copyOf(lasting);
    }

    /**
     * How long something lasts.
     *
     * @param what "Card of Recorder"
     * @param words "3 h 52 min at 48 kHz, 24 bits, 3 channels"
     * @param isEnough whether it is enough for what is planned; true where nobody knows
     */
    public record Lasting(String what, String words, boolean isEnough) {}

    /** The steps as they are done: those that belong together are one task. */
    public List<Task> tasks() {
        return Task.of(steps);
    }

    /** What differs from the times that it was gone through, the last one last, and every step of safety; all of it where there were none. */
    public RunSheet shortAfter(List<Session> before) {
        return before.isEmpty() ? this : ShortForm.of(this, before);
    }

    /** The task that a step is a part of. */
    public Optional<Task> taskOf(Step step) {
        return tasks().stream().filter(task -> task.parts().contains(step)).findFirst();
    }

    public Optional<Step> step(String id) {
        return steps.stream().filter(step -> step.id().equals(id)).findFirst();
    }

    /** Why a step does not come earlier. */
    public List<Order> before(Step step) {
        return orders.stream().filter(order -> order.after().equals(step.id())).toList();
    }

    /** What rests on a step. */
    public List<Order> after(Step step) {
        return orders.stream().filter(order -> order.before().equals(step.id())).toList();
    }

    /** Why a step stands where it does: "Not before “Speakers off”: ...". The binding reasons first. */
    public List<String> whyNotEarlier(Step step) {
        Map<String, List<String>> byReason = new LinkedHashMap<>();
        before(step).stream()
                .sorted(Order.STRONGEST_FIRST)
                .forEach(order -> byReason.computeIfAbsent(order.why(), why -> new ArrayList<>())
                        .add("“" + step(order.before()).map(Step::title).orElseThrow() + "”"));
        return byReason.entrySet().stream()
                .map(entry -> "Not before " + told(entry.getValue()) + ": " + entry.getKey())
                .toList();
    }

    private static String told(List<String> titles) {
        int more = titles.size() - MOST_TOLD;
        return String.join(", ", titles.subList(0, Math.min(MOST_TOLD, titles.size())))
                + (more > 0 ? " and " + more + " more" : "");
    }

    /** "54 steps, about 20 min until the first take"; where nothing is recorded "14 steps, about 7 min"; in whole minutes, one at least. */
    public String summary() {
        long minutes = Math.max(1, Math.round(untilTake().toSeconds() / 60.0));
        return Print.counted(tasks().size(), "step") + ", about " + Spans.words(Duration.ofMinutes(minutes))
                + (steps.stream().anyMatch(step -> step.act() == Act.TAKE) ? " until the first take" : "");
    }

    /** How long it takes until the first take can be made; a rough sum of common practice. */
    public Duration untilTake() {
        return Duration.ofSeconds(steps.stream()
                .mapToLong(step -> step.act().seconds()
                        + (step.section().compareTo(Section.TAKE) < 0
                                ? step.pause().map(Duration::toSeconds).orElse(0L)
                                : 0))
                .sum());
    }
}
