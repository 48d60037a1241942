package kalodyne.core.studio.practised;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * What is asked next: Leitner's boxes (S. Leitner, "So lernt man lernen", 1972). What was answered rightly goes one box on and comes again
 * later and less plain; what was missed goes back to the first box, and comes again at once.
 */
public final class Repetition {
    /** From this box on one is sure of it. */
    private static final int SURE = 4;

    /** How long something rests in each box, the first counted as 1. */
    private static final List<Duration> RESTS =
            List.of(Duration.ZERO, Duration.ofDays(1), Duration.ofDays(3), Duration.ofDays(7), Duration.ofDays(16));

    /** What was asked this lately is not asked again at once. */
    private static final int BETWEEN = 2;

    private final List<Answer> answers;
    private final Map<String, Integer> boxes = new HashMap<>();
    private final Map<String, Instant> last = new HashMap<>();

    /** Follows answers, the oldest first. */
    public Repetition(List<Answer> answers) {
        this.answers = List.copyOf(answers);
        answers.forEach(answer -> {
            int box = boxes.getOrDefault(answer.topic(), 1);
            boxes.put(answer.topic(), answer.isRight() ? Math.min(RESTS.size(), box + 1) : 1);
            last.put(answer.topic(), answer.at());
        });
    }

    /** The box of something, from 1; empty where it was never asked. */
    public Optional<Integer> box(String topic) {
        return Optional.ofNullable(boxes.get(topic));
    }

    /** Whether one is sure of it. */
    public boolean isSure(String topic) {
        return strength(topic) >= SURE;
    }

    /** How plain it is asked next: as the number of its box. */
    public int strength(String topic) {
        return boxes.getOrDefault(topic, 1);
    }

    /** When it is to be asked again. */
    public Optional<Instant> due(String topic) {
        return box(topic).map(box -> last.get(topic).plus(RESTS.get(box - 1)));
    }

    /**
     * What to ask now: of what is due the least sure, then what was never asked, then what is due soonest; of equals any.
     *
     * @param topics what can be asked
     */
    public String next(List<String> topics, Instant now, Random random) {
        List<String> latest = answers.subList(Math.max(0, answers.size() - BETWEEN), answers.size()).stream()
                .map(Answer::topic)
                .toList();
        List<String> rested =
                topics.stream().filter(topic -> !latest.contains(topic)).toList();
        Map<String, Double> drawn = new HashMap<>();
        topics.forEach(topic -> drawn.put(topic, random.nextDouble()));
        return (rested.isEmpty() ? topics : rested)
                .stream()
                        .min(Comparator.<String>comparingInt(topic -> turn(topic, now))
                                .thenComparing(topic ->
                                        due(topic).filter(at -> at.isAfter(now)).orElse(Instant.MIN))
                                .thenComparingDouble(drawn::get))
                        .orElseThrow();
    }

    private int turn(String topic, Instant now) {
        Optional<Instant> due = due(topic);
        boolean isDue = due.filter(at -> !at.isAfter(now)).isPresent();
        return isDue ? strength(topic) : due.isEmpty() ? RESTS.size() + 1 : RESTS.size() + 2;
    }
}
