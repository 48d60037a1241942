package kalodyne.core.files.json;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/**
 * Turns JSON of a known form into values. Goes on after a problem, so that all of them are told at once; what depends on a
 * value that could not be read is null meanwhile and never leaves the mapping.
 */
public abstract class Mapping {
    private final List<Problem> problems;

    protected Mapping() {
        this.problems = new ArrayList<>();
    }

    /** A mapping of parts of a larger one, which tells its problems with it. */
    protected Mapping(Mapping larger) {
        this.problems = larger.problems;
    }

    public final List<Problem> problems() {
        return List.copyOf(problems);
    }

    /** The problems so far, and a clean slate: for mappings that go on after each of many items. */
    public final List<Problem> takeProblems() {
        List<Problem> taken = problems();
        problems.clear();
        return taken;
    }

    protected final void problem(JsonPlace place, String what, String remedy) {
        problems.add(new Problem(place.words(), what, remedy));
    }

    protected final <T> T quantity(JsonPlace parent, String field, Quantity<T> quantity) {
        return read(parent.get(field), quantity);
    }

    protected final <T> T read(JsonPlace place, Quantity<T> quantity) {
        return build(place, () -> quantity.read(place.node().asText()));
    }

    /** Builds a value from parts; null, with the reason noted, where the parts do not make one or one is missing. */
    protected final <T> T build(JsonPlace place, Supplier<T> make, Object... parts) {
        for (Object part : parts) {
            if (part == null) {
                return null;
            }
        }
        try {
            return make.get();
        } catch (UnreadableQuantity e) {
            problems.add(new Problem(place.words(), e.problem(), e.remedy()));
        } catch (IllegalArgumentException e) {
            problems.add(new Problem(place.words(), sentence(e.getMessage()), "Correct it."));
        }
        return null;
    }

    private static String sentence(String message) {
        return Print.startingSentence(message) + ".";
    }
}
