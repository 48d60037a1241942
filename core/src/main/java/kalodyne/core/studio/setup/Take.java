package kalodyne.core.studio.setup;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import kalodyne.core.gear.Names;
import kalodyne.core.joint.Spot;
import kalodyne.core.takes.causes.Inquiry;

/**
 * A recording that belongs to a run.
 *
 * @param name "Take 2"
 * @param run that it was made with, by its two ends: "bass-synth.out>interface.adc-3"
 * @param file where it lies; relative to the setup file unless absolute
 * @param at when it was added
 * @param positions where each control stood when it was made
 * @param note whatever its owner wants to remember; may be empty
 * @param tried what was tried to find the cause of what is wrong with it, first to last
 * @param judged what was said of it when it was read first; empty while nobody has read it
 */
@RecordBuilder
public record Take(
        String name,
        String run,
        String file,
        Instant at,
        Map<Spot, Double> positions,
        String note,
        List<Inquiry.Tried> tried,
        Optional<FirstVerdict> judged)
        implements TakeBuilder.With {
    public Take {
        positions = Map.copyOf(positions);
        note = Names.checkedNote(note);
        tried = List.copyOf(tried);
    }

    /** A take of which nothing was noted or tried. */
    public Take(String name, String run, String file, Instant at, Map<Spot, Double> positions) {
        this(name, run, file, at, positions, "", List.of(), Optional.empty());
    }

    /** Whether its run is told by two ends, as it has to be. */
    boolean isOfPlugged() {
        return run.contains(">");
    }

    /** The same with the marks of gear changed. */
    Take renamed(UnaryOperator<Spot> anew) {
        String renamed = Arrays.stream(run.split(">", -1))
                .map(text -> Spot.known(text).map(anew).map(Spot::write).orElse(text))
                .collect(Collectors.joining(">"));
        Map<Spot, Double> moved = new HashMap<>();
        positions.forEach((control, position) -> moved.put(anew.apply(control), position));
        return with().run(renamed).positions(moved).build();
    }

    public Take with(FirstVerdict newJudged) {
        return withJudged(Optional.of(newJudged));
    }

    /** With one more answer; one that was given to the same test before is replaced. */
    public Take answered(Inquiry.Tried one) {
        List<Inquiry.Tried> all = new ArrayList<>(tried);
        all.removeIf(each -> each.test().equals(one.test()));
        all.add(one);
        return withTried(all);
    }
}
