package kalodyne.core.testing.pairs;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import kalodyne.core.lineup.ClockLine;

/**
 * Two recordings, and what is true of them.
 *
 * @param name what is special about them
 * @param truth how the other's clock goes against the reference's
 * @param belong whether they are of the same sound
 */
public record Pair(String name, Path reference, Path other, ClockLine truth, boolean isInverted, boolean belong) {
    private static final int BLOCK = 1 << 14;

    /** Writes 32-bit floats. */
    public static void write(Path file, int rate, List<float[]> channels) throws IOException {
        int frames = channels.get(0).length;
        int data = 4 * frames * channels.size();
        ByteBuffer head = ByteBuffer.allocate(44).order(ByteOrder.LITTLE_ENDIAN);
        head.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + data);
        head.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        head.putShort((short) 3).putShort((short) channels.size()).putInt(rate).putInt(4 * rate * channels.size());
        head.putShort((short) (4 * channels.size())).putShort((short) 32);
        head.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(data);
        ByteBuffer block = ByteBuffer.allocate(4 * BLOCK * channels.size()).order(ByteOrder.LITTLE_ENDIAN);
        try (FileChannel channel = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
            put(channel, head);
            for (int from = 0; from < frames; from += BLOCK) {
                block.clear();
                for (int i = from; i < Math.min(frames, from + BLOCK); i++) {
                    for (float[] each : channels) {
                        block.putFloat(each[i]);
                    }
                }
                put(channel, block);
            }
        }
    }

    private static void put(FileChannel channel, ByteBuffer bytes) throws IOException {
        bytes.flip();
        while (bytes.hasRemaining()) {
            channel.write(bytes);
        }
    }
}
