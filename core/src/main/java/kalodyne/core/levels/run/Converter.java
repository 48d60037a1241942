package kalodyne.core.levels.run;

import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Level;

/**
 * What turns the voltage into numbers, and the track that they go to.
 *
 * @param track "Track 3"
 * @param fullScale the sine that just reaches 0 dBFS
 * @param noise its own noise (AES17, 20 Hz to 20 kHz): minus the dynamic range that makers print;
 *     below 0
 * @param bits per sample, 8 to 32
 * @param sampleRateHz above 0
 */
public record Converter(String track, Level fullScale, DigitalLevel noise, int bits, int sampleRateHz) {
    public Converter {
        if (bits < 8 || bits > 32) {
            throw new IllegalArgumentException("a converter has 8 to 32 bits, got " + bits);
        }
        if (noise.dbfs() >= 0) {
            throw new IllegalArgumentException("a converter's noise lies below 0 dBFS, got " + noise);
        }
        if (sampleRateHz <= 0) {
            throw new IllegalArgumentException("sample rate must be above 0 Hz, got " + sampleRateHz);
        }
    }

    /** The noise of the converter and of rounding to its bits, as a level at its input. */
    public Level totalNoise() {
        return noise.at(fullScale)
                .withUncorrelated(DigitalLevel.quantisingNoise(bits).at(fullScale));
    }

    public Converter withTrack(String newTrack) {
        return new Converter(newTrack, fullScale, noise, bits, sampleRateHz);
    }

    public Converter withFullScale(Level newFullScale) {
        return new Converter(track, newFullScale, noise, bits, sampleRateHz);
    }

    public Converter withNoise(DigitalLevel newNoise) {
        return new Converter(track, fullScale, newNoise, bits, sampleRateHz);
    }
}
