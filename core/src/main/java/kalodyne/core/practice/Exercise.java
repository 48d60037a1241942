package kalodyne.core.practice;

import java.util.List;
import java.util.Optional;
import kalodyne.core.takes.TakeReport;

/**
 * Something to hear or to see, with answers of which one is right.
 *
 * @param topic under which practising it is kept
 * @param number makes the same again
 * @param strength from 1, which anybody hears or sees, up
 * @param ask what is asked
 * @param choices the answers
 * @param right index of the right one
 * @param why the evidence, in words
 * @param toDo what one would turn or change; empty where there is nothing to be done
 * @param sound what is heard, where anything is
 * @param report what the take reader measured in that, where it is a take
 */
public record Exercise(
        String topic,
        long number,
        int strength,
        String ask,
        List<String> choices,
        int right,
        String why,
        String toDo,
        Optional<Clip> sound,
        Optional<TakeReport> report) {
    public Exercise {
        choices = List.copyOf(choices);
        if (right < 0 || right >= choices.size()) {
            throw new IllegalArgumentException("one of the answers must be right");
        }
    }
}
