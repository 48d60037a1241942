package kalodyne.core.runsheet;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.findings.Severity;

/**
 * A sheet for somebody who did all of it before: what differs from that time, and every step of safety. What is still as it was left
 * is not told again; what has to be done anew but just as before is one task.
 */
final class ShortForm {
    /** What stays as it was left. */
    private static final Set<Act> STAYING =
            EnumSet.of(Act.LAY_READY, Act.CHOOSE, Act.CHECK, Act.NAME, Act.TRIM, Act.LINE_UP, Act.MIX);

    private static final String PLUG_AS_BEFORE = "Plug as last time";
    private static final String SET_AS_BEFORE = "Set as last time";

    /** How each step was last told when it was done, by its id. */
    private final Map<String, String> known = new HashMap<>();

    private ShortForm(List<Session> before) {
        before.stream()
                .flatMap(session -> session.ticks().stream())
                .filter(tick -> tick.outcome() == Tick.Outcome.DONE)
                .forEach(tick -> known.put(tick.step(), tick.title()));
    }

    /** The short form of a sheet after the times that it was gone through, the last one last. */
    static RunSheet of(RunSheet sheet, List<Session> before) {
        ShortForm form = new ShortForm(before);
        List<Step> kept = sheet.steps().stream()
                .filter(step -> !form.isKnown(step) || !STAYING.contains(step.act()) || isOfSafety(step))
                .map(step -> form.isKnown(step) ? again(step) : step)
                .toList();
        Set<String> ids = kept.stream().map(Step::id).collect(Collectors.toSet());
        return new RunSheet(
                sheet.title(),
                kept,
                sheet.orders().stream()
                        .filter(order -> ids.contains(order.before()) && ids.contains(order.after()))
                        .toList(),
                sheet.findings(),
                sheet.lasting());
    }

    /** Done before, and told in the same words: nothing about it is new. */
    private boolean isKnown(Step step) {
        return step.title().equals(known.get(step.id()));
    }

    private static boolean isOfSafety(Step step) {
        return step.caution()
                .filter(caution -> caution.severity() == Severity.HARM)
                .isPresent();
    }

    private static Step again(Step step) {
        return switch (step.act()) {
            case PLUG -> step.section() == Section.PLUG ? step.in(PLUG_AS_BEFORE) : step;
            case SET_LEVEL, LISTEN -> step.section() == Section.LEVELS ? step.in(SET_AS_BEFORE) : step;
            default -> step;
        };
    }
}
