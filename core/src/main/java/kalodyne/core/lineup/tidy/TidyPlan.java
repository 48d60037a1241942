package kalodyne.core.lineup.tidy;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import kalodyne.core.sound.CopyFormat;

/**
 * What is to be done with recordings.
 *
 * @param channels which of them become files of their own
 * @param level which level each copy is brought to
 * @param mostDbtp no copy gets a true peak above this (ITU-R BS.1770, Annex 2)
 * @param format how copies are kept; empty for what loses nothing
 * @param sampleRateHz of copies; empty for that of the recording
 * @param timeReference samples since midnight of the first sample; empty where that of the recording is kept
 * @param folder where copies go; empty for beside the recording
 * @param replaces whether files of the same name may be replaced
 */
public record TidyPlan(
        Channels channels,
        LevelAim level,
        double mostDbtp,
        Cut cut,
        Optional<CopyFormat> format,
        OptionalInt sampleRateHz,
        OptionalLong timeReference,
        Optional<Path> folder,
        boolean replaces) {
    /** Common practice: encoding for listening makes peaks a little higher. */
    public static final double USUAL_MOST_DBTP = -1;

    /** Changes nothing. */
    public static final TidyPlan PLAIN = new TidyPlan(
            Channels.named(List.of()),
            new LevelAim.AsItIs(),
            USUAL_MOST_DBTP,
            new Cut.Nothing(),
            Optional.empty(),
            OptionalInt.empty(),
            OptionalLong.empty(),
            Optional.empty(),
            false);
}
