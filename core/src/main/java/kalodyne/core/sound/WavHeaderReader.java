package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.units.Print;

/**
 * Reads the head of a RIFF WAVE file up to the start of its samples: the chunk "fmt " with its plain and extensible
 * forms, past any other chunk, to the chunk "data".
 */
final class WavHeaderReader {
    private static final int PCM = 1;
    private static final int IEEE_FLOAT = 3;
    private static final int EXTENSIBLE = 0xFFFE;
    private static final int MOST_CHANNELS = 1024;

    /** Programs that stream cannot know the length beforehand. Some write the most that fits... */
    private static final long UNKNOWN_SIZE = 0xFFFFFFFFL;

    /** ... and some the most that fits with a sign, less a page and what is left of a frame. */
    private static final long UNKNOWN_SIGNED_SIZE = 0x7FFFE000L;

    /** Bytes 2 to 15 of the sub-format in an extensible header; the first two tell the encoding. */
    private static final byte[] SUB_FORMAT_TAIL = {
        0, 0, 0, 0, 0x10, 0, (byte) 0x80, 0, 0, (byte) 0xAA, 0, 0x38, (byte) 0x9B, 0x71
    };

    private static final String EXPORT_AGAIN =
            "Export it again as WAV, 16, 24 or 32 bits, from the program that made it.";
    private static final String COPY_AGAIN = "Copy it again from where it was recorded.";

    private final Path file;
    private final FileChannel channel;
    private final long size;
    private long riffSize;
    private Encoding encoding;

    private record Encoding(SampleFormat format, int channels, int sampleRateHz) {}

    WavHeaderReader(Path file, FileChannel channel) throws IOException {
        this.file = file;
        this.channel = channel;
        this.size = channel.size();
    }

    WavHeader read() throws IOException {
        readRiff();
        long at = 12;
        while (at + 8 <= size) {
            ByteBuffer head = bytes(at, 8);
            String id = id(head);
            long length = Integer.toUnsignedLong(head.getInt(4));
            if (id.equals("data")) {
                return header(at + 8, length);
            }
            if (id.equals("fmt ")) {
                encoding = readFormat(at + 8, length);
            }
            at += 8 + length + (length & 1);
        }
        throw unreadable(
                Math.min(at, size),
                "The file ends before its samples begin" + (encoding == null ? " and before it says what they are" : "")
                        + ".",
                COPY_AGAIN);
    }

    private void readRiff() throws IOException {
        if (size < 12) {
            throw unreadable(0, size == 0 ? "The file is empty." : "The file is too short to be a WAV.", COPY_AGAIN);
        }
        ByteBuffer riff = bytes(0, 12);
        String form = fourLetters(riff, 8);
        if (id(riff).equals("RF64") || id(riff).equals("BW64")) {
            throw unreadable(
                    0, "This is a WAV in the long form, which is not read yet.", "Export a part of it under 4 GB.");
        }
        if (!id(riff).equals("RIFF") || !form.equals("WAVE")) {
            throw unreadable(0, "This is not a WAV file.", "Choose a WAV, or export the recording as WAV first.");
        }
        riffSize = Integer.toUnsignedLong(riff.getInt(4));
    }

    private Encoding readFormat(long at, long length) throws IOException {
        if (length < 16) {
            throw unreadable(at, "The description of the samples is only " + length + " bytes long.", EXPORT_AGAIN);
        }
        ByteBuffer format = bytes(at, (int) Math.min(length, 40));
        int tag = Short.toUnsignedInt(format.getShort(0));
        int channels = Short.toUnsignedInt(format.getShort(2));
        long rate = Integer.toUnsignedLong(format.getInt(4));
        int frameBytes = Short.toUnsignedInt(format.getShort(12));
        int bits = Short.toUnsignedInt(format.getShort(14));
        if (tag == EXTENSIBLE) {
            tag = extensibleTag(at, length, format);
        }
        if (channels == 0 || channels > MOST_CHANNELS) {
            throw unreadable(at + 2, "It says that it has " + channels + " channels.", EXPORT_AGAIN);
        }
        if (rate == 0 || rate > Integer.MAX_VALUE) {
            throw unreadable(at + 4, "It says that its sample rate is " + rate + " Hz.", EXPORT_AGAIN);
        }
        SampleFormat samples = sampleFormat(at, tag, bits);
        if (frameBytes != samples.bytes() * channels) {
            throw unreadable(
                    at + 12,
                    "It says that " + channels + " samples of " + bits + " bits take " + frameBytes + " bytes.",
                    EXPORT_AGAIN);
        }
        return new Encoding(samples, channels, (int) rate);
    }

