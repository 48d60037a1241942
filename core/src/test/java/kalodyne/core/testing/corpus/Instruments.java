package kalodyne.core.testing.corpus;

import java.util.Random;
import java.util.function.Consumer;

/** The players of both halves. Each plays a phrase with a rest at its beginning and others between. */
enum Instruments {
    BASS_SYNTH(true, 0, PlayersForTuning::bassSynth),
    PLUCKED_STRING(true, 0, PlayersForTuning::pluckedString),
    PAD(true, 1, PlayersForTuning::pad),
    DRUMS(true, 0, PlayersForTuning::drums),
    CLOSING_SQUARE(true, 0, PlayersForTuning::closingSquare),
    SQUARE_LEAD(true, 0, PlayersForTuning::squareLead),
    VOICE(true, 0, PlayersForTuning::voice),
    LOW_ORGAN(true, 0, PlayersForTuning::lowOrgan),
    DRIVEN_GUITAR(true, 0, PlayersForTuning::drivenGuitar),
    METRONOME_AND_FLUTE(true, 0, PlayersForTuning::metronomeAndFlute),
    SHAKER(true, 0, PlayersForTuning::shaker),
    FM_BASS(false, 0, PlayersHeldBack::fmBass),
    STRUCK_STRINGS(false, 1, PlayersHeldBack::struckStrings),
    BOWED(false, 0, PlayersHeldBack::bowed),
    DRUM_MACHINE(false, 1, PlayersHeldBack::drumMachine),
    PULSE_LEAD(false, 0, PlayersHeldBack::pulseLead),
    SPEECH(false, 0, PlayersHeldBack::speech),
    REEDS(false, 1, PlayersHeldBack::reeds),
    FUZZ(false, 0, PlayersHeldBack::fuzz),
    TINES(false, 0, PlayersHeldBack::tines),
    BREATHY_PIPE(false, 0, PlayersHeldBack::breathyPipe);

    /** Whether it plays in the half that the thresholds were tuned on. */
    final boolean isForTuning;

    /** Whether it comes out in stereo by itself. */
    final boolean isStereo;

    @SuppressWarnings("ImmutableEnumChecker") // A method without a state.
    private final Consumer<Phrase> play;

    Instruments(boolean isForTuning, int stereo, Consumer<Phrase> play) {
        this.isForTuning = isForTuning;
        this.isStereo = stereo == 1;
        this.play = play;
    }

    /** A phrase whose highest sample is 1. */
    double[] phrase(double seconds, Random random) {
        Phrase phrase = new Phrase(seconds, random);
        play.accept(phrase);
        double peak = 0;
        for (double sample : phrase.samples) {
            peak = Math.max(peak, Math.abs(sample));
        }
        for (int i = 0; i < phrase.samples.length; i++) {
            phrase.samples[i] /= peak;
        }
        return phrase.samples;
    }
}
