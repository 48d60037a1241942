package kalodyne.core.hearing;

import java.io.IOException;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.sound.SoundStream;

/** What is played into a rig, block by block, with 1 for the loudest peak that is described. */
public interface Material extends AutoCloseable {
    int sampleRateHz();

    /** One, or left and right. */
    int channels();

    long frames();

    /**
     * The next block.
     *
     * @param into as many channels as it has
     * @return how many samples there are; less than asked for at the end alone
     */
    int next(float[][] into) throws IOException;

    @Override
    void close() throws IOException;

    /** Somebody who plays over and over. */
    static Material played(Round round, int sampleRateHz, double seconds) {
        return new Material() {
            private final long frames = Math.round(seconds * sampleRateHz);
            private long frame;

            @Override
            public int sampleRateHz() {
                return sampleRateHz;
            }

            @Override
            public int channels() {
                return 1;
            }

            @Override
            public long frames() {
                return frames;
            }

            @Override
            public int next(float[][] into) {
                int count = (int) Math.min(into[0].length, frames - frame);
                for (int i = 0; i < count; i++) {
                    into[0][i] = round.at(frame + i);
                }
                frame += count;
                return count;
            }

            @Override
            public void close() {
                // Nothing is open.
            }
        };
    }

    /**
     * A take; of more than two channels the first two.
     *
     * @param peak its largest sample, above 0
     */
    static Material of(SoundStream take, double peak) {
        return new Material() {
            private final int channels = Math.min(2, take.header().channels());
            private final float scale = (float) (1 / peak);
            private int at;
            private int there;

            @Override
            public int sampleRateHz() {
                return take.header().sampleRateHz();
            }

            @Override
            public int channels() {
                return channels;
            }

            @Override
            public long frames() {
                return take.header().frames();
            }

            @Override
            public int next(float[][] into) throws IOException {
                int done = 0;
                while (done < into[0].length) {
                    if (at == there) {
                        at = 0;
                        there = take.next();
                        if (there == 0) {
                            return done;
                        }
                    }
                    int count = Math.min(there - at, into[0].length - done);
                    for (int c = 0; c < channels; c++) {
                        for (int i = 0; i < count; i++) {
                            into[c][done + i] = scale * take.samples()[c][at + i];
                        }
                    }
                    at += count;
                    done += count;
                }
                return done;
            }

            @Override
            public void close() throws IOException {
                take.close();
            }
        };
    }
}
