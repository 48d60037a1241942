package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.util.Arrays;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.Usable;

/** Some channels of a recording, in another order, upside down or added up, and louder or softer. */
final class PickedStream implements SoundStream {
    private final SoundStream source;
    private final FilePart part;
    private final float gain;
    private float[][] samples = new float[0][0];

    PickedStream(SoundStream source, FilePart part, double gainRatio) {
        this.source = source;
        this.part = part;
        gain = (float) gainRatio;
    }

    @Override
    public SoundHeader header() {
        SoundHeader head = source.header();
        return new SoundHeader(
                head.encoding(),
                head.format(),
                part.channels(),
                part.channels() == head.channels() ? head.speakers() : 0,
                head.sampleRateHz(),
                head.frames(),
                head.fault());
    }

    @Override
    public float[][] samples() {
        return samples;
    }

    @Override
    public int next() throws IOException {
        int count = source.next();
        if (samples.length != part.channels() || samples[0].length < count) {
            samples = new float[part.channels()][Math.max(count, source.samples()[0].length)];
        }
        if (part.isMono()) {
            add(count);
        } else {
            for (int c = 0; c < samples.length; c++) {
                FilePart.Pick pick = part.picks().get(c);
                float size = pick.isInverted() ? -gain : gain;
                float[] from = source.samples()[pick.channel()];
                for (int i = 0; i < count; i++) {
                    samples[c][i] = size * Usable.sample(from[i]);
                }
            }
        }
        return count;
    }

    private void add(int count) {
        float[] sum = samples[0];
        Arrays.fill(sum, 0, count, 0);
        float share = gain / part.picks().size();
        for (FilePart.Pick pick : part.picks()) {
            float size = pick.isInverted() ? -share : share;
            float[] from = source.samples()[pick.channel()];
            for (int i = 0; i < count; i++) {
                sum[i] += size * Usable.sample(from[i]);
            }
        }
    }

    @Override
    public void skipTo(long frame) throws IOException {
        source.skipTo(frame);
    }

    @Override
    public void close() throws IOException {
        source.close();
    }
}
