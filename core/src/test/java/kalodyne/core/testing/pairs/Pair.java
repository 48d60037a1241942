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
    /** Writes 32-bit floats. */
    public static void write(Path file, int rate, List<float[]> channels) throws IOException {
        int frames = channels.get(0).length;
        int data = 4 * frames * channels.size();
        ByteBuffer bytes = ByteBuffer.allocate(44 + data).order(ByteOrder.LITTLE_ENDIAN);
        bytes.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + data);
        bytes.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        bytes.putShort((short) 3).putShort((short) channels.size()).putInt(rate).putInt(4 * rate * channels.size());
        bytes.putShort((short) (4 * channels.size())).putShort((short) 32);
        bytes.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(data);
        for (int i = 0; i < frames; i++) {
            for (float[] channel : channels) {
                bytes.putFloat(channel[i]);
            }
        }
        try (FileChannel channel = FileChannel.open(
                file, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
            bytes.flip();
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
        }
    }
}
