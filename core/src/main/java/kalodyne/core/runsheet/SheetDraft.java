package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import kalodyne.core.findings.Finding;

/** A sheet while its parts add to it. Parts may say how a step stands to one that another part adds, before or after. */
final class SheetDraft {
    private final Map<String, Step> steps = new LinkedHashMap<>();
    private final List<Between> between = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();

    /** A reason that holds between all steps of two kinds. */
    private record Between(Predicate<Step> before, Predicate<Step> after, String why, Order.Strength strength) {}

    /** Adds a step; one that is there already stays. */
    void add(Step step) {
        steps.putIfAbsent(step.id(), step);
    }

    void add(Finding finding) {
        findings.add(finding);
    }

    void order(String before, String after, Order.Strength strength, String why) {
        order(step -> step.id().equals(before), step -> step.id().equals(after), strength, why);
    }

    void order(String before, Predicate<Step> after, Order.Strength strength, String why) {
        order(step -> step.id().equals(before), after, strength, why);
    }

    void order(Predicate<Step> before, String after, Order.Strength strength, String why) {
        order(before, step -> step.id().equals(after), strength, why);
    }

    void order(Predicate<Step> before, Predicate<Step> after, Order.Strength strength, String why) {
        between.add(new Between(before, after, why, strength));
    }

    List<Step> steps() {
        return List.copyOf(steps.values());
    }

    Optional<Step> step(String id) {
        return Optional.ofNullable(steps.get(id));
    }

    List<Finding> findings() {
        return List.copyOf(findings);
    }

    /** Of two steps the strongest reason, and the first of those. */
    List<Order> orders() {
        Map<List<String>, Order> orders = new LinkedHashMap<>();
        for (Between each : between) {
            List<Step> later = steps.values().stream().filter(each.after).toList();
            steps.values().stream()
                    .filter(each.before)
                    .forEach(first -> later.stream()
                            .filter(second -> !second.id().equals(first.id()))
                            .map(second -> new Order(first.id(), second.id(), each.why, each.strength))
                            .forEach(order -> orders.merge(
                                    List.of(order.before(), order.after()),
                                    order,
                                    (old, now) -> Order.STRONGEST_FIRST.compare(now, old) < 0 ? now : old)));
        }
        return List.copyOf(orders.values());
    }
}
