package kalodyne.core.sound;

import java.util.Optional;

/**
 * What the head of a WAV file says.
 *
 * @param format how a sample lies in the file
 * @param channels 1 or more
 * @param sampleRateHz above 0
 * @param dataStart where the samples begin, in bytes from the start of the file
 * @param frames how many samples each channel really has in the file
 * @param fault where the file is not as long as it says; what there is can be read all the same
 */
public record WavHeader(
        SampleFormat format, int channels, int sampleRateHz, long dataStart, long frames, Optional<SizeFault> fault) {

    /**
     * A size in the file that disagrees with what is there.
     *
     * @param samplesMissing whether samples that the file promises are not there
     * @param place where it stands: "byte 40"
     * @param problem as a sentence
     * @param remedy as a sentence
     */
    public record SizeFault(boolean samplesMissing, String place, String problem, String remedy) {}

    public int bytesPerFrame() {
        return channels * format.bytes();
    }

    public double seconds() {
        return (double) frames / sampleRateHz;
    }
}
