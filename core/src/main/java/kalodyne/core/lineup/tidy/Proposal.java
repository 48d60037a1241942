package kalodyne.core.lineup.tidy;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;

/**
 * A copy that could be written.
 *
 * @param source the recording
 * @param target the copy
 * @param part which channels
 * @param clock where the copy's moments are in the recording: where it begins, and how much its tempo is corrected
 * @param seconds how long the copy is
 * @param sampleRateHz of the copy
 * @param sourceRateHz of the recording
 * @param format how it is kept
 * @param heard how loud it is before the gain
 * @param gain of all its channels
 * @param marks where songs begin, in frames of the copy
 * @param notes what there is to know about it, as sentences
 * @param problem why it cannot be written, as sentences; empty where it can
 */
public record Proposal(
        Path source,
        Path target,
        FilePart part,
        ClockLine clock,
        double seconds,
        int sampleRateHz,
        int sourceRateHz,
        CopyFormat format,
        CopyLevels heard,
        Gain gain,
        List<SoundTags.Mark> marks,
        List<String> notes,
        String problem) {
    public Proposal {
        marks = List.copyOf(marks);
        notes = List.copyOf(notes);
    }

    public boolean canBeWritten() {
        return problem.isEmpty();
    }

    /** Where in the recording it begins, in seconds. */
    public double fromSeconds() {
        return clock.offsetSeconds();
    }

    /** Where in the recording it ends, in seconds. */
    public double toSeconds() {
        return clock.inOther(seconds);
    }

    /** The largest sample of the copy. */
    public DigitalLevel peakAfter() {
        return heard.peak().plus(gain);
    }

    /** The loudness of the copy; empty where it is silent or too short. */
    public Optional<Double> lufsAfter() {
        return heard.lufs().isPresent() ? Optional.of(heard.lufs().getAsDouble() + gain.db()) : Optional.empty();
    }
}
