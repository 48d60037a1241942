package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;

/** Plain samples, as they lie in WAV and AIFF files. */
final class PcmStream implements SoundStream {
    private static final int BUFFER_BYTES = 1 << 18;

    /** Room for decoders that read a little to the left of a sample. */
    private static final int BEFORE_FIRST_SAMPLE = 1;

    private final Path file;
    private final FileChannel channel;
    private final SoundHeader header;
    private final long dataStart;

    /** Filled by the system without a copy of its own; samples are decoded faster from the array beside it. */
    private final ByteBuffer block;

    private final byte[] bytes;
    private final float[][] samples;
    private long framesRead;

    PcmStream(Path file, FileChannel channel, PcmLayout layout) {
        this.file = file;
        this.channel = channel;
        this.header = layout.header();
        this.dataStart = layout.dataStart();
        int frames = Math.max(1, BUFFER_BYTES / header.bytesPerFrame());
        this.block = ByteBuffer.allocateDirect(frames * header.bytesPerFrame());
        this.bytes = new byte[BEFORE_FIRST_SAMPLE + block.capacity()];
        this.samples = new float[header.channels()][frames];
    }

    @Override
    public void skipTo(long frame) {
        framesRead = Math.max(0, Math.min(header.frames(), frame));
    }

    @Override
    public SoundHeader header() {
        return header;
    }

    @Override
    public float[][] samples() {
        return samples;
    }

    @Override
    public int next() throws IOException {
        int frames = (int) Math.min(samples[0].length, header.frames() - framesRead);
        if (frames == 0) {
            return 0;
        }
        read(dataStart + framesRead * header.bytesPerFrame(), frames * header.bytesPerFrame());
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
