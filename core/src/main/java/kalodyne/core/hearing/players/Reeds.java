package kalodyne.core.hearing.players;

import java.util.function.DoubleUnaryOperator;

/** An accordion: chords of two reeds each, a little out of tune with one another. */
final class Reeds implements Player {
    private static final int[][] CHORDS = {{12, 24, 28, 31}, {5, 24, 29, 33}, {7, 23, 26, 31}, {12, 24, 28, 36}};
    private static final double[] SIZES = {0.7, 0.55, 0.8, 1};
    private static final double CHORD_SECONDS = 2.1;
    private static final double UP_TO_HZ = 7_000;
    private static final double BEATING_HZ = 1.7;

    @Override
    public double[] play(int sampleRateHz, double dynamics) {
        Piece piece = new Piece(sampleRateHz, CHORDS.length * CHORD_SECONDS, dynamics);
        for (int i = 0; i < CHORDS.length; i++) {
            for (int note : CHORDS[i]) {
                double hertz = Piece.hertz(note);
                double length = CHORD_SECONDS * 0.92;
                DoubleUnaryOperator one = Piece.tone(hertz, UP_TO_HZ, 0.9);
                DoubleUnaryOperator other = Piece.tone(hertz + BEATING_HZ, UP_TO_HZ, 0.9);
                piece.add(
                        i * CHORD_SECONDS,
                        length,
                        SIZES[i],
                        t -> Piece.swell(t, 0.09, length, 0.15) * (one.applyAsDouble(t) + other.applyAsDouble(t)));
            }
        }
        return piece.samples();
    }
}
