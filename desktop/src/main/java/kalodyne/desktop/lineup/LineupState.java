package kalodyne.desktop.lineup;

import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.lineup.Alignment;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.LineUp;

/**
 * What the Line-up room shows.
 *
 * @param reference what stays as it is
 * @param other what is to fit it
 * @param isSearching whether it is being looked for
 * @param guess where it seems to be, while it is being looked for
 * @param result what was found
 * @param clock where the moments of the reference are in the other one, as it stands now
 * @param isDriftCorrected whether the drift is corrected in what is seen and heard
 * @param problem why there is nothing to see, as a sentence
 */
public record LineupState(
        Optional<Path> reference,
        Optional<Path> other,
        boolean isSearching,
        Optional<ClockLine> guess,
        Optional<LineUp.Result> result,
        Optional<ClockLine> clock,
        boolean isDriftCorrected,
        String problem) {
    static final LineupState EMPTY = new LineupState(
            Optional.empty(), Optional.empty(), false, Optional.empty(), Optional.empty(), Optional.empty(), true, "");

    public Optional<Alignment> alignment() {
        return result.flatMap(LineUp.Result::alignment);
    }

    public boolean canSearch() {
        return reference.isPresent() && other.isPresent() && !isSearching;
    }

    /** Whether it was moved away from what was found. */
    public boolean isMoved() {
        return clock.isPresent() && !clock.equals(alignment().map(Alignment::clock));
    }

    LineupState of(Optional<Path> newReference, Optional<Path> newOther) {
        return new LineupState(
                newReference, newOther, false, Optional.empty(), Optional.empty(), Optional.empty(), true, "");
    }

    LineupState searching() {
        return new LineupState(reference, other, true, Optional.empty(), Optional.empty(), Optional.empty(), true, "");
    }

    LineupState guessed(ClockLine line) {
        return new LineupState(
                reference, other, isSearching, Optional.of(line), result, clock, isDriftCorrected, problem);
    }

    LineupState found(LineUp.Result newResult) {
        return new LineupState(
                reference,
                other,
                false,
                Optional.empty(),
                Optional.of(newResult),
                newResult.alignment().map(Alignment::clock),
                true,
                newResult.reason());
    }

    LineupState with(ClockLine line) {
        return new LineupState(
                reference, other, isSearching, guess, result, Optional.of(line), isDriftCorrected, problem);
    }

    LineupState corrected(boolean is) {
        return new LineupState(reference, other, isSearching, guess, result, clock, is, problem);
    }

    LineupState failed(String why) {
        return new LineupState(
                reference, other, false, Optional.empty(), Optional.empty(), Optional.empty(), true, why);
    }
}
