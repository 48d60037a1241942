package kalodyne.core.sound;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/** How a sample lies in a file. What does not say otherwise is signed and little-endian. */
public enum SampleFormat {
    UNSIGNED_8(1, 8) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = ((bytes[at] & 0xff) - 128) * 0x1p-7f;
            }
        }
    },
    SIGNED_8(1, 8) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = bytes[at] * 0x1p-7f;
            }
        }
    },
    SIGNED_16(2, 16) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = (short) SHORT.get(bytes, at) * 0x1p-15f;
            }
        }
    },
    SIGNED_16_BIG(2, 16) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = Short.reverseBytes((short) SHORT.get(bytes, at)) * 0x1p-15f;
            }
        }
    },
    SIGNED_24(3, 24) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                // Four bytes at once, of which the lowest belongs to the sample before: it is shifted out.
                into[i] = ((int) INT.get(bytes, at - 1) >> 8) * 0x1p-23f;
            }
        }
    },
    SIGNED_24_BIG(3, 24) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = (bytes[at] << 16 | (bytes[at + 1] & 0xff) << 8 | (bytes[at + 2] & 0xff)) * 0x1p-23f;
            }
        }
    },
    SIGNED_32(4, 32) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                // A float holds 24 bits: the eight lowest, below −144 dBFS, are rounded.
                into[i] = (int) INT.get(bytes, at) * 0x1p-31f;
            }
        }
    },
    SIGNED_32_BIG(4, 32) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = Integer.reverseBytes((int) INT.get(bytes, at)) * 0x1p-31f;
            }
        }
    },
    FLOAT_32(4, 24) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = (float) FLOAT.get(bytes, at);
            }
        }
    },
    FLOAT_32_BIG(4, 24) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = Float.intBitsToFloat(Integer.reverseBytes((int) INT.get(bytes, at)));
            }
        }
    },
    FLOAT_64(8, 24) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = (float) (double) DOUBLE.get(bytes, at);
            }
        }
    },
    FLOAT_64_BIG(8, 24) {
        @Override
        void decode(byte[] bytes, int offset, int stride, float[] into, int count) {
            for (int i = 0, at = offset; i < count; i++, at += stride) {
                into[i] = (float) Double.longBitsToDouble(Long.reverseBytes((long) LONG.get(bytes, at)));
            }
        }
    };

    private static final VarHandle SHORT = view(short[].class);
    private static final VarHandle INT = view(int[].class);
    private static final VarHandle LONG = view(long[].class);
    private static final VarHandle FLOAT = view(float[].class);
    private static final VarHandle DOUBLE = view(double[].class);

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
        return this == FLOAT_32 || this == FLOAT_64 || this == FLOAT_32_BIG || this == FLOAT_64_BIG;
    }

    /** For people: "24-bit", "32-bit floating point". */
    public String words() {
        return 8 * bytes + "-bit" + (isFloat() ? " floating point" : "");
    }

    private static VarHandle view(Class<?> arrayType) {
        return MethodHandles.byteArrayViewVarHandle(arrayType, ByteOrder.LITTLE_ENDIAN);
    }

    /**
     * Reads every stride-th sample.
     *
     * @param offset of the first sample, 1 or more
     * @param stride from sample to sample, in bytes
     */
    abstract void decode(byte[] bytes, int offset, int stride, float[] into, int count);
}
