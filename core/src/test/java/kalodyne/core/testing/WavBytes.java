package kalodyne.core.testing;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * A WAV put together byte by byte after the published chunk layout, each field of which can be made wrong. Knows nothing
 * of the program's own reader and writer.
 */
public final class WavBytes {
    public int tag = 1;
    public int channels;
    public int rate = 48_000;
    public int bits;
    public boolean isExtensible;
    public byte[] chunkBefore = {};
    public long statedDataSize = -1;
    public long statedRiffSize = -1;
    public int frameBytes = -1;
    private final byte[] data;

    private WavBytes(int channels, int bits, byte[] data) {
        this.channels = channels;
        this.bits = bits;
        this.data = data;
    }

    /** Integer samples, rounded as in two's complement (8 bits: offset by 128), channels one after the other. */
    public static WavBytes integers(int bits, double[]... channels) {
        int bytes = bits / 8;
        ByteBuffer buffer = ByteBuffer.allocate(channels.length * channels[0].length * bytes);
        double steps = Math.pow(2, bits - 1);
        for (int i = 0; i < channels[0].length; i++) {
            for (double[] channel : channels) {
                long value = (long) Math.max(-steps, Math.min(steps - 1, Math.rint(channel[i] * steps)));
                long stored = bits == 8 ? value + 128 : value;
                for (int b = 0; b < bytes; b++) {
                    buffer.put((byte) (stored >> (8 * b)));
                }
            }
        }
        return new WavBytes(channels.length, bits, buffer.array());
    }

    public static WavBytes floats(double[]... channels) {
        ByteBuffer buffer =
                ByteBuffer.allocate(4 * channels.length * channels[0].length).order(ByteOrder.LITTLE_ENDIAN);
        for (int i = 0; i < channels[0].length; i++) {
            for (double[] channel : channels) {
                buffer.putFloat((float) channel[i]);
            }
        }
        WavBytes wav = new WavBytes(channels.length, 32, buffer.array());
        wav.tag = 3;
        return wav;
    }

    public byte[] bytes() {
        int formatSize = isExtensible ? 40 : 16;
        ByteBuffer out = ByteBuffer.allocate(12 + 8 + formatSize + chunkBefore.length + 8 + data.length + 1)
                .order(ByteOrder.LITTLE_ENDIAN);
        int blockAlign = frameBytes >= 0 ? frameBytes : channels * bits / 8;
        out.put(ascii("RIFF")).putInt((int) (statedRiffSize >= 0 ? statedRiffSize : out.capacity() - 9));
        out.put(ascii("WAVEfmt ")).putInt(formatSize);
        out.putShort((short) (isExtensible ? 0xFFFE : tag))
                .putShort((short) channels)
                .putInt(rate);
        out.putInt(rate * blockAlign).putShort((short) blockAlign).putShort((short) bits);
        if (isExtensible) {
            out.putShort((short) 22).putShort((short) bits).putInt(0).putShort((short) tag);
            out.put(new byte[] {0, 0, 0, 0, 0x10, 0, (byte) 0x80, 0, 0, (byte) 0xAA, 0, 0x38, (byte) 0x9B, 0x71});
        }
        out.put(chunkBefore);
        out.put(ascii("data"))
                .putInt((int) (statedDataSize >= 0 ? statedDataSize : data.length))
                .put(data);
        byte[] exact = new byte[out.position()];
        out.get(0, exact);
        return exact;
    }

    public Path write(Path file) throws IOException {
        return Files.write(file, bytes());
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
