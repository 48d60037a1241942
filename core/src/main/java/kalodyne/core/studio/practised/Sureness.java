package kalodyne.core.studio.practised;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/**
 * How sure one was at the end of a day on which something was practised.
 *
 * @param sure topics in the last boxes
 * @param learning topics that were asked and are not there
 */
public record Sureness(LocalDate day, int sure, int learning) {
    /** Day by day, the first one first. */
    public static List<Sureness> of(List<Answer> answers, ZoneId zone) {
        List<Sureness> days = new ArrayList<>();
        for (int i = 0; i < answers.size(); i++) {
            LocalDate day = answers.get(i).at().atZone(zone).toLocalDate();
            boolean isLast = i == answers.size() - 1
                    || !answers.get(i + 1).at().atZone(zone).toLocalDate().equals(day);
            if (isLast) {
                days.add(at(day, answers.subList(0, i + 1)));
            }
        }
        return days;
    }

    private static Sureness at(LocalDate day, List<Answer> soFar) {
        Repetition repetition = new Repetition(soFar);
        List<String> topics = soFar.stream().map(Answer::topic).distinct().toList();
        int sure = (int) topics.stream().filter(repetition::isSure).count();
        return new Sureness(day, sure, topics.size() - sure);
    }
}
