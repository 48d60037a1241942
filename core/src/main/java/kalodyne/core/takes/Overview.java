package kalodyne.core.takes;

import java.io.IOException;
import java.util.Arrays;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundStream;

/** The shape of one channel, for drawing: the lowest and the highest sample of each of many equal parts. */
public final class Overview {
    static final int MOST_PARTS = 4096;

    private final long framesPerPart;
    private final float[] lowest;
    private final float[] highest;

    /**
     * Copies what it is given.
     *
     * @param framesPerPart how many frames a part has; the last may have fewer
     */
    private Overview(long framesPerPart, float[] lowest, float[] highest) {
        this.framesPerPart = framesPerPart;
        this.lowest = lowest;
        this.highest = highest;
    }

    /**
     * Reads a recording to its end: of all its channels the lowest and the highest.
     *
     * @throws CancellationException where the progress asked to stop
     */
    public static Overview of(SoundStream sound, Progress progress) throws IOException {
        Maker maker = new Maker();
        for (int count = sound.next(); count > 0; count = sound.next()) {
            for (int at = 0; at < count; ) {
                int end = at + Math.min(count - at, maker.room());
                float low = Float.MAX_VALUE;
                float high = -Float.MAX_VALUE;
                for (float[] channel : sound.samples()) {
                    for (int i = at; i < end; i++) {
                        low = Math.min(low, channel[i]);
                        high = Math.max(high, channel[i]);
                    }
                }
                maker.add(low, high, end - at);
                at = end;
            }
            if (!progress.report(0)) {
                throw new CancellationException();
            }
        }
        return maker.overview();
    }

    public long framesPerPart() {
        return framesPerPart;
    }

    public int parts() {
        return lowest.length;
    }

    /** The lowest sample of a part, full scale is 1. */
    public float lowest(int part) {
        return lowest[part];
    }

    /** The highest sample of a part, full scale is 1. */
    public float highest(int part) {
        return highest[part];
    }

    /** Makes an overview of a channel whose length need not be known: when its parts are too many, each two become one. */
    static final class Maker {
        private static final int SMALLEST_PART = 16;

        private final float[] lowest = new float[MOST_PARTS];
        private final float[] highest = new float[MOST_PARTS];
        private long framesPerPart = SMALLEST_PART;
        private int parts;
        private long inPart;

        /** How many more frames go into the part that is being filled. */
        int room() {
            return (int) Math.min(Integer.MAX_VALUE, framesPerPart - inPart);
        }

        /** Adds frames of which the ends are known, no more than there is {@link #room} for. */
        void add(float low, float high, int frames) {
            lowest[parts] = inPart == 0 ? low : Math.min(lowest[parts], low);
            highest[parts] = inPart == 0 ? high : Math.max(highest[parts], high);
            inPart += frames;
            if (inPart == framesPerPart) {
                inPart = 0;
                parts++;
                if (parts == MOST_PARTS) {
                    halve();
                }
            }
        }

        private void halve() {
            parts = MOST_PARTS / 2;
            for (int part = 0; part < parts; part++) {
                lowest[part] = Math.min(lowest[2 * part], lowest[2 * part + 1]);
                highest[part] = Math.max(highest[2 * part], highest[2 * part + 1]);
            }
            framesPerPart *= 2;
        }

        Overview overview() {
            int count = parts + (inPart > 0 ? 1 : 0);
            return new Overview(framesPerPart, Arrays.copyOf(lowest, count), Arrays.copyOf(highest, count));
        }
    }
}
