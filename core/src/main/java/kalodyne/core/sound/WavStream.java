package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** The samples of a WAV file, block by block, in memory that does not grow with the file. */
public final class WavStream implements AutoCloseable {
    private static final int BUFFER_BYTES = 1 << 18;

    /** Room for decoders that read a little to the left of a sample. */
    private static final int BEFORE_FIRST_SAMPLE = 1;

    private final Path file;
    private final FileChannel channel;
    private final WavHeader header;

    /** Filled by the system without a copy of its own; samples are decoded faster from the array beside it. */
    private final ByteBuffer block;

    private final byte[] bytes;
    private final float[][] samples;
    private long framesRead;

    private WavStream(Path file, FileChannel channel, WavHeader header) {
        this.file = file;
        this.channel = channel;
        this.header = header;
        int frames = Math.max(1, BUFFER_BYTES / header.bytesPerFrame());
        this.block = ByteBuffer.allocateDirect(frames * header.bytesPerFrame());
        this.bytes = new byte[BEFORE_FIRST_SAMPLE + block.capacity()];
        this.samples = new float[header.channels()][frames];
    }

    /**
     * Opens a file and reads its head.
     *
     * @throws UnreadableSound where it is no WAV that can be read; says why
     */
    public static WavStream open(Path file) throws IOException {
        FileChannel channel = openChannel(file);
        try {
            return new WavStream(file, channel, new WavHeaderReader(file, channel).read());
        } catch (IOException | RuntimeException e) {
            channel.close();
            throw e;
        }
    }

    private static FileChannel openChannel(Path file) throws IOException {
        if (Files.isDirectory(file)) {
            throw new UnreadableSound(file, "the whole of it", "This is a folder.", "Choose a file inside it.");
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            throw new UnreadableSound(
                    file, "the whole of it", "This is a stream, not a file.", "Save it to a file and choose that.");
        }
        try {
            return FileChannel.open(file, StandardOpenOption.READ);
        } catch (NoSuchFileException e) {
            throw new UnreadableSound(
                    file, "the whole of it", "There is no such file.", "Check its name, or whether it was moved.");
        } catch (IOException e) {
            throw new UnreadableSound(
                    file,
                    "the whole of it",
                    "It cannot be opened.",
                    "Check that you may read it and that its disk is there.");
        }
    }

    public WavHeader header() {
        return header;
    }

    /** The samples of the last block: one array a channel, valid up to the count that {@link #next} gave. */
    public float[][] samples() {
        return samples;
    }

    /**
     * Reads the next block.
     *
     * @return how many frames it has; 0 at the end
     * @throws UnreadableSound where the file has become shorter since it was opened
     */
    public int next() throws IOException {
        int frames = (int) Math.min(samples[0].length, header.frames() - framesRead);
        if (frames == 0) {
            return 0;
        }
        read(header.dataStart() + framesRead * header.bytesPerFrame(), frames * header.bytesPerFrame());
        SampleFormat format = header.format();
        for (int c = 0; c < samples.length; c++) {
            int first = BEFORE_FIRST_SAMPLE + c * format.bytes();
            format.decode(bytes, first, header.bytesPerFrame(), samples[c], frames);
        }
        framesRead += frames;
        return frames;
    }

    private void read(long start, int count) throws IOException {
        block.clear().limit(count);
        while (block.hasRemaining()) {
            if (channel.read(block, start + block.position()) < 0) {
                throw new UnreadableSound(
                        file,
                        "byte " + (start + block.position()),
                        "The file became shorter while it was read.",
                        "Try again.");
            }
        }
        block.flip().get(bytes, BEFORE_FIRST_SAMPLE, count);
    }

    @Override
    public void close() throws IOException {
        channel.close();
    }
}
