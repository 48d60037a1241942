package kalodyne.core.sound;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.util.Optional;
import kalodyne.core.units.Print;

/** Reads the head of an AIFF or AIFF-C file: the chunks "COMM" and "SSND", in whichever order they come. */
final class AiffHead {
    /** Exponent of 1.0 in a number of 80 bits, whose 64 bits behind it are a whole number. */
    private static final int EXPONENT_OF_ONE = 16_383;

    private static final int LEAST_DESCRIPTION = 18;

    private final HeadBytes bytes;
    private Description description;
    private Samples samples;

    private record Description(SampleFormat format, int channels, long frames, int sampleRateHz) {}

    /** Where they begin, where the chunk's length stands, and how many bytes it says there are. */
    private record Samples(long start, long stated) {}

    AiffHead(Path file, FileChannel channel) throws IOException {
        bytes = new HeadBytes(file, channel, ByteOrder.BIG_ENDIAN);
    }

    PcmLayout read() throws IOException {
        long at = 12;
        while (at + 8 <= bytes.size() && (description == null || samples == null)) {
            ByteBuffer head = bytes.at(at, 8);
            long length = Integer.toUnsignedLong(head.getInt(4));
            switch (HeadBytes.fourLetters(head, 0)) {
                case "COMM" -> description = readDescription(at + 8, length);
                case "SSND" -> samples = readSamples(at + 8, length);
                default -> {}
            }
            at += 8 + length + (length & 1);
        }
        if (description == null || samples == null) {
            throw bytes.unreadable(
                    Math.min(at, bytes.size()),
                    description == null
                            ? "The file ends before it says what its samples are."
                            : "The file ends before its samples begin.",
                    HeadBytes.COPY_AGAIN);
        }
        return layout();
    }

    private Description readDescription(long at, long length) throws IOException {
        if (length < LEAST_DESCRIPTION) {
            throw bytes.unreadable(
                    at, "The description of the samples is only " + length + " bytes long.", HeadBytes.EXPORT_AGAIN);
        }
        ByteBuffer common = bytes.at(at, (int) Math.min(length, 22));
        int channels = Short.toUnsignedInt(common.getShort(0));
        int bits = Short.toUnsignedInt(common.getShort(6));
        double rate = extended(common, 8);
        if (channels == 0) {
            throw bytes.unreadable(at, "It says that it has 0 channels.", HeadBytes.EXPORT_AGAIN);
        }
        if (!(rate >= 1 && rate <= Integer.MAX_VALUE)) {
            throw bytes.unreadable(
                    at + 8, "It says that its sample rate is " + Print.plain(rate) + " Hz.", HeadBytes.EXPORT_AGAIN);
        }
        String compression = length >= 22 ? HeadBytes.fourLetters(common, 18) : "NONE";
        return new Description(format(at, compression, bits), channels, Integer.toUnsignedLong(common.getInt(2)), (int)
                Math.round(rate));
    }

    private SampleFormat format(long at, String compression, int bits) throws UnreadableSound {
        return switch (compression) {
            case "NONE", "twos" -> plain(at, bits);
            case "in24" -> SampleFormat.SIGNED_24_BIG;
            case "in32" -> SampleFormat.SIGNED_32_BIG;
            case "fl32", "FL32" -> SampleFormat.FLOAT_32_BIG;
            case "fl64", "FL64" -> SampleFormat.FLOAT_64_BIG;
            case "sowt" -> {
                if (bits != 16) {
                    throw bytes.otherEncoding(at + 18, "Its samples are in encoding sowt with " + bits + " bits.");
                }
                yield SampleFormat.SIGNED_16;
            }
            default ->
                throw bytes.otherEncoding(at + 18, "Its samples are in encoding " + printable(compression) + ".");
        };
    }

    private SampleFormat plain(long at, int bits) throws UnreadableSound {
        return switch ((bits + 7) / 8) {
            case 1 -> SampleFormat.SIGNED_8;
            case 2 -> SampleFormat.SIGNED_16_BIG;
            case 3 -> SampleFormat.SIGNED_24_BIG;
            case 4 -> SampleFormat.SIGNED_32_BIG;
            default -> throw bytes.otherEncoding(at + 6, "Samples of " + bits + " bits are not read.");
        };
    }

    private static String printable(String letters) {
        return letters.replaceAll("[^ -~]", "?");
    }

    /** A number of 80 bits, as this format keeps its sample rate. */
    private static double extended(ByteBuffer bytes, int offset) {
        int exponent = bytes.getShort(offset) & 0x7FFF;
        double whole = bytes.getInt(offset + 2) & 0xFFFFFFFFL;
        double rest = bytes.getInt(offset + 6) & 0xFFFFFFFFL;
        return Math.scalb(whole, exponent - EXPONENT_OF_ONE - 31) + Math.scalb(rest, exponent - EXPONENT_OF_ONE - 63);
    }

    private Samples readSamples(long at, long length) throws IOException {
        if (length < 8) {
            throw bytes.unreadable(
                    at, "The chunk of its samples is only " + length + " bytes long.", HeadBytes.COPY_AGAIN);
        }
        long offset = Integer.toUnsignedLong(bytes.at(at, 8).getInt(0));
        return new Samples(at + 8 + offset, Math.max(0, length - 8 - offset));
    }

    private PcmLayout layout() {
        int frameBytes = description.channels() * description.format().bytes();
        long there = Math.max(0, bytes.size() - samples.start());
        // The number of frames counts; a chunk that was never closed says 0.
        long promised = Math.max(description.frames() * frameBytes, samples.stated());
        Optional<SoundHeader.SizeFault> fault = promised > there
                ? SoundHeader.SizeFault.missing(
                        HeadBytes.place(samples.start()),
                        "The file is cut short: "
                                + Print.moment((double) (promised - there) / frameBytes / description.sampleRateHz())
                                + " of what it promises is not there.",
                        HeadBytes.COPY_AGAIN)
                : Optional.empty();
        long readable = promised == 0 ? there : Math.min(promised, there);
        return new PcmLayout(
                new SoundHeader(
                        "AIFF, " + description.format().words(),
                        description.format(),
                        description.channels(),
                        0,
                        description.sampleRateHz(),
                        readable / frameBytes,
                        fault),
                samples.start());
    }
}
