package kalodyne.core.sound.copies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.Broadcast;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.SampleFormat;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.SoundTags;
import kalodyne.core.sound.TagChunks;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What was written is read again, and compared with the formula that it was made by. */
class CopyWriterTest {
    private static final int RATE = 44_100;
    private static final int FRAMES = 50_001;

    @TempDir
    Path folder;

    private Path target;

    @BeforeEach
    void name_the_copy() {
        target = folder.resolve("new").resolve("copy.wav");
    }

    /** Two sines by formula, the second above full scale where asked for; fails or ends where it is told to. */
    private static final class Made implements SoundStream {
        private final float[][] samples = new float[2][4096];
        private final double size;
        private final long frames;
        private long at;

        Made(double size, long frames) {
            this.size = size;
            this.frames = frames;
        }

        static double sample(int channel, long frame, double size) {
            return size * Math.sin(2 * Math.PI * (channel == 0 ? 441 : 1009) * frame / RATE);
        }

        @Override
        public SoundHeader header() {
            return new SoundHeader("made", SampleFormat.FLOAT_32, 2, 0, RATE, frames, Optional.empty());
        }

        @Override
        public float[][] samples() {
            return samples;
        }

        @Override
        public int next() throws IOException {
            int count = (int) Math.min(samples[0].length, FRAMES - at);
            for (int c = 0; c < 2; c++) {
                for (int i = 0; i < count; i++) {
                    samples[c][i] = (float) sample(c, at + i, size);
                }
            }
            at += count;
            return count;
        }

        @Override
        public void skipTo(long frame) {
            at = frame;
        }

        @Override
        public void close() {
            // Nothing is open.
        }
    }

