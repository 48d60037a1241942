package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** Opens sound files of every kind: plain samples are read here, what is compressed by the decoder. */
public final class SoundFiles {
    private SoundFiles() {}

    /**
     * Opens a file and reads its head. What it is shows in its first bytes, whatever its name says.
     *
     * @throws UnreadableSound where it holds no sound that can be read; says why
     */
    public static SoundStream open(Path file) throws IOException {
        FileChannel channel = openChannel(file);
        try {
            return open(file, channel);
        } catch (IOException | RuntimeException e) {
            channel.close();
            throw e;
        }
    }

    /**
     * Opens a file at a place inside it. Samples that lie plainly are found at once; what is compressed is decoded from the nearest place
     * that its kind allows, and begins at most a few hundredths of a second beside it.
     *
     * @throws UnreadableSound where it holds no sound that can be read; says why
     */
    public static SoundStream openAt(Path file, double seconds) throws IOException {
        SoundStream stream = open(file);
        if (stream instanceof PcmStream plain) {
            plain.skipTo(Math.round(seconds * plain.header().sampleRateHz()));
            return plain;
        }
        stream.close();
        return DecodedStream.open(file, seconds);
    }

    private static SoundStream open(Path file, FileChannel channel) throws IOException {
        switch (Kind.of(channel)) {
            case EMPTY -> throw new UnreadableSound(file, "byte 0", "The file is empty.", HeadBytes.COPY_AGAIN);
            case WAVE -> {
                return plain(file, channel, () -> new WavHead(file, channel).read());
            }
            case AIFF -> {
                return plain(file, channel, () -> new AiffHead(file, channel).read());
            }
            default -> {
                channel.close();
                return DecodedStream.open(file);
            }
        }
    }

    @FunctionalInterface
    private interface Head {
        PcmLayout read() throws IOException;
    }

    private static SoundStream plain(Path file, FileChannel channel, Head head) throws IOException {
        try {
            return new PcmStream(file, channel, head.read());
        } catch (OtherEncoding other) {
            channel.close();
            try {
                return DecodedStream.open(file);
            } catch (UnreadableSound undecodable) {
                // What the head says tells more than that the decoder does not know it either.
                throw other;
            }
        }
    }

    /** What a file is by its first bytes. */
    private enum Kind {
        EMPTY,
        WAVE,
        AIFF,
        OTHER;

        static Kind of(FileChannel channel) throws IOException {
            ByteBuffer first = ByteBuffer.allocate(12);
            int position = 0;
            while (first.hasRemaining() && position >= 0) {
                position = channel.read(first, first.position());
            }
            if (first.position() == 0) {
                return EMPTY;
            }
            String container = HeadBytes.fourLetters(first, 0);
            String form = HeadBytes.fourLetters(first, 8);
            return switch (container) {
                // A head that is cut off before its form is complained of as what it seems to be.
                case "RIFF", "RF64", "BW64" -> form.equals("WAVE") || first.hasRemaining() ? WAVE : OTHER;
                case "FORM" -> form.equals("AIFF") || form.equals("AIFC") ? AIFF : OTHER;
                default -> OTHER;
            };
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
}
