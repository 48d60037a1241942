package kalodyne.core.takes.causes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kalodyne.core.takes.TakeReport;

/**
 * The search for the cause of a complaint: what is known, what was tried, who is left. Chances follow from weights and answers by Bayes'
 * rule, with every observation taken by itself.
 *
 * @param complaint what is complained of
 * @param circumstances what is known of the rig
 * @param symptoms what shows in the take
 * @param tried tests that were made with what came of them, first to last
 */
public record Inquiry(Complaint complaint, Known circumstances, Known symptoms, List<Tried> tried) {
    /** From here on there is nothing to tell apart. */
    private static final double SETTLED = 0.9;

    /** In bits: what a test must tell at least. */
    private static final double WORTH_TRYING = 0.03;

    /** Getting up for it takes time, too. */
    private static final double MINUTES_TO_BEGIN = 0.5;

    public Inquiry {
        tried = List.copyOf(tried);
    }

    /**
     * A test that was made.
     *
     * @param test its id
     * @param answer which of its answers, from 0
     */
    public record Tried(String test, int answer) {}

    /**
     * Begins the search for what is behind the worst fault of a take.
     *
     * @param circumstances what is known of the rig
     * @param more what shows besides what the take by itself shows
     * @return empty where nothing is wrong with it that has causes to choose from
     */
    public static Optional<Inquiry> of(TakeReport take, Known circumstances, Known more) {
        return take.findings().stream()
                .map(finding -> CauseBook.shipped().complaintOf(finding.code()))
                .flatMap(Optional::stream)
                .findFirst()
                .map(complaint -> new Inquiry(
                        complaint, circumstances, Symptoms.of(take, complaint).with(more), List.of()));
    }

    /** The same after one more test; an answer that was given before is replaced. */
    public Inquiry answered(String test, int answer) {
        List<Tried> all = new ArrayList<>(tried);
        all.removeIf(each -> each.test().equals(test));
        all.add(new Tried(test, answer));
        return new Inquiry(complaint, circumstances, symptoms, all);
    }

    /** All that can be the cause, likeliest first; in the order of the book where nothing tells them apart. */
    public List<Suspect> suspects() {
        return normalised(complaint.causes().stream()
                .map(cause -> new Suspect(cause, weight(cause)))
                .toList());
    }

    private double weight(Cause cause) {
        double weight = cause.weight(circumstances, symptoms);
        for (Tried each : tried) {
            weight *= test(each.test())
                    .filter(test -> each.answer() < test.answers().size())
                    .map(test -> test.chance(each.answer(), cause))
                    .orElse(1.0);
        }
        return weight;
    }

    private static List<Suspect> normalised(List<Suspect> suspects) {
        double sum = suspects.stream().mapToDouble(Suspect::chance).sum();
        return suspects.stream()
                .filter(each -> each.chance() > 0)
                .map(each -> new Suspect(each.cause(), each.chance() / sum))
                .sorted(Comparator.comparingDouble(Suspect::chance).reversed())
                .toList();
    }

    private Optional<DiagnosticStep> test(String id) {
        return complaint.tests().stream().filter(each -> each.id().equals(id)).findFirst();
    }

    /** Whether one cause is as good as sure. */
    public boolean isSettled() {
        List<Suspect> suspects = suspects();
        return !suspects.isEmpty() && suspects.get(0).chance() >= SETTLED;
    }

    /**
     * The test that tells most for the time it takes.
     *
     * @return empty where one cause is as good as sure, or none tells anything any more
     */
    public Optional<DiagnosticStep> nextTest() {
        if (isSettled()) {
            return Optional.empty();
        }
        List<Suspect> suspects = suspects();
        return complaint.tests().stream()
                .filter(test -> tried.stream().noneMatch(each -> each.test().equals(test.id())))
                .filter(test -> test.needs().stream().noneMatch(circumstances::isNot))
                .filter(test -> tells(test, suspects) >= WORTH_TRYING)
                .max(Comparator.comparingDouble(test -> tells(test, suspects) / (test.minutes() + MINUTES_TO_BEGIN)));
    }

    /** How many bits of not knowing a test is expected to take away. */
    private static double tells(DiagnosticStep test, List<Suspect> suspects) {
        double left = 0;
        for (int i = 0; i < test.answers().size(); i++) {
            int answer = i;
            double chance = suspects.stream()
                    .mapToDouble(each -> each.chance() * test.chance(answer, each.cause()))
                    .sum();
            if (chance > 0) {
                left += chance
                        * bits(suspects.stream()
                                .mapToDouble(each -> each.chance() * test.chance(answer, each.cause()) / chance)
                                .toArray());
            }
        }
        return bits(suspects.stream().mapToDouble(Suspect::chance).toArray()) - left;
    }

    private static double bits(double... chances) {
        double sum = 0;
        for (double chance : chances) {
            sum -= chance > 0 ? chance * Math.log(chance) / Math.log(2) : 0;
        }
        return sum;
    }
}
