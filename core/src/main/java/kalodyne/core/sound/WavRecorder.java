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
public final class WavRecorder implements AutoCloseable {
    /** "RIFF", "WAVE", a chunk that an RF64 needs, "fmt ", and the head of "data". */
    private static final int HEAD_BYTES = 12 + 8 + 28 + 8 + 16 + 8;

    private static final int LONG_SIZES_BYTES = 28;
    private static final long MOST_OF_RIFF = 0xFFFFFFFFL - HEAD_BYTES;

    private final FileChannel file;
    private final int channels;
    private final int sampleRateHz;
    private final int bits;
    private final int frameBytes;
    private ByteBuffer block = ByteBuffer.allocate(0);
    private long frames;

    /**
     * Begins a file that is not there yet.
     *
     * @param bits 16 or 24
     */
    public WavRecorder(Path path, int channels, int sampleRateHz, int bits) throws IOException {
        this.channels = channels;
        this.sampleRateHz = sampleRateHz;
        this.bits = bits;
        frameBytes = channels * bits / 8;
        file = FileChannel.open(path, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
        writeHead();
    }

    /** Adds frames, rounded to the bits of the file; what lies outside −1 to 1 is cut off, as a converter does. */
    public void write(float[][] samples, int count) throws IOException {
        if (block.capacity() < count * frameBytes) {
            block = ByteBuffer.allocate(count * frameBytes).order(ByteOrder.LITTLE_ENDIAN);
        }
        block.clear();
        double steps = Math.pow(2, bits - 1.0);
        for (int i = 0; i < count; i++) {
            for (int c = 0; c < channels; c++) {
                int step = (int) Math.max(-steps, Math.min(steps - 1, Math.rint(samples[c][i] * steps)));
                block.putShort((short) step);
                if (bits > 16) {
                    block.put((byte) (step >> 16));
                }
            }
        }
        put(block.flip(), HEAD_BYTES + frames * frameBytes);
        frames += count;
        writeHead();
    }

    public long frames() {
        return frames;
    }

    private void writeHead() throws IOException {
        long data = frames * frameBytes;
        boolean isLong = data > MOST_OF_RIFF;
        ByteBuffer head = ByteBuffer.allocate(HEAD_BYTES).order(ByteOrder.LITTLE_ENDIAN);
        word(head, isLong ? "RF64" : "RIFF").putInt(isLong ? -1 : (int) (HEAD_BYTES - 8 + data));
        word(head, "WAVE");
        word(head, isLong ? "ds64" : "JUNK").putInt(LONG_SIZES_BYTES);
        head.putLong(isLong ? HEAD_BYTES - 8 + data : 0)
                .putLong(isLong ? data : 0)
                .putLong(isLong ? frames : 0)
                .putInt(0);
        word(head, "fmt ").putInt(16);
        head.putShort((short) 1).putShort((short) channels).putInt(sampleRateHz).putInt(sampleRateHz * frameBytes);
        head.putShort((short) frameBytes).putShort((short) bits);
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
            if (frames * frameBytes % 2 != 0) {
                put(ByteBuffer.allocate(1), HEAD_BYTES + frames * frameBytes);
            }
            writeHead();
            file.force(true);
        }
    }
}
