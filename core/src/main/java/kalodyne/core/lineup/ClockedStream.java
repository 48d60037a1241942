package kalodyne.core.lineup;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.Usable;

/**
 * A recording as it would be had it been made by the reference's clock: offset, drift and another rate in one pass. Where it has nothing
 * there is silence.
 */
public final class ClockedStream implements SoundStream {
    private static final int BLOCK = 1 << 15;

    private final SoundStream source;
    private final SoundHeader header;
    /** Each makes a part of a block, beside the others. */
    private final List<Resampler> workers;

    private final int reach;
    /** In samples of the source, for one of what comes out. */
    private final double start;

    private final double step;
    private final float[][] samples;
    /** What was read of the source and is still needed. */
    private float[][] held;

    private long heldFrom;
    private int heldCount;
    private boolean isAtEnd;
    private long frame;

    /**
     * Takes over a recording of which nothing was read yet.
     *
     * @param clock where the moments of the reference are in it
     * @param seconds how long what comes out is, by the reference's clock
     */
    public ClockedStream(SoundStream source, ClockLine clock, int sampleRateHz, double seconds) {
        this.source = source;
        SoundHeader head = source.header();
        header = new SoundHeader(
                head.encoding(),
                head.format(),
                head.channels(),
                head.speakers(),
                sampleRateHz,
                Math.round(seconds * sampleRateHz),
                Optional.empty());
        start = clock.offsetSeconds() * head.sampleRateHz();
        step = (1 + clock.drift()) * head.sampleRateHz() / sampleRateHz;
        Kernel kernel = Kernel.fine(step);
        workers = Stream.generate(() -> new Resampler(kernel, step))
                .limit(Runtime.getRuntime().availableProcessors())
                .toList();
        reach = kernel.taps() / 2 + 1;
        samples = new float[head.channels()][BLOCK];
        held = new float[head.channels()][(int) (BLOCK * step) + 4 * reach];
        heldFrom = Math.min(0, first());
    }

    private long first() {
        return (long) Math.floor(start + frame * step) - reach;
    }

    @Override
    public SoundHeader header() {
        return header;
    }

    @Override
    public float[][] samples() {
        return samples;
    }

    @Override
    public void skipTo(long to) throws IOException {
        frame = Math.max(frame, Math.min(to, header.frames()));
    }

    @Override
    public int next() throws IOException {
        int count = (int) Math.min(BLOCK, header.frames() - frame);
        if (count == 0) {
            return 0;
        }
        long last = (long) Math.floor(start + (frame + count - 1) * step) + reach + 1;
        hold(first(), last);
        IntStream.range(0, workers.size()).parallel().forEach(part -> {
            int from = (int) ((long) count * part / workers.size());
            int to = (int) ((long) count * (part + 1) / workers.size());
            workers.get(part).read(start + (frame + from) * step, held, heldFrom, samples, from, to - from);
        });
        frame += count;
        return count;
    }

    /** Sees that samples of the source are at hand, from one up to before another. */
    private void hold(long from, long to) throws IOException {
        int gone = (int) Math.min(heldCount, Math.max(0, from - heldFrom));
        for (float[] channel : held) {
            System.arraycopy(channel, gone, channel, 0, heldCount - gone);
        }
        heldCount -= gone;
        heldFrom += gone;
        if (heldCount == 0 && from > heldFrom) {
            heldFrom = from;
            if (from > 0) {
                source.skipTo(from);
            }
        }
        while (heldFrom + heldCount < to) {
            long next = heldFrom + heldCount;
            if (next < 0) {
                silence((int) Math.min(-next, to - next));
            } else if (isAtEnd) {
                silence((int) (to - next));
            } else {
                read();
            }
        }
    }

    private void silence(int count) {
        makeRoom(count);
        for (float[] channel : held) {
            Arrays.fill(channel, heldCount, heldCount + count, 0);
        }
        heldCount += count;
    }

    private void read() throws IOException {
        int count = source.next();
        isAtEnd = count == 0;
        makeRoom(count);
        for (int c = 0; c < held.length; c++) {
            Usable.copy(source.samples()[c], 0, held[c], heldCount, count);
        }
        heldCount += count;
    }

    private void makeRoom(int count) {
        if (heldCount + count > held[0].length) {
            for (int c = 0; c < held.length; c++) {
                held[c] = Arrays.copyOf(held[c], 2 * (heldCount + count));
            }
        }
    }

    @Override
    public void close() throws IOException {
        source.close();
    }
}
