package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.measure.LoudnessMeter;
import kalodyne.core.sound.measure.TruePeakMeter;
import kalodyne.core.units.DigitalLevel;

/**
 * How loud a copy is before its gain.
 *
 * @param peak its largest sample
 * @param truePeak its highest point (ITU-R BS.1770, Annex 2)
 * @param lufs its loudness; empty where it is silent or too short
 * @param averageDbfs its RMS re a full-scale sine
 */
public record CopyLevels(DigitalLevel peak, DigitalLevel truePeak, OptionalDouble lufs, DigitalLevel averageDbfs) {
    static CopyLevels of(SoundStream stream, Progress progress) throws IOException {
        SoundHeader header = stream.header();
        int channels = header.channels();
        double[] even = new double[channels];
        Arrays.fill(even, 1);
        LoudnessMeter loudness = new LoudnessMeter(header.sampleRateHz(), even);
        TruePeaks peaks = new TruePeaks(channels);
        double[][] weighted = new double[0][0];
        long done = 0;
        for (int count = stream.next(); count > 0; count = stream.next()) {
            if (weighted.length == 0 || weighted[0].length < count) {
                weighted = new double[channels][count];
            }
            for (int c = 0; c < channels; c++) {
                loudness.weight(c, stream.samples()[c], weighted[c], count);
            }
            loudness.accept(weighted, count);
            peaks.accept(stream.samples(), count);
            done += count;
            if (!progress.report(Math.min(1, (double) done / Math.max(1, header.frames())))) {
                throw new CancellationException("Measuring was stopped.");
            }
        }
        return new CopyLevels(
                DigitalLevel.ofPeak(peaks.peak),
                DigitalLevel.ofPeak(peaks.truePeak()),
                loudness.loudness().integratedLufs(),
                DigitalLevel.ofRms(Math.sqrt(peaks.squares / Math.max(1, done * channels))));
    }

    private static final class TruePeaks {
        private final TruePeakMeter[] meters;
        private double peak;
        private double squares;

        TruePeaks(int channels) {
            meters = IntStream.range(0, channels)
                    .mapToObj(c -> new TruePeakMeter())
                    .toArray(TruePeakMeter[]::new);
        }

        void accept(float[][] samples, int count) {
            for (int c = 0; c < meters.length; c++) {
                meters[c].accept(samples[c], count);
                double sum = 0;
                float most = 0;
                for (int i = 0; i < count; i++) {
                    float sample = samples[c][i];
                    most = Math.max(most, Math.abs(sample));
                    sum += (double) sample * sample;
                }
                squares += sum;
                peak = Math.max(peak, most);
            }
        }

        double truePeak() {
            double most = 0;
            for (TruePeakMeter meter : meters) {
                most = Math.max(most, meter.peak());
            }
            return most;
        }
    }
}
