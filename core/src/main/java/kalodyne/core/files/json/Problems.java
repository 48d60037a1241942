package kalodyne.core.files.json;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;

/** What is wrong with a file. Whoever reads goes on after a problem, so that all of them are told at once. */
public final class Problems {
    private final List<Problem> all = new ArrayList<>();

    public List<Problem> all() {
        return List.copyOf(all);
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }

    public void add(JsonPlace place, String what, String remedy) {
        all.add(new Problem(place.words(), what, remedy));
    }

    /** Makes a value of what stands at a place; empty, with the reason noted, where that does not make one. */
    public <T> Optional<T> make(JsonPlace place, Supplier<T> make) {
        try {
            return Optional.of(make.get());
        } catch (UnreadableQuantity | IllegalArgumentException e) {
            add(place, e);
            return Optional.empty();
        }
    }

    void add(JsonPlace place, RuntimeException why) {
        if (why instanceof UnreadableQuantity unreadable) {
            add(place, unreadable.problem(), unreadable.remedy());
        } else {
            add(place, Print.startingSentence(why.getMessage()) + ".", "Correct it.");
        }
    }
}
