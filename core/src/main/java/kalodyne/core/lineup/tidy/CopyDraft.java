package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.ClockedStream;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;

/**
 * A copy of which everything but its level is known.
 *
 * @param header of the recording
 * @param song its name among the stretches of the recording; empty where it is the only one
 */
record CopyDraft(
        Path source,
        SoundHeader header,
        FilePart part,
        String song,
        ClockLine clock,
        double seconds,
        int sampleRateHz,
        List<SoundTags.Mark> marks,
        List<String> notes) {
    CopyDraft {
        marks = List.copyOf(marks);
        notes = List.copyOf(notes);
    }

    /** The samples of a copy. */
    static SoundStream open(
            Path source, ClockLine clock, double seconds, int sampleRateHz, FilePart part, double gainRatio)
            throws IOException {
        SoundStream stream = SoundFiles.open(source);
        try {
            int rate = stream.header().sampleRateHz();
            boolean isPlain = clock.drift() == 0 && rate == sampleRateHz && clock.offsetSeconds() >= 0;
            SoundStream kept = isPlain
                    ? new CutStream(
                            stream, Math.round(clock.offsetSeconds() * rate), Math.round(clock.inOther(seconds) * rate))
                    : new ClockedStream(stream, clock, sampleRateHz, seconds);
            return new PickedStream(kept, part, gainRatio);
        } catch (IOException | RuntimeException e) {
            stream.close();
            throw e;
        }
    }
}
