package kalodyne.desktop.testing;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.DoubleUnaryOperator;

/** Recordings that are written down by formula: 24 bits, 48 kHz. */
public final class Tones {
    private static final int RATE = 48_000;
    private static final int HEAD = 44;

    private Tones() {}

    /** A sine of one channel. */
    public static Path sine(Path file, double seconds, double hertz, double dbfs) throws IOException {
        double amplitude = Math.pow(10, dbfs / 20);
        return write(file, seconds, at -> amplitude * Math.sin(2 * Math.PI * hertz * at));
    }

    /** Short bursts, so many a minute. */
    public static Path beats(Path file, double seconds, double perMinute) throws IOException {
        double each = 60 / perMinute;
        return write(file, seconds, at -> {
            double since = at % each;
            return since < 0.04 ? 0.4 * Math.sin(2 * Math.PI * 900 * since) * Math.exp(-120 * since) : 0;
        });
    }

    /** Channels that are each a function of the time in seconds. */
    public static Path write(Path file, double seconds, DoubleUnaryOperator... channels) throws IOException {
        int frames = (int) Math.round(seconds * RATE);
        int data = frames * channels.length * 3;
        ByteBuffer wav = ByteBuffer.allocate(HEAD + data).order(ByteOrder.LITTLE_ENDIAN);
        wav.put(ascii("RIFF")).putInt(HEAD - 8 + data).put(ascii("WAVEfmt ")).putInt(16);
        wav.putShort((short) 1).putShort((short) channels.length).putInt(RATE);
        wav.putInt(RATE * channels.length * 3)
                .putShort((short) (channels.length * 3))
                .putShort((short) 24);
        wav.put(ascii("data")).putInt(data);
        for (int i = 0; i < frames; i++) {
            for (DoubleUnaryOperator channel : channels) {
                int value = (int) Math.round(channel.applyAsDouble((double) i / RATE) * 8_388_607);
                wav.put((byte) value).put((byte) (value >> 8)).put((byte) (value >> 16));
            }
        }
        Files.createDirectories(file.toAbsolutePath().getParent());
        return Files.write(file, wav.array());
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
