package kalodyne.core.paper;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.zip.DataFormatException;
import java.util.zip.Inflater;

/** A font that ships packed (WOFF 1.0, W3C Recommendation), as the font that it was packed from. */
final class WoffFont {
    private static final int SIGNATURE = 0x774F4646;
    private static final int HEAD_OF_WOFF = 44;
    private static final int ENTRY_OF_WOFF = 20;
    private static final int HEAD = 12;
    private static final int ENTRY = 16;

    private WoffFont() {}

    /** The font of a resource beside this class. */
    static byte[] unpacked(String resource) {
        return unpack(packed(resource));
    }

    /** The same as it ships. */
    static byte[] packed(String resource) {
        try (InputStream in = WoffFont.class.getResourceAsStream(resource)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static byte[] unpack(byte[] woff) {
        ByteBuffer in = ByteBuffer.wrap(woff);
        if (in.getInt() != SIGNATURE) {
            throw new IllegalArgumentException("a packed font begins with wOFF");
        }
        int flavour = in.getInt();
        int tables = in.getShort(HEAD);
        int size = in.getInt(16);
        ByteBuffer out = ByteBuffer.allocate(size);
        int power = Integer.highestOneBit(tables);
        out.putInt(flavour);
        out.putShort((short) tables);
        out.putShort((short) (power * ENTRY));
        out.putShort((short) Integer.numberOfTrailingZeros(power));
        out.putShort((short) (tables * ENTRY - power * ENTRY));
        int offset = HEAD + tables * ENTRY;
        for (int i = 0; i < tables; i++) {
            int entry = HEAD_OF_WOFF + i * ENTRY_OF_WOFF;
            int packedLength = in.getInt(entry + 8);
            int length = in.getInt(entry + 12);
            out.putInt(in.getInt(entry));
            out.putInt(in.getInt(entry + 16));
            out.putInt(offset);
            out.putInt(length);
            byte[] table = table(woff, in.getInt(entry + 4), packedLength, length);
            System.arraycopy(table, 0, out.array(), offset, length);
            // Tables begin at multiples of four bytes.
            offset += (length + 3) / 4 * 4;
        }
        return out.array();
    }

    private static byte[] table(byte[] woff, int offset, int packedLength, int length) {
        byte[] table = new byte[length];
        if (packedLength == length) {
            System.arraycopy(woff, offset, table, 0, length);
            return table;
        }
        Inflater inflater = new Inflater();
        try {
            inflater.setInput(woff, offset, packedLength);
            inflater.inflate(table);
            return table;
        } catch (DataFormatException e) {
            throw new IllegalArgumentException("a packed font is damaged", e);
        } finally {
            inflater.end();
        }
    }
}
