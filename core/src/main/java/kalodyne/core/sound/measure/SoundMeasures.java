package kalodyne.core.sound.measure;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import kalodyne.core.units.Gain;

/**
 * What was heard in a channel, before anything of it is judged. Full scale is 1.
 *
 * @param truePeak the highest point of the wave, also between samples
 * @param loudDb the mean square that only a hundredth of all stretches of 50 ms exceeds, in decibels
 * @param quietestPower the mean square of the quietest twentieth of them
 * @param silentShare which share of them holds nothing at all
 * @param spectrum of all of it
 * @param lasting at each low frequency what is there nearly all of the time
 * @param pauses empty where something sounds all the time
 * @param shapes of half-waves
 * @param clicks jumps, with their height
 * @param holes in the middle of sound, with the RMS before them
 * @param closings where steady noise fell to nearly nothing
 * @param swells where the noise of a pause crept up
 */
public record SoundMeasures(
        double truePeak,
        double loudDb,
        double quietestPower,
        double silentShare,
        Spectrum spectrum,
        Spectrum lasting,
        Optional<Pauses> pauses,
        WaveShapes shapes,
        List<Event> clicks,
        List<Event> holes,
        List<LevelChange> closings,
        List<LevelChange> swells) {

    private static final double FAR_BELOW_DB = 30;
    private static final double STEADY_DB = 3;
    private static final double COMES_AND_GOES_DB = 6;
    private static final double NEARLY_ALL = 0.7;
    private static final double NO_PITCH_DB = -4;
    private static final double NOISE_FROM_HZ = 200;

    /** How far the loud places lie above the quietest, in decibels; infinite where there is silence as well. */
    public double range() {
        return silentShare > 0
                ? Double.POSITIVE_INFINITY
                : loudDb - Gain.ofPowerRatio(quietestPower).db();
    }

    /**
     * Mean square of what is heard when nothing is played: of the pauses; of shorter quiet moments, where they are far below the
     * rest; of all of it, where all is steady noise.
     *
     * @return empty where something sounds all the time
     */
    public OptionalDouble noisePower() {
        if (pauses.isPresent()) {
            return OptionalDouble.of(pauses.get().power());
        }
        boolean nothingElse = range() < STEADY_DB
                && spectrum.flatness(NOISE_FROM_HZ, spectrum.hertz(spectrum.steps() - 1) / 2)
                                .db()
                        > NO_PITCH_DB;
        return quietestPower > 0 && (range() > FAR_BELOW_DB || nothingElse)
                ? OptionalDouble.of(quietestPower)
                : OptionalDouble.empty();
    }

    /** Tones at multiples of the mains: in pauses, or else among what never stops while other things come and go. */
    public Optional<Hum> hum() {
        if (pauses.isPresent()) {
            return HumFinder.find(pauses.get().spectrum(), true);
        }
        Optional<Hum> hum = HumFinder.find(lasting, false);
        return range() > COMES_AND_GOES_DB ? hum : hum.filter(this::isNearlyAll);
    }

    /** Where nothing changes, a tone is no hum for being steady; but what is hardly anything else is. */
    private boolean isNearlyAll(Hum hum) {
        return hum.power() > NEARLY_ALL * lasting.power(0, lasting.hertz(lasting.steps() - 1));
    }
}
