package kalodyne.core.sound;

import java.util.Optional;

/**
 * What a sound file says about itself.
 *
 * @param encoding how its sound is kept, in words: "WAV, 24-bit", "AAC"
 * @param format how a sample comes out of it
 * @param channels 1 or more
 * @param speakers which loudspeaker each channel is for, as bits in the order of WAV's channel mask; 0 where it does not
 *     say
 * @param sampleRateHz above 0
 * @param frames how many samples each channel has; of files that do not say, what is expected until they are read
 * @param fault where the file is not as long as it says; what there is can be read all the same
 */
public record SoundHeader(
        String encoding,
        SampleFormat format,
        int channels,
        int speakers,
        int sampleRateHz,
        long frames,
        Optional<SizeFault> fault) {

    /**
     * A size in the file that disagrees with what is there.
     *
     * @param samplesMissing whether samples that the file promises are not there
     * @param place where it stands: "byte 40"
     * @param problem as a sentence
     * @param remedy as a sentence
     */
    public record SizeFault(boolean samplesMissing, String place, String problem, String remedy) {
        static Optional<SizeFault> missing(String place, String problem, String remedy) {
            return Optional.of(new SizeFault(true, place, problem, remedy));
        }

        static Optional<SizeFault> wrong(String place, String problem, String remedy) {
            return Optional.of(new SizeFault(false, place, problem, remedy));
        }
    }

    /** The same file, whose samples were counted. */
    SoundHeader counted(long there, Optional<SizeFault> found) {
        return new SoundHeader(encoding, format, channels, speakers, sampleRateHz, there, found);
    }

    public int bytesPerFrame() {
        return channels * format.bytes();
    }

    public double seconds() {
        return (double) frames / sampleRateHz;
    }
}
