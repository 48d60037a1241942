package kalodyne.core.sound;

import java.nio.ByteBuffer;

/** How a sample lies in a file. All but the 8-bit format are signed and little-endian. */
public enum SampleFormat {
    UNSIGNED_8(1, 8) {
        @Override
        void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = ((bytes.get(at) & 0xff) - 128) * 0x1p-7f;
            }
        }
    },
    SIGNED_16(2, 16) {
        @Override
        void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = bytes.getShort(at) * 0x1p-15f;
            }
        }
    },
    SIGNED_24(3, 24) {
        @Override
        void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                int sample = (bytes.getShort(at) & 0xffff) | bytes.get(at + 2) << 16;
                into[i] = sample * 0x1p-23f;
            }
        }
    },
    SIGNED_32(4, 32) {
        @Override
        void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                // A float holds 24 bits: the eight lowest, below −144 dBFS, are rounded.
                into[i] = bytes.getInt(at) * 0x1p-31f;
            }
        }
    },
    FLOAT_32(4, 24) {
        @Override
        void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = bytes.getFloat(at);
            }
        }
    },
    FLOAT_64(8, 24) {
        @Override
        void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = (float) bytes.getDouble(at);
            }
        }
    };

    private final int bytes;
    private final int resolutionBits;

    SampleFormat(int bytes, int resolutionBits) {
        this.bytes = bytes;
        this.resolutionBits = resolutionBits;
    }

    /** How many bytes a sample takes. */
    public int bytes() {
        return bytes;
    }

    /** How many bits of the sample count. */
    public int resolutionBits() {
        return resolutionBits;
    }

    public boolean isFloat() {
        return this == FLOAT_32 || this == FLOAT_64;
    }

    /**
     * Reads every stride-th sample.
     *
     * @param bytes little-endian
     * @param offset of the first sample
     * @param stride from sample to sample, in bytes
     */
    abstract void decode(ByteBuffer bytes, int offset, int stride, float[] into, int count);
}
