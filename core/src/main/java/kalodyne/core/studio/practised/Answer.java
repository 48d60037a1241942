package kalodyne.core.studio.practised;

import java.time.Instant;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Words;

/**
 * An exercise that was answered.
 *
 * @param at when; no two at the same moment
 * @param topic what it was about: "fault.hiss"
 * @param number makes the same exercise again
 * @param strength how plain it was, from 1, which anybody hears or sees, up
 * @param isRight whether the answer was
 */
public record Answer(Instant at, String topic, int number, int strength, boolean isRight) {
    private static final int LONGEST_TOPIC = 60;
    private static final int SUBTLEST = 5;

    public static final ObjectForm<Answer> FORM = ObjectForm.of(f -> new Answer(
            f.value("at", Words.MOMENT, Answer::at),
            f.text("topic", Answer::topic),
            f.value("number", JsonForm.WHOLE, Answer::number),
            f.value("strength", JsonForm.WHOLE, Answer::strength),
            f.value("right", JsonForm.FLAG, Answer::isRight)));

    public Answer {
        if (topic.isBlank() || topic.length() > LONGEST_TOPIC) {
            throw new IllegalArgumentException("a topic has 1 to " + LONGEST_TOPIC + " characters");
        }
        if (strength < 1 || strength > SUBTLEST) {
            throw new IllegalArgumentException("a strength lies between 1 and " + SUBTLEST + ", not at " + strength);
        }
    }
}
