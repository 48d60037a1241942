package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import kalodyne.core.sound.measure.SoundMeasures;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * What was measured in one channel.
 *
 * @param samplePeak size of the largest sample, full scale is 1; above 1 only in files of floating numbers
 * @param rms of all samples, full scale is 1
 * @param dcOffset mean of all samples, full scale is 1
 * @param clippedSamples how many samples are cut off at full scale
 * @param clipRuns in how many runs they lie
 * @param estimatedPeak how high the cut tops would have gone, from their shape; empty where nothing is cut off
 * @param clipPlaces where, with places close together joined; of very many, neighbours are told as one
 * @param clipPlaceCount how many places there are
 * @param unusableSamples how many are no number at all and were taken as silence
 * @param heard what else is to be heard in it
 * @param overview for drawing
 */
public record ChannelReport(
        double samplePeak,
        double rms,
        double dcOffset,
        long clippedSamples,
        int clipRuns,
        OptionalDouble estimatedPeak,
        List<Stretch> clipPlaces,
        int clipPlaceCount,
        long unusableSamples,
        SoundMeasures heard,
        Overview overview) {

    public DigitalLevel peakLevel() {
        return DigitalLevel.ofPeak(samplePeak);
    }

    /** RMS re a full-scale sine, as the corridor tells averages. */
    public DigitalLevel averageLevel() {
        return DigitalLevel.ofRms(rms);
    }

    /** The highest point of the wave, also between samples. */
    public DigitalLevel truePeak() {
        return DigitalLevel.ofPeak(heard.truePeak());
    }

    /** Where something before the converter could go no higher; empty where nothing shows that. */
    public Optional<Ceiling> ceiling() {
        return Ceiling.of(heard.shapes());
    }

    /** How far the peak lies above the average: of a sine 3 dB. Nothing for silence. */
    public Gain crest() {
        return rms == 0 ? Gain.NONE : Gain.ofRatio(samplePeak / rms);
    }

    /** The peak as it was before it was cut off, as far as that can be told. */
    public DigitalLevel likelyPeak() {
        return DigitalLevel.ofPeak(estimatedPeak.orElse(samplePeak));
    }

    /** The same in words, as coarsely as it is known: "about +3 dBFS". */
    public String likelyReach() {
        String rounded = Print.signed(likelyPeak().dbfs(), 0);
        return rounded.equals("0") ? "a little over 0 dBFS" : "about " + rounded + " dBFS";
    }

    public boolean isClipped() {
        return clipRuns > 0;
    }
}
