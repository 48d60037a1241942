package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kalodyne.core.units.Gain;

/**
 * How a sound is spread over frequency: its power a hertz in bands an octave wide, a third of an octave apart. So wide, it matters little
 * which notes were played.
 */
public final class Colour {
    private static final int LOWEST_BAND = 18;
    private static final int HIGHEST_BAND = 41;
    private static final double HALF_AN_OCTAVE = Math.sqrt(2);

    /** In power: 6 dB above the noise, and not 70 dB below the strongest band, where windows leak. */
    private static final double OVER_NOISE = 4;

    private static final double UNDER_STRONGEST_DB = 70;

    private final Map<Integer, Band> bands;

    /**
     * What lies in a band.
     *
     * @param db of all that is there, a hertz
     * @param isHeard whether it stands out of the noise of the pauses; where not, no more of the sound than that is there
     */
    private record Band(double db, boolean isHeard) {}

    private Colour(Map<Integer, Band> bands) {
        this.bands = bands;
    }

    /** The colour of all that was heard in a channel. */
    public static Colour of(SoundMeasures heard) {
        Spectrum all = heard.spectrum();
        Map<Integer, Band> bands = new TreeMap<>();
        double strongest = 0;
        for (int band = LOWEST_BAND; band <= HIGHEST_BAND; band++) {
            strongest = Math.max(strongest, all.density(from(band), to(band)));
        }
        double least = strongest * new Gain(-UNDER_STRONGEST_DB).powerRatio();
        for (int band = LOWEST_BAND; band <= HIGHEST_BAND; band++) {
            double from = from(band);
            double to = to(band);
            double power = Math.max(least, all.density(from, to));
            double noise = heard.pauses()
                    .map(pauses -> pauses.spectrum().density(from, to))
                    .orElse(0.0);
            if (to < all.hertz(all.steps() - 1) && power > 0) {
                boolean isHeard = power > least && power > OVER_NOISE * noise;
                bands.put(band, new Band(Gain.ofPowerRatio(power).db(), isHeard));
            }
        }
        return new Colour(bands);
    }

    private static double hertz(int band) {
        return Math.pow(10, band / 10.0);
    }

    private static double from(int band) {
        return hertz(band) / HALF_AN_OCTAVE;
    }

    private static double to(int band) {
        return hertz(band) * HALF_AN_OCTAVE;
    }

    /**
     * How it differs from another colour, in the bands in which one of both is heard. Where one is not, its noise stands for it, as a
     * bound.
     */
    public ColourChange since(Colour other) {
        List<ColourChange.Band> changes = new ArrayList<>();
        bands.forEach((number, band) -> {
            Band before = other.bands.get(number);
            if (before != null && (band.isHeard() || before.isHeard())) {
                changes.add(new ColourChange.Band(
                        hertz(number), band.db() - before.db(), !band.isHeard(), !before.isHeard()));
            }
        });
        return new ColourChange(changes);
    }

    /**
     * How far what lies between two frequencies stands above what lies between two others, in decibels a hertz.
     *
     * @return NaN where it has nothing in one of them
     */
    public double rise(double fromHz, double toHz, double overFromHz, double overToHz) {
        return mean(fromHz, toHz) - mean(overFromHz, overToHz);
    }

    private double mean(double fromHz, double toHz) {
        return bands.entrySet().stream()
                .filter(each -> each.getValue().isHeard())
                .filter(each -> hertz(each.getKey()) >= fromHz && hertz(each.getKey()) <= toHz)
                .mapToDouble(each -> each.getValue().db())
                .average()
                .orElse(Double.NaN);
    }
}
