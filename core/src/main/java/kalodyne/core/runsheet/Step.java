package kalodyne.core.runsheet;

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
 */
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
        Optional<String> run) {
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
                Optional.empty());
    }

    Step with(String newDetail) {
        return new Step(id, section, act, title, newDetail, reason, tell, caution, pause, symptoms, gear, run);
    }

    Step telling(String newTell) {
        return new Step(id, section, act, title, detail, reason, newTell, caution, pause, symptoms, gear, run);
    }

    Step with(Caution newCaution) {
        return new Step(
                id, section, act, title, detail, reason, tell, Optional.of(newCaution), pause, symptoms, gear, run);
    }

    Step waiting(Duration newPause) {
        return new Step(
                id, section, act, title, detail, reason, tell, caution, Optional.of(newPause), symptoms, gear, run);
    }

    Step noticing(Symptom... newSymptoms) {
        return new Step(id, section, act, title, detail, reason, tell, caution, pause, List.of(newSymptoms), gear, run);
    }

    Step about(List<String> newGear) {
        return new Step(id, section, act, title, detail, reason, tell, caution, pause, symptoms, newGear, run);
    }

    Step about(String newGear) {
        return about(List.of(newGear));
    }

    Step ofRun(String key) {
        return new Step(
                id, section, act, title, detail, reason, tell, caution, pause, symptoms, gear, Optional.of(key));
    }
}
