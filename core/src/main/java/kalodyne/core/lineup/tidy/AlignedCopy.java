package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.files.Progress;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.ClockedStream;
import kalodyne.core.sound.Broadcast;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sound.TagChunks;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.units.Print;

/** The other recording as it fits the reference: begins where that begins, ends where it ends, and keeps time with it. */
public final class AlignedCopy {
    private AlignedCopy() {}

    /**
     * Writes it, and beside it what was done.
     *
     * @param reference what it is to fit
     * @param clock where the moments of the reference are in the other one
     * @param seconds how long it is to be: as long as the reference
     * @throws kalodyne.core.sound.copies.UnwritableCopy where it cannot be written; says why
     */
    public static CopyWriter.Written write(
            Path reference, Path other, ClockLine clock, double seconds, Path target, Copy copy, Progress progress)
            throws IOException {
        try (SoundStream source = SoundFiles.open(other)) {
            int rate = source.header().sampleRateHz();
            SoundTags tags = tags(other, clock, rate);
            CopyWriter.Written written = CopyWriter.write(
                    new ClockedStream(source, clock, rate, seconds), target, copy.with(tags), progress);
            CopyRecord.write(
                    target,
                    CopyRecord.of(other, target, clock, seconds)
                            .put("reference", reference.toString())
                            .put("as", copy.format().id())
                            .put("sampleRateHz", rate),
                    written);
            return written;
        }
    }

    /** A time of the day is moved by what is cut off or put before; a drift is told. */
    private static SoundTags tags(Path other, ClockLine clock, int rate) throws IOException {
        Optional<Broadcast> broadcast = TagChunks.read(other).broadcast();
        return new SoundTags(
                broadcast.map(each -> each.withTimeReference(
                                each.timeReference() + Math.round(clock.offsetSeconds() * rate))
                        .withHistory("A=PCM,F=" + rate + ",T=Kalodyne; lined up, "
                                + Print.decimal(1e6 * clock.drift(), 2) + " ppm")),
                List.of());
    }
}
