package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.WritableByteChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Has the decoder's program pack samples without loss. */
final class FlacSink implements SoundSink {
    private static final String ENDED = "the program that packs the sound ended too early";

    private final Path file;
    private final Process process;
    private final DecoderWords words;
    private final WritableByteChannel samples;
    private final Packing packing;

    FlacSink(Path file, int channels, int sampleRateHz, CopyFormat format) throws IOException {
        if (Files.exists(file)) {
            throw new FileAlreadyExistsException(file.toString());
        }
        this.file = file;
        packing = new Packing(channels, format);
        process = new ProcessBuilder(Decoder.packing(file, channels, sampleRateHz, format.bits())).start();
        words = new DecoderWords(process.getErrorStream());
        samples = Channels.newChannel(process.getOutputStream());
    }

    @Override
    public void write(float[][] block, int count) throws IOException {
        ByteBuffer bytes = packing.pack(block, count);
        try {
            while (bytes.hasRemaining()) {
                samples.write(bytes);
            }
        } catch (IOException e) {
            throw new IOException(words.complaint().orElse(ENDED), e);
        }
    }

    @Override
    public void close() throws IOException {
        try {
            samples.close();
            int result = process.waitFor();
            Optional<String> complaint = words.complaint();
            if (result != 0 || !Files.exists(file)) {
                throw new IOException(complaint.orElse(ENDED));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("stopped while it was written", e);
        } finally {
            process.destroyForcibly();
        }
    }
}
