package kalodyne.core.sound.copies;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicReference;
import kalodyne.core.files.Progress;
import kalodyne.core.files.WholeFile;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundSink;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sums.Spans;

/** Writes copies. Each grows under a name of its own beside the target and gets its name when it is whole. */
public final class CopyWriter {
    private CopyWriter() {}

    /**
     * What was written.
     *
     * @param frames how many
     * @param peak the largest sample before rounding, full scale is 1
     * @param clipped how many samples were cut off at full scale
     */
    public record Written(long frames, double peak, long clipped) {}

    /**
     * Writes a copy.
     *
     * @param target its folder is made if it is not there
     * @throws UnwritableCopy where it cannot be written; says why
     * @throws CancellationException where the progress asked to stop
     */
    public static Written write(SoundStream source, Path target, Copy copy, Progress progress) throws IOException {
        Path file = target.toAbsolutePath();
        refuseTaken(file, copy);
        makeFolder(file);
        refuseTooLarge(file, source.header(), copy);
        AtomicReference<Written> written = new AtomicReference<>();
        try {
            WholeFile.grow(file, part -> {
                written.set(fill(source, part, copy, progress));
                refuseTaken(file, copy);
            });
        } catch (Unwritten e) {
            throw new UnwritableCopy(file, "It could not be written: " + e.getMessage() + ".", remedy(file));
        } catch (AccessDeniedException e) {
            throw new UnwritableCopy(file, "It may not be written there.", "Choose another folder.");
        }
        return written.get();
    }

    private static void refuseTaken(Path file, Copy copy) throws UnwritableCopy {
        if (Files.isDirectory(file)) {
            throw new UnwritableCopy(file, "This is a folder.", "Give the copy a name of its own.");
        }
        if (Files.exists(file) && !copy.replaces()) {
            throw new UnwritableCopy(
                    file, "There is a file of this name already. It was left as it is.", "Choose another name.");
        }
    }

    private static void makeFolder(Path file) throws UnwritableCopy {
        try {
            Files.createDirectories(file.getParent());
        } catch (IOException e) {
            throw new UnwritableCopy(
                    file, "Its folder cannot be written to.", "Choose another folder, or ask who owns this one.");
        }
    }

    private static void refuseTooLarge(Path file, SoundHeader header, Copy copy) throws IOException {
        long bytes = header.frames() * header.channels() * copy.format().bytes();
        long room = Files.getFileStore(file.getParent()).getUsableSpace();
        boolean isPacked = copy.format().ending().equals("flac");
        if (!isPacked && bytes > room) {
            throw new UnwritableCopy(
                    file,
                    "It would take " + Spans.bytes(bytes) + ", and only " + Spans.bytes(room) + " are free.",
                    "Make room, or choose another disk.");
        }
    }

    /** Something failed while it was written, not while the source was read. */
    private static final class Unwritten extends IOException {
        private static final long serialVersionUID = 1L;

        Unwritten(IOException cause) {
            super(cause.getMessage(), cause);
        }
    }

    private static Written fill(SoundStream source, Path part, Copy copy, Progress progress) throws IOException {
        SoundHeader header = source.header();
        long expected = Math.max(1, header.frames());
        Tally tally = new Tally(copy);
        SoundSink sink = open(part, header, copy);
        try {
            for (int count = source.next(); count > 0; count = source.next()) {
                write(sink, tally.pass(source.samples(), count), count);
                if (!progress.report(Math.min(1, (double) tally.frames / expected))) {
                    throw new CancellationException("Writing was stopped.");
                }
            }
        } catch (IOException | RuntimeException e) {
            closeBroken(sink, e);
            throw e;
        }
        close(sink);
        return new Written(tally.frames, tally.peak, tally.clipped);
    }

    private static SoundSink open(Path part, SoundHeader header, Copy copy) throws Unwritten {
        try {
            return SoundSink.open(part, header.channels(), header.sampleRateHz(), copy.format(), copy.tags());
        } catch (IOException e) {
            throw new Unwritten(e);
        }
    }

    private static void write(SoundSink sink, float[][] samples, int count) throws Unwritten {
        try {
            sink.write(samples, count);
        } catch (IOException e) {
            throw new Unwritten(e);
        }
    }

    private static void close(SoundSink sink) throws Unwritten {
        try {
            sink.close();
        } catch (IOException e) {
            throw new Unwritten(e);
        }
    }

    private static void closeBroken(SoundSink sink, Exception because) {
        try {
            sink.close();
        } catch (IOException e) {
            because.addSuppressed(e);
        }
    }

    /** Counts what goes by, and dithers a block of its own: the source's stays as it is. */
    private static final class Tally {
        private final boolean isFloat;
        private final Dither dither;
        private final boolean isDithered;
        private float[][] block = new float[0][0];
        private long frames;
        private double peak;
        private long clipped;

        Tally(Copy copy) {
            isFloat = copy.format().isFloat();
            isDithered = copy.isDithered() && !isFloat;
            dither = new Dither(copy.format().bits());
        }

        float[][] pass(float[][] samples, int count) {
            frames += count;
            for (float[] channel : samples) {
                for (int i = 0; i < count; i++) {
                    float size = Math.abs(channel[i]);
                    peak = size > peak ? size : peak;
                    clipped += !isFloat && size > 1 ? 1 : 0;
                }
            }
            if (!isDithered) {
                return samples;
            }
            if (block.length != samples.length || block[0].length < count) {
                block = new float[samples.length][count];
            }
            for (int c = 0; c < samples.length; c++) {
                System.arraycopy(samples[c], 0, block[c], 0, count);
            }
            dither.add(block, count);
            return block;
        }
    }

    private static String remedy(Path file) {
        return "Nothing was left behind. See that there is room on the disk of " + file.getParent()
                + " and that it is still there.";
    }
}
