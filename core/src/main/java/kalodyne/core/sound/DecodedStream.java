package kalodyne.core.sound;

import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;

/** Compressed sound, and the sound of films, as the decoder gives it. */
final class DecodedStream implements SoundStream {
    private static final int BUFFER_BYTES = 1 << 18;
    private static final int AU_MAGIC = 0x2e736e64;
    private static final int AU_HEAD = 24;
    private static final SampleFormat FORMAT = SampleFormat.FLOAT_32_BIG;

    private static final String REMEDY =
            "Choose a WAV, FLAC, AIFF, MP3, M4A, OGG, MP4 or MOV that other programs can play.";

    private final Path file;
    private final Process process;
    private final InputStream decoded;
    private final DecoderWords words;
    private final byte[] bytes;
    private final float[][] samples;
    private SoundHeader header;
    private long framesRead;

    /** The first block is read when the file is opened: only then is it known that there is sound in it. */
    private int waiting;

    private DecodedStream(Path file, Process process, DecoderWords words, InputStream decoded, SoundHeader header) {
        this.file = file;
        this.process = process;
        this.words = words;
        this.decoded = decoded;
        this.header = header;
        int frames = Math.max(1, BUFFER_BYTES / header.bytesPerFrame());
        this.bytes = new byte[frames * header.bytesPerFrame()];
        this.samples = new float[header.channels()][frames];
    }

    /**
     * Starts to decode a file.
     *
     * @throws UnreadableSound where the decoder finds no sound in it, or is not there
     */
    static DecodedStream open(Path file) throws IOException {
        return open(file, 0);
    }

    /** The same from a place inside it. */
    static DecodedStream open(Path file, double fromSeconds) throws IOException {
        Process process = start(file, fromSeconds);
        DecoderWords words = new DecoderWords(process.getErrorStream());
        DataInputStream output = new DataInputStream(process.getInputStream());
        try {
            DecodedStream stream = new DecodedStream(file, process, words, output, readHead(output, words));
            stream.waiting = stream.read();
            return stream;
        } catch (EOFException nothingCame) {
            throw refused(file, words.complaint().orElse(""));
        } catch (IOException | RuntimeException e) {
            process.destroyForcibly();
            throw e;
        }
    }

    private static Process start(Path file, double fromSeconds) throws UnreadableSound {
        try {
            return new ProcessBuilder(Decoder.command(file, fromSeconds)).start();
        } catch (IOException e) {
            throw new UnreadableSound(
                    file,
                    "the whole of it",
                    "It needs the decoder, which cannot be started: " + e.getMessage() + ".",
                    "Export the recording as WAV first.");
        }
    }

    private static SoundHeader readHead(DataInputStream output, DecoderWords words) throws IOException {
        if (output.readInt() != AU_MAGIC) {
            throw new IOException("The decoder gave something else than sound.");
        }
        int dataStart = output.readInt();
        output.readInt();
        output.readInt();
        int rate = output.readInt();
        int channels = output.readInt();
        output.skipNBytes(dataStart - AU_HEAD);
        return new SoundHeader(
                words.encoding().toUpperCase(Locale.ROOT),
                FORMAT,
                channels,
                0,
                rate,
                Math.round(words.seconds() * rate),
                Optional.empty());
    }

    private static UnreadableSound refused(Path file, String complaint) {
        boolean noSound = complaint.contains("matches no streams");
        boolean unknown = complaint.isEmpty() || complaint.contains("Invalid data") || complaint.contains("Format not");
        String problem = noSound
                ? "There is no sound in it."
                : "This is not a sound file that can be read" + (unknown ? "." : ": " + complaint + ".");
        return new UnreadableSound(file, "the whole of it", problem, REMEDY);
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
        int frames = waiting > 0 ? waiting : read();
        waiting = 0;
        return frames;
    }

    /** What lies before is decoded and let go: only so is the place exact. */
    @Override
    public void skipTo(long frame) throws IOException {
        long given = framesRead - waiting;
        if (frame < given) {
            throw new IllegalArgumentException("frame must be " + given + " or more, got " + frame);
        }
        int passed = (int) Math.min(waiting, frame - given);
        for (float[] channel : samples) {
            System.arraycopy(channel, passed, channel, 0, waiting - passed);
        }
        waiting -= passed;
        long left = (frame - framesRead) * header.bytesPerFrame();
        if (left > 0) {
            framesRead += skip(left) / header.bytesPerFrame();
        }
    }

    private long skip(long count) throws IOException {
        long left = count;
        while (left > 0) {
            int read = decoded.read(bytes, 0, (int) Math.min(left, bytes.length));
            if (read < 0) {
                break;
            }
            left -= read;
        }
        return count - left;
    }

    private int read() throws IOException {
        int frames = decoded.readNBytes(bytes, 0, bytes.length) / header.bytesPerFrame();
        if (frames == 0) {
            header = header.counted(framesRead, fault());
            return 0;
        }
        for (int c = 0; c < samples.length; c++) {
            FORMAT.decode(bytes, c * FORMAT.bytes(), header.bytesPerFrame(), samples[c], frames);
        }
        framesRead += frames;
        return frames;
    }

    /** A damaged place is passed over by the decoder; that is told once all that could be read was read. */
    private Optional<SoundHeader.SizeFault> fault() throws UnreadableSound {
        Optional<String> complaint = words.complaint();
        if (framesRead == 0) {
            throw refused(file, complaint.orElse(""));
        }
        return complaint.flatMap(what -> SoundHeader.SizeFault.missing(
                "somewhere inside", "A part of it could not be decoded: " + what + ".", HeadBytes.COPY_AGAIN));
    }

    @Override
    public void close() throws IOException {
        process.destroyForcibly();
        decoded.close();
    }
}
