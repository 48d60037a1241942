package kalodyne.core.takes.causes;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Something to try that tells causes apart.
 *
 * @param id stable, for other programs: "charger-out"
 * @param instruction what to do, ending in a question
 * @param minutes how long it takes, about
 * @param needs circumstances without which it cannot be done
 * @param answers what may come of it
 * @param then how likely each answer is, in the order of the answers, where a cause is it
 */
public record DiagnosticStep(
        String id,
        String instruction,
        double minutes,
        Set<String> needs,
        List<String> answers,
        Map<String, List<Double>> then) {
    public DiagnosticStep {
        needs = Set.copyOf(needs);
        answers = List.copyOf(answers);
        then = Map.copyOf(then);
    }

    double chance(int answer, Cause cause) {
        return then.get(cause.id()).get(answer);
    }
}
