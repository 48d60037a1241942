package kalodyne.core.studio.practised;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RepetitionTest {
    private static final Instant START = Instant.parse("2026-03-01T10:00:00Z");

    private static List<Answer> answered(String topic, String rightOrWrong) {
        List<Answer> answers = new ArrayList<>();
        for (int i = 0; i < rightOrWrong.length(); i++) {
            answers.add(new Answer(START.plus(Duration.ofMinutes(i)), topic, i, 1, rightOrWrong.charAt(i) == 'r'));
        }
        return answers;
    }

    /** Leitner's rule by hand: a right answer one box on, a wrong one back to the first, no further than the fifth. */
    @ParameterizedTest
    @CsvSource({
        "r, 2, 1",
        "rr, 3, 3",
        "rrr, 4, 7",
        "rrrr, 5, 16",
        "rrrrrrr, 5, 16",
        "rrrw, 1, 0",
        "w, 1, 0",
        "wwr, 2, 1",
        "rrwrr, 3, 3",
    })
    void goes_through_the_boxes(String answers, int box, int days) {
        Repetition repetition = new Repetition(answered("hum", answers));
        assertThat(repetition.box("hum")).contains(box);
        assertThat(repetition.strength("hum")).isEqualTo(box);
        Instant last = START.plus(Duration.ofMinutes(answers.length() - 1));
        assertThat(repetition.due("hum")).contains(last.plus(Duration.ofDays(days)));
        assertThat(repetition.box("hiss")).isEmpty();
        assertThat(repetition.strength("hiss")).isEqualTo(1);
    }

    /** What was missed comes before what is new, what is new before what rests; what was asked just now waits for two others. */
    @Test
    void asks_what_needs_it_most() {
        List<String> topics = List.of("hum", "hiss", "click", "gate");
        List<Answer> answers = new ArrayList<>();
        answers.add(new Answer(START, "hum", 1, 1, false));
        answers.add(new Answer(START.plusSeconds(10), "hiss", 2, 1, true));
        answers.add(new Answer(START.plusSeconds(20), "click", 3, 1, true));
        assertThat(new Repetition(answers).next(topics, START.plusSeconds(30), new Random(1)))
                .isEqualTo("hum");
        answers.add(new Answer(START.plusSeconds(40), "hum", 4, 1, true));
        assertThat(new Repetition(answers).next(topics, START.plusSeconds(50), new Random(1)))
                .as("never asked")
                .isEqualTo("gate");
        answers.add(new Answer(START.plusSeconds(60), "gate", 5, 1, true));
        assertThat(new Repetition(answers).next(topics, START.plusSeconds(70), new Random(1)))
                .as("all rest: what is due soonest, and was not asked just now")
                .isEqualTo("hiss");
        assertThat(new Repetition(answers).next(List.of("gate"), START.plusSeconds(80), new Random(1)))
                .isEqualTo("gate");
        assertThat(new Repetition(List.of()).next(topics, START, new Random(3))).isIn(topics);
    }
}
