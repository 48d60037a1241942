package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/**
 * Writes a WAV file while it grows. Whatever happens, what was written is there: the head is brought up to date
 * after every block. Beyond 4 GB it becomes an RF64 (EBU Tech 3306).
 */
public final class WavRecorder implements SoundSink {
    /** "RIFF", "WAVE", a chunk that an RF64 needs, "fmt ", and the head of "data". */
    private static final int HEAD_BYTES = 12 + 8 + 28 + 8 + 16 + 8;

    private static final int LONG_SIZES_BYTES = 28;
    private static final long MOST_OF_RIFF = 0xFFFFFFFFL;
    private static final int PCM = 1;
    private static final int IEEE_FLOAT = 3;

    private final FileChannel file;
    private final int channels;
    private final int sampleRateHz;
    private final CopyFormat format;
    private final Packing packing;
    private final byte[] tags;
    private final int headBytes;
    private long frames;

    /**
     * Begins a file that is not there yet.
     *
     * @param format one of WAV
     * @param tags what it says of itself
     */
    public WavRecorder(Path path, int channels, int sampleRateHz, CopyFormat format, SoundTags tags)
            throws IOException {
        this.channels = channels;
        this.sampleRateHz = sampleRateHz;
        this.format = format;
        this.tags = TagChunks.write(tags);
        packing = new Packing(channels, format);
        headBytes = HEAD_BYTES + this.tags.length;
        file = FileChannel.open(path, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
        writeHead();
    }

    /**
     * Begins one without words.
     *
     * @param bits 16 or 24
     */
    public WavRecorder(Path path, int channels, int sampleRateHz, int bits) throws IOException {
        this(path, channels, sampleRateHz, bits > 16 ? CopyFormat.WAV_24 : CopyFormat.WAV_16, SoundTags.NONE);
    }

    @Override
    public void write(float[][] samples, int count) throws IOException {
        put(packing.pack(samples, count), headBytes + frames * packing.frameBytes());
        frames += count;
        writeHead();
    }

    public long frames() {
        return frames;
    }

    private void writeHead() throws IOException {
        int frameBytes = packing.frameBytes();
        long data = frames * frameBytes;
        boolean isLong = data > MOST_OF_RIFF - headBytes;
        ByteBuffer head = ByteBuffer.allocate(headBytes).order(ByteOrder.LITTLE_ENDIAN);
        word(head, isLong ? "RF64" : "RIFF").putInt(isLong ? -1 : (int) (headBytes - 8 + data));
        word(head, "WAVE");
        word(head, isLong ? "ds64" : "JUNK").putInt(LONG_SIZES_BYTES);
        head.putLong(isLong ? headBytes - 8 + data : 0)
                .putLong(isLong ? data : 0)
                .putLong(isLong ? frames : 0)
                .putInt(0);
        word(head, "fmt ").putInt(16);
        head.putShort((short) (format.isFloat() ? IEEE_FLOAT : PCM)).putShort((short) channels);
        head.putInt(sampleRateHz).putInt(sampleRateHz * frameBytes);
        head.putShort((short) frameBytes).putShort((short) format.bits());
        head.put(tags);
        word(head, "data").putInt(isLong ? -1 : (int) data);
        put(head.flip(), 0);
    }

    private static ByteBuffer word(ByteBuffer into, String fourLetters) {
        return into.put(fourLetters.getBytes(StandardCharsets.US_ASCII));
    }

    private void put(ByteBuffer bytes, long at) throws IOException {
        long position = at;
        while (bytes.hasRemaining()) {
            position += file.write(bytes, position);
        }
    }

    /** Brings the head up to date and closes the file. */
    @Override
    public void close() throws IOException {
        try (file) {
            if (frames * packing.frameBytes() % 2 != 0) {
                put(ByteBuffer.allocate(1), headBytes + frames * packing.frameBytes());
            }
            writeHead();
            file.force(true);
        }
    }
}
