package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.Event;
import kalodyne.core.units.Print;

/**
 * The places where something of one kind happened.
 *
 * @param events in the order of time
 */
record Occasions(List<Event> events) {
    private static final int FEWEST_OF_A_RHYTHM = 4;
    private static final double SAME_TIME = 0.03;

    static Occasions of(List<Event> events) {
        return new Occasions(List.copyOf(events));
    }

    /** None, where they come in equal time: what has a rhythm is meant. */
    Occasions unlessRegular() {
        if (events.size() < FEWEST_OF_A_RHYTHM) {
            return this;
        }
        double mean = (double) (last().fromFrame() - first().fromFrame()) / (events.size() - 1);
        for (int i = 1; i < events.size(); i++) {
            double gap = (double) events.get(i).fromFrame() - events.get(i - 1).fromFrame();
            if (Math.abs(gap - mean) > SAME_TIME * mean) {
                return this;
            }
        }
        return new Occasions(List.of());
    }

    boolean isEmpty() {
        return events.isEmpty();
    }

    int count() {
        return events.size();
    }

    private Event first() {
        return events.get(0);
    }

    private Event last() {
        return events.get(events.size() - 1);
    }

    double strongest() {
        return events.stream().mapToDouble(Event::strength).max().orElse(0);
    }

    long longestFrames() {
        return events.stream().mapToLong(Event::frames).max().orElse(0);
    }

    /** "One place", "7 places". */
    String counted(String what) {
        return count() == 1 ? "One " + what : Print.count(count()) + " " + what + "s";
    }

    String where(TakeReport take) {
        return (count() == 1 ? "at " : "first at ") + Print.moment(take.seconds(first().fromFrame()));
    }

    Finding finding(
            TakeReport take,
            int channel,
            FindingCode code,
            Severity severity,
            String title,
            String text,
            String remedy) {
        return new Finding(
                code,
                severity,
                new Place.Stretch(
                        OptionalInt.of(channel), take.seconds(first().fromFrame()), take.seconds(last().toFrame())),
                new Figure(count(), "places"),
                title,
                text,
                Optional.of(Remedy.byHand(remedy)),
                count() == 1 ? 0.8 : 0.95);
    }
}
