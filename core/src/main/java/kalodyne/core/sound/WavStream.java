package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** The samples of a WAV file, block by block, in memory that does not grow with the file. */
public final class WavStream implements AutoCloseable {
    private static final int BUFFER_BYTES = 1 << 18;

    private final Path file;
    private final FileChannel channel;
    private final WavHeader header;
    private final ByteBuffer bytes;
    private final float[][] samples;
    private long framesRead;

    private WavStream(Path file, FileChannel channel, WavHeader header) {
        this.file = file;
        this.channel = channel;
        this.header = header;
        int frames = Math.max(1, BUFFER_BYTES / header.bytesPerFrame());
        this.bytes = ByteBuffer.allocate(frames * header.bytesPerFrame()).order(ByteOrder.LITTLE_ENDIAN);
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
        bytes.clear().limit(frames * header.bytesPerFrame());
        long start = header.dataStart() + framesRead * header.bytesPerFrame();
        while (bytes.hasRemaining()) {
            if (channel.read(bytes, start + bytes.position()) < 0) {
                throw new UnreadableSound(
                        file,
                        "byte " + (start + bytes.position()),
                        "The file became shorter while it was read.",
                        "Try again.");
            }
        }
        for (int c = 0; c < samples.length; c++) {
            SampleFormat format = header.format();
            format.decode(bytes, c * format.bytes(), header.bytesPerFrame(), samples[c], frames);
        }
        framesRead += frames;
        return frames;
    }

    @Override
    public void close() throws IOException {
        channel.close();
    }
}
