package kalodyne.core.sound;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** Packs samples as they lie in a file, frame by frame, the lowest byte first. */
final class Packing {
    private final int channels;
    private final CopyFormat format;
    private ByteBuffer block = ByteBuffer.allocate(0);

    Packing(int channels, CopyFormat format) {
        this.channels = channels;
        this.format = format;
    }

    int frameBytes() {
        return channels * format.bytes();
    }

    /** Filled anew the next time. */
    ByteBuffer pack(float[][] samples, int count) {
        if (block.capacity() < count * frameBytes()) {
            block = ByteBuffer.allocate(count * frameBytes()).order(ByteOrder.LITTLE_ENDIAN);
        }
        block.clear();
        float steps = 1 << (Math.min(24, format.bits()) - 1);
        for (int i = 0; i < count; i++) {
            for (int c = 0; c < channels; c++) {
                switch (format.bits()) {
                    case 16 -> block.putShort((short) step(samples[c][i], steps));
                    case 24 -> {
                        int step = step(samples[c][i], steps);
                        block.putShort((short) step).put((byte) (step >> 16));
                    }
                    default -> block.putFloat(samples[c][i]);
                }
            }
        }
        return block.flip();
    }

    private static int step(float sample, float steps) {
        return (int) Math.max(-steps, Math.min(steps - 1, Math.rint((double) sample * steps)));
    }
}
