package kalodyne.core.sound;

import java.util.Arrays;
import java.util.Optional;

/** How a copy is kept. */
public enum CopyFormat {
    WAV_16("wav16", "WAV, 16-bit", "wav", 16),
    WAV_24("wav24", "WAV, 24-bit", "wav", 24),
    WAV_FLOAT("wavfloat", "WAV, 32-bit floating point", "wav", 32),
    FLAC_16("flac16", "FLAC, 16-bit", "flac", 16),
    FLAC_24("flac24", "FLAC, 24-bit", "flac", 24);

    private final String id;
    private final String words;
    private final String ending;
    private final int bits;

    CopyFormat(String id, String words, String ending, int bits) {
        this.id = id;
        this.words = words;
        this.ending = ending;
        this.bits = bits;
    }

    /** In files and commands. */
    public String id() {
        return id;
    }

    public static Optional<CopyFormat> of(String id) {
        return Arrays.stream(values()).filter(each -> each.id.equals(id)).findFirst();
    }

    /** For people. */
    public String words() {
        return words;
    }

    /** Of the file's name, without the dot. */
    public String ending() {
        return ending;
    }

    /** Of a sample. */
    public int bits() {
        return bits;
    }

    /** Whether levels above full scale are kept. */
    public boolean isFloat() {
        return this == WAV_FLOAT;
    }

    /** About how many bytes a sample takes; of what is packed, at most. */
    public int bytes() {
        return bits / 8;
    }

    /** What loses nothing of a file: floating point stays so, more than 16 bits become 24. */
    public static CopyFormat keeping(SampleFormat format) {
        return format.isFloat() ? WAV_FLOAT : format.resolutionBits() > 16 ? WAV_24 : WAV_16;
    }
}
