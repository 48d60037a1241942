package kalodyne.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Heads of AIFF and AIFF-C files, byte by byte after the published descriptions (Audio Interchange File Format 1.3; AIFF-C draft of
 * 1991): chunks of big-endian numbers, the rate as an extended number of 80 bits.
 */
class AiffHeadTest {
    @TempDir
    Path folder;

    /** 44,100 Hz: 44100/32768 = 1.345825… is the fraction behind exponent 16383 + 15, whose top bits are 0xAC44. */
    private static final long[] CD = {16_383 + 15, 0xAC44_0000_0000_0000L};

    private static final long[] DAT = {16_383 + 15, 0xBB80_0000_0000_0000L};

    /** A file of so many frames of zeros. */
    private final class Aiff {
        private String form = "AIFF";
        private int channels = 2;
        private long frames = 100;
        private int bits = 16;
        private long[] rate = CD;
        private String compression;
        private int commonLength = -1;
        private int dataBytes = 400;
        private long statedBytes = -1;
        private int offset;
        private boolean hasCommon = true;
        private boolean hasSamples = true;

        Path write() throws IOException {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            DataOutputStream out = new DataOutputStream(bytes);
            out.write(ascii("FORM"));
            out.writeInt(4 + 1000);
            out.write(ascii(form));
            out.write(ascii("NAME"));
            out.writeInt(3);
            out.write(new byte[] {'a', 'b', 'c', 0});
            if (hasCommon) {
                int length = commonLength >= 0 ? commonLength : compression == null ? 18 : 24;
                out.write(ascii("COMM"));
                out.writeInt(length);
                out.writeShort(channels);
                out.writeInt((int) frames);
                out.writeShort(bits);
                out.writeShort((int) rate[0]);
                out.writeLong(rate[1]);
                if (compression != null) {
                    out.write(ascii(compression));
                    out.writeShort(0);
                }
            }
            if (hasSamples) {
                out.write(ascii("SSND"));
                out.writeInt((int) (statedBytes >= 0 ? statedBytes : 8 + offset + dataBytes));
                out.writeInt(offset);
                out.writeInt(0);
                out.write(new byte[offset + dataBytes]);
            }
            return Files.write(folder.resolve("take.aiff"), bytes.toByteArray());
        }
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    private static SoundHeader header(Path file) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            return stream.header();
        }
    }

    @ParameterizedTest
    @CsvSource(nullValues = "none", textBlock = """
            none, 8,  1, 'AIFF, 8-bit'
            none, 16, 2, 'AIFF, 16-bit'
            none, 24, 3, 'AIFF, 24-bit'
            none, 20, 3, 'AIFF, 24-bit'
            none, 32, 4, 'AIFF, 32-bit'
            NONE, 16, 2, 'AIFF, 16-bit'
            twos, 16, 2, 'AIFF, 16-bit'
            sowt, 16, 2, 'AIFF, 16-bit'
            in24, 24, 3, 'AIFF, 24-bit'
            in32, 32, 4, 'AIFF, 32-bit'
            fl32, 32, 4, 'AIFF, 32-bit floating point'
            FL32, 32, 4, 'AIFF, 32-bit floating point'
            fl64, 64, 8, 'AIFF, 64-bit floating point'
            """)
    void every_kind_of_sample_is_known(String compression, int bits, int bytes, String words) throws IOException {
        Aiff aiff = new Aiff();
        aiff.form = compression == null ? "AIFF" : "AIFC";
        aiff.compression = compression;
        aiff.bits = bits;
        aiff.dataBytes = 100 * 2 * bytes;
        SoundHeader header = header(aiff.write());
        assertThat(header.frames()).isEqualTo(100);
        assertThat(header.channels()).isEqualTo(2);
        assertThat(header.sampleRateHz()).isEqualTo(44_100);
        assertThat(header.format().bytes()).isEqualTo(bytes);
        assertThat(header.encoding()).isEqualTo(words);
    }

    @Test
    void the_rate_is_read_to_the_last_digit() throws IOException {
        Aiff aiff = new Aiff();
        aiff.rate = DAT;
        assertThat(header(aiff.write()).sampleRateHz()).isEqualTo(48_000);
        aiff.rate = new long[] {16_383 + 16, 0xBB80_0000_0000_0000L};
        assertThat(header(aiff.write()).sampleRateHz()).isEqualTo(96_000);
    }

    /** Samples may begin behind a gap. What is promised and missing is told; what was never closed is read as far as it goes. */
    @ParameterizedTest
    @CsvSource({
        "100, 400, -1, 0,  100, false",
        "100, 400, -1, 16, 100, false",
        "200, 400, -1, 0,  100, true",
        "100, 400, 1208, 0, 100, true",
        "0,   400, 0, 0,  100, false",
    })
    void what_is_there_is_read(long frames, int dataBytes, long stated, int offset, long expected, boolean isShort)
            throws IOException {
        Aiff aiff = new Aiff();
        aiff.frames = frames;
        aiff.dataBytes = dataBytes;
        aiff.statedBytes = stated == 0 ? 8 : stated;
        aiff.offset = offset;
        SoundHeader header = header(aiff.write());
        assertThat(header.frames()).isEqualTo(expected);
        assertThat(header.fault().isPresent()).isEqualTo(isShort);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            no description  | The file ends before it says what its samples are
            no samples      | The file ends before its samples begin
            short           | The description of the samples is only 4 bytes long
            no channels     | It says that it has 0 channels
            rate 0          | It says that its sample rate is 0 Hz
            endless rate    | It says that its sample rate is
            """)
    void what_cannot_be_is_told_with_its_place(String what, String expected) throws IOException {
        Aiff aiff = new Aiff();
        switch (what) {
            case "no description" -> aiff.hasCommon = false;
            case "no samples" -> aiff.hasSamples = false;
            case "short" -> aiff.commonLength = 4;
            case "no channels" -> aiff.channels = 0;
            case "rate 0" -> aiff.rate = new long[] {0, 0};
            case "endless rate" -> aiff.rate = new long[] {0x7FFE, 0xFFFF_0000_0000_0000L};
            default -> throw new IllegalArgumentException(what);
        }
        Path file = aiff.write();
        assertThatThrownBy(() -> header(file))
                .isInstanceOf(UnreadableSound.class)
                .hasMessageContaining("take.aiff")
                .hasMessageContaining(expected);
    }
}
