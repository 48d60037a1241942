package kalodyne.core.hearing;

import java.io.IOException;
import java.util.Optional;
import kalodyne.core.sound.SampleFormat;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;

/** What becomes of some material in a rig, as a recording. */
public final class HeardStream implements SoundStream {
    private final Material material;
    private final Auralisation rig;
    private final SoundHeader header;
    private final float[][] played;
    private final float[][] heard;
    private long frame;

    /** Takes over material of which nothing was read yet. */
    public HeardStream(Material material, Listening listening) {
        this.material = material;
        rig = new Auralisation(listening, material.sampleRateHz());
        header = new SoundHeader(
                "as heard",
                SampleFormat.SIGNED_24,
                listening.channels(),
                0,
                material.sampleRateHz(),
                material.frames(),
                Optional.empty());
        played = new float[material.channels()][Auralisation.BLOCK];
        heard = new float[listening.channels()][Auralisation.BLOCK];
    }

    @Override
    public SoundHeader header() {
        return header;
    }

    @Override
    public float[][] samples() {
        return heard;
    }

    @Override
    public int next() throws IOException {
        int count = material.next(played);
        if (count > 0) {
            rig.next(played, count, heard);
        }
        frame += count;
        return count;
    }

    /** What is written is written from its beginning on. */
    @Override
    public void skipTo(long wanted) {
        if (wanted != frame) {
            throw new UnsupportedOperationException("what a rig makes of a sound depends on what went before");
        }
    }

    @Override
    public void close() throws IOException {
        material.close();
    }
}
