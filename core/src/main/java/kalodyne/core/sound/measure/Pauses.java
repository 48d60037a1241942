package kalodyne.core.sound.measure;

import java.util.List;
import java.util.Optional;
import kalodyne.core.units.Gain;

/**
 * What is heard of a channel when nothing is played.
 *
 * @param stretches of about a third of a second each, quietest first
 * @param spectrum of all of them, power by power
 * @param power mean square round the mean, full scale 1
 */
public record Pauses(List<QuietStretch> stretches, Spectrum spectrum, double power) {
    /** In power: what is louder than the quietest stretch by 5 dB is no pause. */
    private static final double AS_QUIET = 3.2;

    /** In power: a pause lies 12 dB or more below the loud places. */
    private static final double BELOW_LOUD = 16;

    /** In power: within a pause the level stays within 7 dB. */
    private static final double STEADY = 5;

    public Pauses {
        stretches = List.copyOf(stretches);
    }

    /**
     * The pauses among the quietest stretches.
     *
     * @param loudDb level of the loud places
     * @return empty where something sounds all the time
     */
    static Optional<Pauses> of(List<QuietStretch> quietestFirst, double loudDb) {
        List<QuietStretch> steady =
                quietestFirst.stream().filter(each -> each.unrest() <= STEADY).toList();
        if (steady.isEmpty() || steady.get(0).power() * BELOW_LOUD > Math.pow(new Gain(loudDb).ratio(), 2)) {
            return Optional.empty();
        }
        double quietest = steady.get(0).power();
        List<QuietStretch> pauses = steady.stream()
                .filter(each -> each.power() <= AS_QUIET * quietest)
                .toList();
        Spectrum spectrum =
                Spectrum.mean(pauses.stream().map(QuietStretch::spectrum).toList());
        double power =
                pauses.stream().mapToDouble(QuietStretch::power).average().orElseThrow();
        return Optional.of(new Pauses(pauses, spectrum, power));
    }
}
