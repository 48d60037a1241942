package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.SignalLevels;

/**
 * The three lines at one stage. They are told as if nothing clipped, so that they say by how much it does.
 *
 * @param stage what is there
 * @param levels with all noise up to here
 * @param noiseShare the part of the noise power at the track that this stage makes, from 0 to 1
 */
public record StageLevel(RunStage stage, SignalLevels levels, double noiseShare) {

    /** Less than this is the rounding of the arithmetic. */
    private static final double ROUNDING_DB = 1e-9;

    public Level peak() {
        return levels.peak();
    }

    public Level average() {
        return levels.average();
    }

    public Level floor() {
        return levels.floor();
    }

    /** How much louder it could get before it clips here; negative where it clips; empty where nothing can. */
    public Optional<Gain> headroom() {
        return stage.ceiling().map(ceiling -> ceiling.above(peak()));
    }

    /** How far the average lies above the noise. */
    public Gain noiseMargin() {
        return levels.noiseMargin();
    }

    public boolean clips() {
        return headroom().isPresent() && headroom().get().db() < -ROUNDING_DB;
    }

    /** Its numbers in words: "Loudest peak +17.2 dBu, average +5.2 dBu, noise −68.7 dBu. 6.8 dB are left above the peak." */
    public String words() {
        String lines = "Loudest peak " + peak() + ", average " + average() + ", noise " + floor() + ".";
        return headroom()
                .map(room -> lines + " " + Print.decimal(Math.abs(room.db()), 1)
                        + (clips() ? " dB more than it can take." : " dB are left above the peak."))
                .orElse(lines);
    }
}