    private int extensibleTag(long at, long length, ByteBuffer format) throws UnreadableSound {
        if (length < 40) {
            throw unreadable(at, "The extended description of the samples is cut short.", EXPORT_AGAIN);
        }
        for (int i = 0; i < SUB_FORMAT_TAIL.length; i++) {
            if (format.get(26 + i) != SUB_FORMAT_TAIL[i]) {
                throw unreadable(at + 24, "The encoding of its samples is not known.", EXPORT_AGAIN);
            }
        }
        return Short.toUnsignedInt(format.getShort(24));
    }

    private SampleFormat sampleFormat(long at, int tag, int bits) throws UnreadableSound {
        if (tag == PCM) {
            return switch (bits) {
                case 8 -> SampleFormat.UNSIGNED_8;
                case 16 -> SampleFormat.SIGNED_16;
                case 24 -> SampleFormat.SIGNED_24;
                case 32 -> SampleFormat.SIGNED_32;
                default -> throw unreadable(at + 14, "Samples of " + bits + " bits are not read.", EXPORT_AGAIN);
            };
        }
        if (tag == IEEE_FLOAT && bits == 32) {
            return SampleFormat.FLOAT_32;
        }
        if (tag == IEEE_FLOAT && bits == 64) {
            return SampleFormat.FLOAT_64;
        }
        throw unreadable(
                at, "Its samples are in encoding " + tag + " with " + bits + " bits, which is not read.", EXPORT_AGAIN);
    }

    private WavHeader header(long dataStart, long stated) throws UnreadableSound {
        if (encoding == null) {
            throw unreadable(dataStart - 8, "The samples come before the description of what they are.", EXPORT_AGAIN);
        }
        long there = size - dataStart;
        int frameBytes = encoding.channels() * encoding.format().bytes();
        boolean open = isUnknown(stated, there) || (stated == 0 && there >= frameBytes);
        long readable = open ? there : Math.min(stated, there);
        return new WavHeader(
                encoding.format(),
                encoding.channels(),
                encoding.sampleRateHz(),
                dataStart,
                readable / frameBytes,
                sizeFault(dataStart, stated, there, frameBytes));
    }

    private static boolean isUnknown(long stated, long there) {
        boolean signed = stated >= UNKNOWN_SIGNED_SIZE && stated <= Integer.MAX_VALUE && there < stated;
        return stated == UNKNOWN_SIZE || signed;
    }

    private Optional<WavHeader.SizeFault> sizeFault(long dataStart, long stated, long there, int frameBytes) {
        String place = "byte " + (dataStart - 4);
        if (isUnknown(stated, there)) {
            return Optional.empty();
        }
        if (stated > there) {
            double missing = (double) (stated - there) / frameBytes / encoding.sampleRateHz();
            return fault(
                    true,
                    place,
                    "The file is cut short: " + Print.moment(missing) + " of what it promises is not there.",
                    COPY_AGAIN);
        }
        if (stated == 0 && there >= frameBytes) {
            return fault(
                    true,
                    place,
                    "It says that it has no samples, but " + Print.count(there)
                            + " bytes follow. They were read as samples.",
                    "The recorder probably lost power; open and save it in a sound editor.");
        }
        if (stated % frameBytes != 0) {
            return fault(
                    true,
                    place,
                    "Its samples end in the middle of one. The last, incomplete one was left out.",
                    COPY_AGAIN);
        }
        boolean outerWrong = riffSize + 8 < dataStart + stated;
        return outerWrong
                ? fault(
                        false,
                        "byte 4",
                        "The length at its start is too short. All samples were read.",
                        "Save it again if other programs refuse it.")
                : Optional.empty();
    }

    private static Optional<WavHeader.SizeFault> fault(boolean missing, String place, String problem, String remedy) {
        return Optional.of(new WavHeader.SizeFault(missing, place, problem, remedy));
    }

    private ByteBuffer bytes(long at, int count) throws IOException {
        ByteBuffer buffer = ByteBuffer.allocate(count).order(ByteOrder.LITTLE_ENDIAN);
        while (buffer.hasRemaining()) {
            if (channel.read(buffer, at + buffer.position()) < 0) {
                throw unreadable(size, "The file ends in the middle of its description.", COPY_AGAIN);
            }
        }
        return buffer.flip();
    }

    private static String id(ByteBuffer chunk) {
        return fourLetters(chunk, 0);
    }

    private static String fourLetters(ByteBuffer bytes, int offset) {
        byte[] letters = new byte[4];
        bytes.get(offset, letters);
        return new String(letters, StandardCharsets.ISO_8859_1);
    }

    private UnreadableSound unreadable(long at, String problem, String remedy) {
        return new UnreadableSound(file, "byte " + at, problem, remedy);
    }
}
