package kalodyne.core.runsheet;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * One thing to do.
 *
 * @param id stays the same while the rig stays the same, wherever its knobs stand: "on:interface"
 * @param section under which it stands
 * @param act what kind of thing
 * @param title what to do, in one sentence
 * @param detail how, or what to mind; may be empty
 * @param reason why it is there
 * @param tell what to expect or to know at a glance: "meter −9 dBFS"; may be empty
 * @param caution what can be harmed
 * @param pause how long to wait before it counts as done
 * @param symptoms what may be noticed instead of what should be
 * @param gear marks of the devices and leads that it is about
 * @param run key of the run that it is about, if it is about one
 * @param task what it is a part of, together with those beside it that say the same; empty where it stands alone
 */
@RecordBuilder
public record Step(
        String id,
        Section section,
        Act act,
        String title,
        String detail,
        String reason,
        String tell,
        Optional<Caution> caution,
        Optional<Duration> pause,
        List<Symptom> symptoms,
        List<String> gear,
        Optional<String> run,
        String task)
        implements StepBuilder.With {
    public Step {
        symptoms = List.copyOf(symptoms);
        gear = List.copyOf(gear);
    }

    /** A step with what every step has. */
    static Step of(String id, Section section, Act act, String title, String reason) {
        return new Step(
                id,
                section,
                act,
                title,
                "",
                reason,
                "",
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                "");
    }

    Step with(String newDetail) {
        return withDetail(newDetail);
    }

    Step telling(String newTell) {
        return withTell(newTell);
    }

    Step with(Caution newCaution) {
        return withCaution(Optional.of(newCaution));
    }

    Step waiting(Duration newPause) {
        return withPause(Optional.of(newPause));
    }

    Step noticing(Symptom... newSymptoms) {
        return withSymptoms(List.of(newSymptoms));
    }

    Step about(List<String> newGear) {
        return withGear(newGear);
    }

    Step about(String newGear) {
        return withGear(List.of(newGear));
    }

    Step ofRun(String key) {
        return withRun(Optional.of(key));
    }

    /** As a part of something that is done in one go. */
    Step in(String newTask) {
        return withTask(newTask);
    }
}
