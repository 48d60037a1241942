package kalodyne.core.sound.measure;

import java.util.List;
import java.util.stream.IntStream;

/** All that is listened for in one channel, besides plain levels. */
public final class ChannelEar {
    private final TruePeakMeter truePeak = new TruePeakMeter();
    private final WaveShapeMeter shapes = new WaveShapeMeter();
    private final SpectrumMeter spectra;
    private final LevelTrack levels;
    private final ClickMeter clicks;
    private final DropoutMeter holes;

    private ChannelEar(SpectrumMaker maker, double sampleRateHz, int channels) {
        spectra = new SpectrumMeter(maker, sampleRateHz, channels);
        levels = new LevelTrack(sampleRateHz);
        clicks = new ClickMeter(sampleRateHz);
        holes = new DropoutMeter(sampleRateHz);
    }

    /** One for each channel of a recording. They share what only one needs at a time. */
    public static List<ChannelEar> forChannels(int channels, double sampleRateHz) {
        SpectrumMaker maker = SpectrumMeter.maker(sampleRateHz);
        return IntStream.range(0, channels)
                .mapToObj(c -> new ChannelEar(maker, sampleRateHz, channels))
                .toList();
    }

    /** Takes the next samples, all of which are numbers. */
    public void accept(float[] samples, int count) {
        truePeak.accept(samples, count);
        shapes.accept(samples, count);
        spectra.accept(samples, count);
        levels.accept(samples, count);
        clicks.accept(samples, count);
        holes.accept(samples, count);
    }

    public SoundMeasures heard() {
        return new SoundMeasures(
                truePeak.peak(),
                levels.loudDb(),
                levels.quietestPower(),
                levels.silentShare(),
                spectra.mean(),
                spectra.lasting(),
                Pauses.of(spectra.quiet(), levels.loudDb()),
                shapes.shapes(),
                clicks.clicks(),
                holes.holes(),
                levels.closings(),
                levels.swells());
    }
}
