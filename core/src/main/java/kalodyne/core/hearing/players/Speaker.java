package kalodyne.core.hearing.players;

import java.util.function.DoubleUnaryOperator;

/** Somebody who reads aloud: syllables on a falling tone, with pauses between sentences. */
final class Speaker implements Player {
    private static final double SYLLABLE_SECONDS = 0.21;
    private static final int IN_A_SENTENCE = 11;
    private static final int SENTENCES = 3;
    private static final double SENTENCE_SECONDS = IN_A_SENTENCE * SYLLABLE_SECONDS + 0.8;
    private static final double UP_TO_HZ = 5_000;

    @Override
    public double[] play(int sampleRateHz, double dynamics) {
        Piece piece = new Piece(sampleRateHz, SENTENCES * SENTENCE_SECONDS, dynamics);
        for (int sentence = 0; sentence < SENTENCES; sentence++) {
            for (int i = 0; i < IN_A_SENTENCE; i++) {
                double at = sentence * SENTENCE_SECONDS + i * SYLLABLE_SECONDS;
                double hertz = 128 - 2.6 * i + 9 * ((i * 5 + sentence) % 4);
                double size = (i * 3 + sentence) % 5 == 0 ? 1 : 0.45 + 0.08 * ((i + sentence) % 4);
                double length = SYLLABLE_SECONDS * 0.85;
                DoubleUnaryOperator tone = Piece.tone(hertz, UP_TO_HZ, 1.2);
                piece.add(at, length, size, t -> Piece.swell(t, 0.03, length, 0.07) * tone.applyAsDouble(t));
                if (i % 3 == 1) {
                    piece.add(
                            at - 0.04 + SYLLABLE_SECONDS,
                            0.07,
                            0.5,
                            t -> 0.25 * piece.noise() * Piece.swell(t, 0.01, 0.07, 0.03));
                }
            }
        }
        return piece.resonating(620, 90, 0.4).resonating(1250, 130, 0.25).samples();
    }
}
