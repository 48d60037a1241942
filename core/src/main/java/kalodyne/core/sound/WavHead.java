package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.units.Print;

/**
 * Reads the head of a WAVE file up to the start of its samples: RIFF and the long forms RF64 and BW64 (EBU Tech 3306,
 * ITU-R BS.2088), the chunk "fmt " with its plain and extensible forms, past any other chunk, to the chunk "data".
 */
final class WavHead {
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

    private final HeadBytes bytes;
    private long riffSize;
    private Encoding encoding;

    /** The lengths that a long form tells in a chunk of its own, since 32 bits do not hold them. */
    private Optional<LongSizes> longSizes = Optional.empty();

    private record Encoding(SampleFormat format, int channels, int speakers, int sampleRateHz) {}

    private record LongSizes(long riff, long data) {}

    WavHead(Path file, FileChannel channel) throws IOException {
        bytes = new HeadBytes(file, channel, ByteOrder.LITTLE_ENDIAN);
    }

    PcmLayout read() throws IOException {
        readRiff();
        long at = 12;
        while (at + 8 <= bytes.size()) {
            ByteBuffer head = bytes.at(at, 8);
            String id = HeadBytes.fourLetters(head, 0);
            long length = Integer.toUnsignedLong(head.getInt(4));
            if (id.equals("data")) {
                return layout(at + 8, length);
            }
            if (id.equals("fmt ")) {
                encoding = readFormat(at + 8, length);
            }
            if (id.equals("ds64") && length >= 16) {
                ByteBuffer sizes = bytes.at(at + 8, 16);
                longSizes = Optional.of(new LongSizes(sizes.getLong(0), sizes.getLong(8)));
            }
            at += 8 + length + (length & 1);
        }
        throw bytes.unreadable(
                Math.min(at, bytes.size()),
                "The file ends before its samples begin" + (encoding == null ? " and before it says what they are" : "")
                        + ".",
                HeadBytes.COPY_AGAIN);
    }

    private void readRiff() throws IOException {
        if (bytes.size() < 12) {
            throw bytes.unreadable(0, "The file is too short to be a WAV.", HeadBytes.COPY_AGAIN);
        }
        riffSize = Integer.toUnsignedLong(bytes.at(0, 12).getInt(4));
    }

    private Encoding readFormat(long at, long length) throws IOException {
        if (length < 16) {
            throw bytes.unreadable(
                    at, "The description of the samples is only " + length + " bytes long.", HeadBytes.EXPORT_AGAIN);
        }
        ByteBuffer format = bytes.at(at, (int) Math.min(length, 40));
        int tag = Short.toUnsignedInt(format.getShort(0));
        int channels = Short.toUnsignedInt(format.getShort(2));
        long rate = Integer.toUnsignedLong(format.getInt(4));
        int frameBytes = Short.toUnsignedInt(format.getShort(12));
        int bits = Short.toUnsignedInt(format.getShort(14));
        int speakers = 0;
        if (tag == EXTENSIBLE) {
            tag = extensibleTag(at, length, format);
            speakers = format.getInt(20);
        }
        if (channels == 0 || channels > MOST_CHANNELS) {
            throw bytes.unreadable(at + 2, "It says that it has " + channels + " channels.", HeadBytes.EXPORT_AGAIN);
        }
        if (rate == 0 || rate > Integer.MAX_VALUE) {
            throw bytes.unreadable(at + 4, "It says that its sample rate is " + rate + " Hz.", HeadBytes.EXPORT_AGAIN);
        }
        SampleFormat samples = sampleFormat(at, tag, bits);
        if (frameBytes != samples.bytes() * channels) {
            throw bytes.unreadable(
                    at + 12,
                    "It says that " + channels + " samples of " + bits + " bits take " + frameBytes + " bytes.",
                    HeadBytes.EXPORT_AGAIN);
        }
        return new Encoding(samples, channels, speakers, (int) rate);
    }

    private int extensibleTag(long at, long length, ByteBuffer format) throws UnreadableSound {
        if (length < 40) {
            throw bytes.unreadable(at, "The extended description of the samples is cut short.", HeadBytes.EXPORT_AGAIN);
        }
        for (int i = 0; i < SUB_FORMAT_TAIL.length; i++) {
            if (format.get(26 + i) != SUB_FORMAT_TAIL[i]) {
                throw bytes.otherEncoding(at + 24, "The encoding of its samples is not known.");
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
                default -> throw bytes.otherEncoding(at + 14, "Samples of " + bits + " bits are not read.");
            };
        }
        if (tag == IEEE_FLOAT && bits == 32) {
            return SampleFormat.FLOAT_32;
        }
        if (tag == IEEE_FLOAT && bits == 64) {
            return SampleFormat.FLOAT_64;
        }
        throw bytes.otherEncoding(
                at, "Its samples are in encoding " + tag + " with " + bits + " bits, which is not read.");
    }

    private PcmLayout layout(long dataStart, long inChunk) throws UnreadableSound {
        if (encoding == null) {
            throw bytes.unreadable(
                    dataStart - 8, "The samples come before the description of what they are.", HeadBytes.EXPORT_AGAIN);
        }
        long stated = inChunk == UNKNOWN_SIZE ? longSizes.map(LongSizes::data).orElse(inChunk) : inChunk;
        long there = bytes.size() - dataStart;
        int frameBytes = encoding.channels() * encoding.format().bytes();
        boolean open = isUnknown(stated, there) || (stated == 0 && there >= frameBytes);
        long readable = open ? there : Math.min(stated, there);
        return new PcmLayout(
                new SoundHeader(
                        "WAV, " + encoding.format().words(),
                        encoding.format(),
                        encoding.channels(),
                        encoding.speakers(),
                        encoding.sampleRateHz(),
                        readable / frameBytes,
                        sizeFault(dataStart, stated, there, frameBytes)),
                dataStart);
    }

    private boolean isUnknown(long stated, long there) {
        boolean signed = stated >= UNKNOWN_SIGNED_SIZE && stated <= Integer.MAX_VALUE && there < stated;
        boolean unfilled = longSizes.isPresent() && stated <= 0;
        return stated == UNKNOWN_SIZE || signed || unfilled;
    }

    private Optional<SoundHeader.SizeFault> sizeFault(long dataStart, long stated, long there, int frameBytes) {
        String place = HeadBytes.place(dataStart - 4);
        if (isUnknown(stated, there)) {
            return Optional.empty();
        }
        if (stated > there) {
            double missing = (double) (stated - there) / frameBytes / encoding.sampleRateHz();
            return SoundHeader.SizeFault.missing(
                    place,
                    "The file is cut short: " + Print.moment(missing) + " of what it promises is not there.",
                    HeadBytes.COPY_AGAIN);
        }
        if (stated == 0 && there >= frameBytes) {
            return SoundHeader.SizeFault.missing(
                    place,
                    "It says that it has no samples, but " + Print.count(there)
                            + " bytes follow. They were read as samples.",
                    "The recorder probably lost power; open and save it in a sound editor.");
        }
        if (stated % frameBytes != 0) {
            return SoundHeader.SizeFault.missing(
                    place,
                    "Its samples end in the middle of one. The last, incomplete one was left out.",
                    HeadBytes.COPY_AGAIN);
        }
        long whole = riffSize == UNKNOWN_SIZE ? longSizes.map(LongSizes::riff).orElse(riffSize) : riffSize;
        return whole + 8 < dataStart + stated
                ? SoundHeader.SizeFault.wrong(
                        "byte 4",
                        "The length at its start is too short. All samples were read.",
                        "Save it again if other programs refuse it.")
                : Optional.empty();
    }
}
