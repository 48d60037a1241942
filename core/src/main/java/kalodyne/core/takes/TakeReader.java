package kalodyne.core.takes;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.measure.ChannelEar;
import kalodyne.core.sound.measure.LoudnessMeter;
import kalodyne.core.sound.measure.Pair;
import kalodyne.core.sound.measure.PairMeter;

/** Measures a take from beginning to end, in one pass. */
public final class TakeReader {
    /** How much the power of loudspeakers at the side counts (ITU-R BS.1770-5). */
    private static final double FROM_THE_SIDE = 1.41;

    private static final int LOW_EFFECTS = 0x8;
    private static final int SIDES_AND_BACKS = 0x10 | 0x20 | 0x200 | 0x400;

    /**
     * What is known of a take of which a part was read.
     *
     * @param seconds how much that was
     * @param samplePeak the largest sample in it, full scale is 1
     * @param clippedSamples how many are cut off
     */
    public record SoFar(double seconds, double samplePeak, long clippedSamples) {}

    private final SoundStream stream;
    private final List<ChannelMeter> channels = new ArrayList<>();
    private final List<PairMeter> pairs = new ArrayList<>();
    private final LoudnessMeter loudness;
    private final double[][] weighted;

    private TakeReader(SoundStream stream) {
        this.stream = stream;
        SoundHeader header = stream.header();
        for (ChannelEar ear : ChannelEar.forChannels(header.channels(), header.sampleRateHz())) {
            channels.add(new ChannelMeter(header, ear));
        }
        for (int c = 0; c + 1 < header.channels(); c += 2) {
            pairs.add(new PairMeter());
        }
        loudness = new LoudnessMeter(header.sampleRateHz(), weights(header));
        weighted = new double[header.channels()][stream.samples()[0].length];
    }

    /**
     * Reads and measures a file.
     *
     * @throws kalodyne.core.sound.UnreadableSound where it cannot be read; says why
     * @throws CancellationException where the progress asked to stop
     */
    public static TakeReport read(Path file, Progress progress) throws IOException {
        return read(file, progress, soFar -> {});
    }

    /**
     * The same.
     *
     * @param heard hears now and then what is known already
     */
    public static TakeReport read(Path file, Progress progress, Consumer<SoFar> heard) throws IOException {
        long sizeBefore = size(file);
        try (SoundStream stream = SoundFiles.open(file)) {
            TakeReport take = new TakeReader(stream).measure(file, progress, heard);
            return size(file) > sizeBefore ? take.with(TakeRules.withGrowing(take)) : take;
        }
    }

    /**
     * Measures sound that is no file.
     *
     * @param name what it is called in findings
     */
    public static TakeReport read(String name, SoundStream held) {
        try {
            return new TakeReader(held).measure(Path.of(name), Progress.NONE, soFar -> {});
        } catch (IOException e) {
            throw new UncheckedIOException("what is held needs no reading", e);
        }
    }

    /** −1 where that is not known: the file is complained of, or was read to its end before it vanished. */
    private static long size(Path file) {
        try {
            return Files.size(file);
        } catch (IOException e) {
            return -1;
        }
    }

    private TakeReport measure(Path file, Progress progress, Consumer<SoFar> heard) throws IOException {
        long expected = Math.max(1, stream.header().frames());
        long done = 0;
        for (int count = stream.next(); count > 0; count = stream.next()) {
            accept(stream.samples(), count);
            done += count;
            heard.accept(soFar(done));
            if (!progress.report(Math.min(1, (double) done / expected))) {
                throw new CancellationException("Reading " + file.getFileName() + " was stopped.");
            }
        }
        List<ChannelReport> reports =
                channels.stream().map(ChannelMeter::report).toList();
        List<Pair> together = pairs.stream().map(PairMeter::pair).toList();
        TakeReport measured = new TakeReport(file, stream.header(), reports, loudness.loudness(), together, List.of());
        return measured.with(TakeRules.check(measured));
    }

    private SoFar soFar(long frames) {
        double peak = 0;
        long clipped = 0;
        for (ChannelMeter channel : channels) {
            peak = Math.max(peak, channel.peak());
            clipped += channel.clippedSamples();
        }
        return new SoFar((double) frames / stream.header().sampleRateHz(), peak, clipped);
    }

    private void accept(float[][] samples, int count) {
        for (int c = 0; c < samples.length; c++) {
            channels.get(c).accept(samples[c], count);
            loudness.weight(c, samples[c], weighted[c], count);
        }
        loudness.accept(weighted, count);
        for (int pair = 0; pair < pairs.size(); pair++) {
            int left = TakeReport.channelOfPair(pair);
            pairs.get(pair).accept(samples[left], samples[left + 1], weighted[left], weighted[left + 1], count);
        }
    }

    /** Channels of a recorder all count alike; those of a surround file by where their loudspeaker stands. */
    private static double[] weights(SoundHeader header) {
        double[] weights = new double[header.channels()];
        Arrays.fill(weights, 1);
        int speakers = header.speakers();
        boolean isSurround = Integer.bitCount(speakers) == header.channels() && header.channels() > 2;
        for (int c = 0; isSurround && c < weights.length; c++) {
            int speaker = Integer.lowestOneBit(speakers);
            speakers -= speaker;
            weights[c] = (speaker & LOW_EFFECTS) != 0 ? 0 : (speaker & SIDES_AND_BACKS) != 0 ? FROM_THE_SIDE : 1;
        }
        return weights;
    }
}
