package kalodyne.core.lineup.tidy;

import kalodyne.core.units.Gain;

/** Which level a copy is brought to. All its channels are changed alike. */
public sealed interface LevelAim {
    /** As it is. */
    record AsItIs() implements LevelAim {}

    /** By a gain. */
    record By(Gain gain) implements LevelAim {}

    /** Its largest sample to a level. */
    record Peak(double dbfs) implements LevelAim {}

    /** Its loudness to a value (ITU-R BS.1770). */
    record Loudness(double lufs) implements LevelAim {}

    /**
     * As loud as something else.
     *
     * @param to the name of another part of the same file, or of another file that is tidied with it
     * @param isByPeak by the largest sample; else by loudness
     * @param difference how much louder than that it is to be
     */
    record Match(String to, boolean isByPeak, Gain difference) implements LevelAim {}
}
