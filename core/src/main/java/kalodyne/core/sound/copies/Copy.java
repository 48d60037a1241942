package kalodyne.core.sound.copies;

import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SoundTags;

/**
 * How a copy is to be kept.
 *
 * @param isDithered whether noise is added before rounding to 16 bits
 * @param replaces whether a file of its name may be replaced
 */
public record Copy(CopyFormat format, SoundTags tags, boolean isDithered, boolean replaces) {
    /** Without words, dithered where it goes to 16 bits, never over something else. */
    public static Copy as(CopyFormat format) {
        return new Copy(format, SoundTags.NONE, format.bits() == 16, false);
    }

    public Copy with(SoundTags saying) {
        return new Copy(format, saying, isDithered, replaces);
    }

    public Copy replacing(boolean may) {
        return new Copy(format, tags, isDithered, may);
    }

    /** Rounded as it is: for samples that have no more bits than the copy. */
    public Copy undithered() {
        return new Copy(format, tags, false, replaces);
    }
}
