package kalodyne.core.gear;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Where a value is from.
 *
 * @param origin how it was come by
 * @param ground what a typical value rests on; present for typical values and no others
 * @param source in words: the standard's name, the reason, the page of the manual, how it was measured; may be empty
 * @param date when it was read or measured, where that is known
 */
public record Provenance(Origin origin, Optional<Ground> ground, String source, Optional<LocalDate> date) {
    private static final Pattern FORM = Pattern.compile(
            "(typical|datasheet|measured)(?: \\((standard|common practice|estimate)\\))?(?: (\\d{4}-\\d{2}-\\d{2}))?(?:: (.*))?",
            Pattern.DOTALL);

    /** The source of values that older versions kept with a run, before gear was: they are gains and levels as such, no data sheet's. */
    public static final String DESCRIBED = "as it was described in a run without gear";

    /** How a value was come by. */
    public enum Origin implements Coded {
        TYPICAL("typical"),
        DATASHEET("datasheet"),
        MEASURED("measured");

        private final String word;

        Origin(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    /** What a typical value rests on. */
    public enum Ground implements Coded {
        STANDARD("standard"),
        COMMON_PRACTICE("common practice"),
        ESTIMATE("estimate");

        private final String word;

        Ground(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    public Provenance {
        source = Names.checkedNote(source);
        if (ground.isPresent() != (origin == Origin.TYPICAL)) {
            throw new IllegalArgumentException(
                    "a typical value, and no other, says whether it is after a standard, common practice or an estimate");
        }
    }

    public static Provenance typical(Ground ground, String source) {
        return new Provenance(Origin.TYPICAL, Optional.of(ground), source, Optional.empty());
    }

    public static Provenance datasheet(LocalDate date) {
        return new Provenance(Origin.DATASHEET, Optional.empty(), "", Optional.of(date));
    }

    public static Provenance measured(LocalDate date) {
        return new Provenance(Origin.MEASURED, Optional.empty(), "", Optional.of(date));
    }

    /** In one line that {@link #read} understands: "typical (common practice): line inputs bridge". */
    public String write() {
        return origin.word()
                + ground.map(each -> " (" + each.word() + ")").orElse("")
                + date.map(each -> " " + each).orElse("")
                + (source.isEmpty() ? "" : ": " + source);
    }

    /**
     * Reads what {@link #write} wrote.
     *
     * @throws UnreadableQuantity where it is something else
     */
    public static Provenance read(String text) {
        Matcher matcher = FORM.matcher(text.strip());
        if (!matcher.matches()) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(text) + "” does not tell where a value is from.",
                    "Write for example: datasheet 2026-03-01: page 4.");
        }
        Origin origin = Coded.read(Origin.class, matcher.group(1));
        Optional<Ground> ground = Optional.ofNullable(matcher.group(2)).map(word -> Coded.read(Ground.class, word));
        Optional<LocalDate> date = Optional.ofNullable(matcher.group(3)).map(Provenance::date);
        // Somebody who writes "typical" and no more has said that it is a guess.
        Optional<Ground> said = origin == Origin.TYPICAL ? ground.or(() -> Optional.of(Ground.ESTIMATE)) : ground;
        return new Provenance(
                origin, said, Optional.ofNullable(matcher.group(4)).orElse(""), date);
    }

    /**
     * A day written as 2026-03-01.
     *
     * @throws UnreadableQuantity where it is none
     */
    public static LocalDate date(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeException e) {
            throw new UnreadableQuantity("“" + Names.shown(text) + "” is not a day.", "Write it as 2026-03-01.");
        }
    }
}
