package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/** The bytes at the head of a file that is made of chunks: four letters, a length, what they hold. */
final class HeadBytes {
    static final String COPY_AGAIN = "Copy it again from where it was recorded.";
    static final String EXPORT_AGAIN = "Export it again as WAV, 16, 24 or 32 bits, from the program that made it.";

    private final Path file;
    private final FileChannel channel;
    private final ByteOrder order;
    private final long size;

    HeadBytes(Path file, FileChannel channel, ByteOrder order) throws IOException {
        this.file = file;
        this.channel = channel;
        this.order = order;
        this.size = channel.size();
    }

    /** How long the file is. */
    long size() {
        return size;
    }

    ByteBuffer at(long position, int count) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(count).order(order);
        while (buffer.hasRemaining()) {
            if (channel.read(buffer, position + buffer.position()) < 0) {
                throw unreadable(size, "The file ends in the middle of its description.", COPY_AGAIN);
            }
        }
        return buffer.flip();
    }

    static String fourLetters(ByteBuffer bytes, int offset) {
        byte[] letters = new byte[4];
        bytes.get(offset, letters);
        return new String(letters, StandardCharsets.ISO_8859_1);
    }

    UnreadableSound unreadable(long at, String problem, String remedy) {
        return new UnreadableSound(file, place(at), problem, remedy);
    }

    OtherEncoding otherEncoding(long at, String problem) {
        return new OtherEncoding(file, place(at), problem, EXPORT_AGAIN);
    }

    static String place(long at) {
        return "byte " + at;
    }
}
