package kalodyne.core.runsheet;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Coded;
import kalodyne.core.gear.Names;

/**
 * What was done with a step of a sheet. It keeps the step's words, so that the log can be read when the rig is another one.
 *
 * @param step id of the step
 * @param title what was to be done
 * @param outcome how it went
 * @param at when, by the clock of the computer, which may have been wrong
 * @param note what its owner wants to remember of it; may be empty
 * @param photos files; relative to the studio file unless absolute
 */
@RecordBuilder
public record Tick(String step, String title, Outcome outcome, Instant at, String note, List<String> photos)
        implements TickBuilder.With {
    private static final String NOTICED = "Noticed: ";

    public Tick {
        note = Names.checkedNote(note);
        photos = List.copyOf(photos);
    }

    /** How a step went. */
    public enum Outcome implements Coded {
        DONE("done"),
        SKIPPED("skipped"),
        /** Not done yet: something else was noticed, or only a note was made. */
        OPEN("open");

        private final String word;

        Outcome(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    public boolean isOver() {
        return outcome != Outcome.OPEN;
    }

    public Tick with(Outcome newOutcome, Instant newAt) {
        return with().outcome(newOutcome).at(newAt).build();
    }

    /** With something noted that was noticed instead of what should be; once, however often it was. */
    public Tick noticing(Symptom symptom) {
        return noticed().contains(symptom) ? this : withNote((note + "\n" + NOTICED + symptom.word()).strip());
    }

    /** What was noticed, as far as its owner left it in the note. */
    public List<Symptom> noticed() {
        return Stream.of(Symptom.values())
                .filter(symptom -> note.lines().anyMatch((NOTICED + symptom.word())::equals))
                .toList();
    }

    /** What its owner wrote, without what was noticed. */
    public String ownNote() {
        return note.lines()
                .filter(line -> !line.startsWith(NOTICED))
                .collect(Collectors.joining(" "))
                .strip();
    }
}
