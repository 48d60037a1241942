package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.util.Optional;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;

/** A stretch of a recording. Where it is cut inside a sound or a noise it fades over a few milliseconds, so that it does not click. */
final class CutStream implements SoundStream {
    private static final double FADE_SECONDS = 0.005;

    private final SoundStream source;
    private final SoundHeader header;
    private final long from;
    private final boolean fadesIn;
    private final boolean fadesOut;
    private final int fade;
    private long at;

    CutStream(SoundStream source, long from, long to) throws IOException {
        this.source = source;
        this.from = from;
        SoundHeader head = source.header();
        long length = Math.max(0, Math.min(to, Math.max(to, head.frames())) - from);
        header = new SoundHeader(
                head.encoding(),
                head.format(),
                head.channels(),
                head.speakers(),
                head.sampleRateHz(),
                length,
                Optional.empty());
        fadesIn = from > 0;
        fadesOut = to < head.frames();
        fade = (int) Math.min(length / 2, Math.round(FADE_SECONDS * head.sampleRateHz()));
        source.skipTo(from);
    }

    @Override
    public SoundHeader header() {
        return header;
    }

    @Override
    public float[][] samples() {
        return source.samples();
    }

    @Override
    public int next() throws IOException {
        int count = (int) Math.min(header.frames() - at, at < header.frames() ? source.next() : 0);
        for (int i = 0; i < count; i++) {
            float size = size(at + i);
            if (size < 1) {
                for (float[] channel : source.samples()) {
                    channel[i] *= size;
                }
            }
        }
        at += count;
        return count;
    }

    /** A raised cosine, at both ends. */
    private float size(long frame) {
        long near = Math.min(fadesIn ? frame : fade, fadesOut ? header.frames() - 1 - frame : fade);
        return near >= fade ? 1 : (float) (0.5 - 0.5 * Math.cos(Math.PI * near / fade));
    }

    @Override
    public void skipTo(long frame) throws IOException {
        at = Math.min(frame, header.frames());
        source.skipTo(from + at);
    }

    @Override
    public void close() throws IOException {
        source.close();
    }
}
