package kalodyne.core.levels.listening;

import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;
import kalodyne.core.units.Print;

/**
 * How loud it is at a microphone, and who is so loud how near.
 *
 * @param peakDb the loudest peak in dB SPL
 */
public record MicSound(double peakDb) {
    /** What a loud voice makes at its peaks a hand's width away; an estimate. */
    private static final double VOICE_DB = 110;

    private static final double HAND_METRES = 0.1;

    /** No voice is louder. */
    private static final double MOST_VOICE_DB = 118;

    /** Told to 5 cm. */
    private static final int STEPS = 20;

    private static final double NEAR_METRES = 0.07;
    private static final double HAND_MOST_METRES = 0.15;

    /** Of what a microphone gives. */
    public static MicSound of(MicSensitivity sensitivity, Level peak) {
        return new MicSound(peak.above(sensitivity.atPascal()).db() + MicSensitivity.PASCAL_DB_SPL);
    }

    /** From where a loud voice is so loud: its level falls by 6 dB for each doubling. */
    double metres() {
        return HAND_METRES * new Gain(VOICE_DB - peakDb).ratio();
    }

    /** "a loud voice a hand's width (10 cm) away". */
    public String words() {
        if (peakDb > MOST_VOICE_DB) {
            return "a drum or an amplifier close by";
        }
        double metres = metres();
        if (metres < NEAR_METRES) {
            return "a loud voice close to the lips";
        }
        if (metres < HAND_MOST_METRES) {
            return "a loud voice a hand's width (" + Print.decimal(metres * 100, 0) + " cm) away";
        }
        return "a loud voice "
                + (metres < 1 ? Math.round(metres * STEPS) * 100 / STEPS + " cm" : Print.decimal(metres, 1) + " m")
                + " away";
    }
}
