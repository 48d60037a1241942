package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import kalodyne.core.files.WholeFile;

/** Writes WAV files of 24 bits. The file appears under its name only when it is complete. */
public final class WavWriter {
    private static final int HEADER_BYTES = 44;
    private static final int SAMPLE_BYTES = 3;
    private static final double STEPS = 1 << 23;

    private WavWriter() {}

    /**
     * Writes one channel, rounding to 24 bits; what lies outside −1 to 1 is cut off, as a converter does.
     *
     * @param samples full scale is 1
     */
    public static void writeMono(Path file, float[] samples, int sampleRateHz) throws IOException {
        int dataBytes = Math.multiplyExact(samples.length, SAMPLE_BYTES);
        ByteBuffer bytes =
                ByteBuffer.allocate(HEADER_BYTES + dataBytes + (dataBytes & 1)).order(ByteOrder.LITTLE_ENDIAN);
        bytes.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(bytes.capacity() - 8);
        bytes.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
        bytes.putShort((short) 1).putShort((short) 1).putInt(sampleRateHz).putInt(sampleRateHz * SAMPLE_BYTES);
        bytes.putShort((short) SAMPLE_BYTES).putShort((short) (8 * SAMPLE_BYTES));
        bytes.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(dataBytes);
        for (float sample : samples) {
            int step = (int) Math.max(-STEPS, Math.min(STEPS - 1, Math.rint(sample * STEPS)));
            bytes.putShort((short) step).put((byte) (step >> 16));
        }
        WholeFile.write(file, bytes.rewind());
    }
}
