package kalodyne.command;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.route.Obvious;
import kalodyne.core.route.PlaceChange;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Software;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayFact;
import kalodyne.core.route.WayWords;
import kalodyne.core.route.Wish;

/** Prints a plan for people. */
final class PlanText {
    private static final int MOST_DROPPED = 3;

    private final Output output;

    PlanText(Output output) {
        this.output = output;
    }

    void print(Wish wish, Plan plan) {
        plan.impossible().ifPresent(output::line);
        int number = 0;
        for (Way way : plan.ways()) {
            output.line(++number + " " + way.title());
            print(wish, way, plan.ways());
            if (number == 1) {
                Software.of(wish, way).forEach(line -> output.line("  on the recorder: " + line));
            }
        }
        if (!plan.dropped().isEmpty()) {
            output.line(plan.dropped().size() + " would not work or do harm, among them:");
            plan.dropped().stream()
                    .limit(MOST_DROPPED)
                    .forEach(each -> output.line("  " + each.words() + ". " + each.reason()));
        }
    }

    private void print(Wish wish, Way way, List<Way> all) {
        way.strands()
                .forEach(strand -> output.line("  " + WayWords.path(way, strand) + ": " + WayWords.recorded(strand)));
        if (!way.turns().isEmpty()) {
            output.line("  set: "
                    + way.turns().stream()
                            .map(Turn::advised)
                            .map(knob -> knob.control().name() + " on " + knob.owner() + " to "
                                    + knob.control().reading())
                            .collect(Collectors.joining(", ")));
        }
        output.line("  heard: " + WayWords.heard(way.monitoring()));
        way.sideTasks()
                .forEach(sideTask -> output.line("  " + sideTask.of().word().toLowerCase(Locale.ROOT)
                        + (sideTask.isDone() ? ": " : ", not as wished: ") + sideTask.words()));
        output.line("  " + WayWords.toGet(way));
        way.findings().forEach(output::finding);
        output.line("  in short: " + WayFact.all(way));
        output.line("  why: " + WayWords.place(way, all));
        PlaceChange.of(way, all, wish).forEach(line -> output.line("  what would change it: " + line));
    }

    void print(List<Obvious> obvious) {
        for (Obvious each : obvious) {
            output.line(each.words() + (each.missing().isEmpty() ? "" : " (to get)"));
            each.joints().stream().flatMap(joint -> joint.findings().stream()).forEach(output::finding);
            if (each.isFine()) {
                output.line("  Nothing is wrong with it.");
            }
        }
    }
}