    private List<String> left() throws IOException {
        if (!Files.exists(target.getParent())) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(target.getParent())) {
            return files.map(each -> each.getFileName().toString()).toList();
        }
    }

    /** Each sample comes back within what its bits, and the noise before rounding, leave of it. */
    @ParameterizedTest
    @EnumSource(CopyFormat.class)
    void samples_come_back(CopyFormat format) throws IOException {
        CopyWriter.Written written = CopyWriter.write(new Made(0.5, FRAMES), target, Copy.as(format), Progress.NONE);
        assertThat(written.frames()).isEqualTo(FRAMES);
        assertThat(written.peak()).isCloseTo(0.5, within(1e-4));
        assertThat(written.clipped()).isZero();
        double most = format.isFloat() ? 1e-7 : (format.bits() == 16 ? 1.5 : 0.5) / (1 << (format.bits() - 1)) + 1e-7;
        double worst = 0;
        long at = 0;
        try (SoundStream stream = SoundFiles.open(target)) {
            assertThat(stream.header().sampleRateHz()).isEqualTo(RATE);
            assertThat(stream.header().channels()).isEqualTo(2);
            for (int count = stream.next(); count > 0; count = stream.next()) {
                for (int c = 0; c < 2; c++) {
                    for (int i = 0; i < count; i++) {
                        worst = Math.max(worst, Math.abs(stream.samples()[c][i] - Made.sample(c, at + i, 0.5)));
                    }
                }
                at += count;
            }
            assertThat(stream.header().fault()).isEmpty();
        }
        assertThat(at).isEqualTo(FRAMES);
        assertThat(worst).isLessThan(most);
        assertThat(left()).containsExactly("copy.wav");
    }

    /**
     * A sine smaller than half a step of 16 bits: rounded it would be silence; with the noise it is there, at its level, and the error has the
     * power of the noise (two thirds of a step's own, which is 1/12) and of rounding, 3/12 of a step squared, whatever the sample.
     */
    @Test
    void what_is_smaller_than_a_step_survives_dither() throws IOException {
        double step = 1.0 / 32_768;
        double size = 0.4 * step;
        CopyWriter.write(new Made(size, FRAMES), target, Copy.as(CopyFormat.WAV_16), Progress.NONE);
        double product = 0;
        double square = 0;
        long at = 0;
        try (SoundStream stream = SoundFiles.open(target)) {
            for (int count = stream.next(); count > 0; count = stream.next()) {
                for (int i = 0; i < count; i++, at++) {
                    double meant = Made.sample(0, at, size);
                    product += meant * stream.samples()[0][i];
                    square += Math.pow(stream.samples()[0][i] - meant, 2);
                }
            }
        }
        assertThat(product / at / (size * size / 2)).isCloseTo(1, within(0.05));
        assertThat(square / at / (step * step)).isCloseTo(0.25, within(0.01));
        CopyWriter.write(
                new Made(size, FRAMES),
                target,
                Copy.as(CopyFormat.WAV_16).undithered().replacing(true),
                Progress.NONE);
        try (SoundStream stream = SoundFiles.open(target)) {
            int count = stream.next();
            for (int i = 0; i < count; i++) {
                assertThat(stream.samples()[0][i]).isZero();
            }
        }
    }

    @Test
    void what_is_cut_off_is_counted_and_floating_point_keeps_it() throws IOException {
        CopyWriter.Written whole =
                CopyWriter.write(new Made(1.25, FRAMES), target, Copy.as(CopyFormat.WAV_24), Progress.NONE);
        // A sine of 1.25 is above 1 for 2·acos(0.8)/2π of the time.
        assertThat(whole.clipped() / (2.0 * FRAMES)).isCloseTo(2 * Math.acos(0.8) / Math.PI, within(0.01));
        Path kept = folder.resolve("float.wav");
        CopyWriter.Written floating =
                CopyWriter.write(new Made(1.25, FRAMES), kept, Copy.as(CopyFormat.WAV_FLOAT), Progress.NONE);
        assertThat(floating.clipped()).isZero();
        assertThat(floating.peak()).isCloseTo(1.25, within(1e-3));
    }

    /** EBU Tech 3285: the time stands 338 bytes behind the start of the chunk's body, as samples since midnight. */
    @Test
    void time_of_the_day_and_marks_are_kept() throws IOException {
        Broadcast broadcast = Broadcast.of("cello, morning", LocalDateTime.of(2026, 2, 22, 10, 10, 5), 36_605L * RATE)
                .withHistory("A=PCM,F=44100,W=16,T=first")
                .withHistory("A=PCM,F=44100,W=24,T=second");
        SoundTags tags = new SoundTags(
                Optional.of(broadcast),
                List.of(new SoundTags.Mark(0, "Slow one"), new SoundTags.Mark(30_000, "Dritte, für Anna")));
        CopyWriter.write(
                new Made(0.5, FRAMES), target, Copy.as(CopyFormat.WAV_24).with(tags), Progress.NONE);
        SoundTags read = TagChunks.read(target);
        assertThat(read.marks()).isEqualTo(tags.marks());
        assertThat(read.broadcast().orElseThrow().description()).isEqualTo("cello, morning");
        assertThat(read.broadcast().orElseThrow().timeReference()).isEqualTo(36_605L * RATE);
        byte[] bytes = Files.readAllBytes(target);
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        int bext = text.indexOf("bext") + 8;
        assertThat(ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).getLong(bext + 338))
                .isEqualTo(36_605L * RATE);
        assertThat(text.substring(bext + 320, bext + 338)).isEqualTo("2026-02-2210:10:05");
        assertThat(text.substring(bext + 602))
                .startsWith("A=PCM,F=44100,W=16,T=first\r\nA=PCM,F=44100,W=24,T=second\r\n");
        try (SoundStream stream = SoundFiles.open(target)) {
            assertThat(stream.header().frames()).isEqualTo(FRAMES);
            assertThat(stream.header().fault()).isEmpty();
        }
    }

    /** What is there stays, and nothing half is left, whatever goes wrong. */
    @Test
    void nothing_is_overwritten_and_nothing_half_is_left() throws IOException {
        Files.createDirectories(target.getParent());
        Files.writeString(target, "something else");
        assertThatThrownBy(
                        () -> CopyWriter.write(new Made(1, FRAMES), target, Copy.as(CopyFormat.WAV_24), Progress.NONE))
                .isInstanceOf(UnwritableCopy.class)
                .hasMessageContaining(
                        "There is a file of this name already. It was left as it is. Choose another name.");
        Copy replacing = Copy.as(CopyFormat.WAV_24).replacing(true);
        assertThatThrownBy(() -> CopyWriter.write(new Made(1, FRAMES), target, replacing, done -> false))
                .isInstanceOf(CancellationException.class);
        assertThatThrownBy(() -> CopyWriter.write(new Made(1, 1L << 50), target, replacing, Progress.NONE))
                .isInstanceOf(UnwritableCopy.class)
                .hasMessageMatching(
                        ".*It would take \\d+ TB, and only .* are free\\. Make room, or choose another disk\\.");
        SoundStream failing = new Failing();
        assertThatThrownBy(() -> CopyWriter.write(failing, target, replacing, Progress.NONE))
                .isInstanceOf(IOException.class)
                .hasMessage("the card was pulled");
        assertThat(target).hasContent("something else");
        assertThat(left()).containsExactly("copy.wav");
        assertThatThrownBy(() ->
                        CopyWriter.write(new Made(1, FRAMES), target.resolve("below.wav"), replacing, Progress.NONE))
                .isInstanceOf(UnwritableCopy.class);
        assertThatThrownBy(() -> CopyWriter.write(new Made(1, FRAMES), folder, replacing, Progress.NONE))
                .isInstanceOf(UnwritableCopy.class)
                .hasMessageContaining("This is a folder.");
        CopyWriter.write(new Made(1, FRAMES), target, replacing, Progress.NONE);
        assertThat(target).hasSize(80 + 6L * FRAMES);
    }

    /** A source that vanishes while it is read. */
    private static final class Failing implements SoundStream {
        private final Made made = new Made(1, FRAMES);
        private int blocks;

        @Override
        public SoundHeader header() {
            return made.header();
        }

        @Override
        public float[][] samples() {
            return made.samples();
        }

        @Override
        public int next() throws IOException {
            if (blocks++ == 3) {
                throw new IOException("the card was pulled");
            }
            return made.next();
        }

        @Override
        public void skipTo(long frame) {
            made.skipTo(frame);
        }

        @Override
        public void close() {
            made.close();
        }
    }
}
