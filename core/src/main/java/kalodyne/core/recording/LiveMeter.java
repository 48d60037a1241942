package kalodyne.core.recording;

import java.util.ArrayList;
import java.util.List;

/** What a meter shows while sound comes in. Fed by one thread and read by another. */
public final class LiveMeter {
    private static final double AVERAGE_SECONDS = 0.4;

    /** As many samples in a row at the end of the scale are no accident. */
    private static final int CUT_RUN = 3;

    private static final float FULL = 1 - 1f / (1 << 15);

    private final double forget;
    private final Channel[] channels;
    private long frames;

    /** Shows nothing yet. */
    public LiveMeter(int channels, int sampleRateHz) {
        forget = Math.exp(-1 / (AVERAGE_SECONDS * sampleRateHz));
        this.channels = new Channel[channels];
        for (int c = 0; c < channels; c++) {
            this.channels[c] = new Channel();
        }
    }

    /**
     * What is shown of a channel. Full scale is 1.
     *
     * @param peak the largest sample since it was last looked at
     * @param average root mean square of about the last half second
     * @param loudest the largest sample since the beginning
     * @param cut how many runs were cut off at full scale since the beginning
     */
    public record Bar(double peak, double average, double loudest, int cut) {}

    /**
     * All that is shown.
     *
     * @param frames how many have come
     * @param bars one a channel
     */
    public record Reading(long frames, List<Bar> bars) {
        public Reading {
            bars = List.copyOf(bars);
        }

        /** The largest sample of any channel since the beginning. */
        public double loudest() {
            return bars.stream().mapToDouble(Bar::loudest).max().orElse(0);
        }

        /** Runs that were cut off, of all channels. */
        public int cut() {
            return bars.stream().mapToInt(Bar::cut).sum();
        }
    }

    private static final class Channel {
        private double peak;
        private double square;
        private double loudest;
        private int run;
        private int cut;
    }

    /** Takes what has come. */
    public synchronized void accept(float[][] samples, int count) {
        for (int c = 0; c < channels.length; c++) {
            Channel channel = channels[c];
            for (int i = 0; i < count; i++) {
                double size = Math.abs(samples[c][i]);
                channel.peak = Math.max(channel.peak, size);
                channel.square = channel.square * forget + size * size * (1 - forget);
                channel.run = size >= FULL ? channel.run + 1 : 0;
                channel.cut += channel.run == CUT_RUN ? 1 : 0;
            }
            channel.loudest = Math.max(channel.loudest, channel.peak);
        }
        frames += count;
    }

    /** Looks at it; peaks begin anew. */
    public synchronized Reading read() {
        List<Bar> bars = new ArrayList<>();
        for (Channel channel : channels) {
            bars.add(new Bar(channel.peak, Math.sqrt(channel.square), channel.loudest, channel.cut));
            channel.peak = 0;
        }
        return new Reading(frames, bars);
    }
}
