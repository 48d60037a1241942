package kalodyne.core.hearing.players;

import java.util.function.DoubleUnaryOperator;

/** A cello: long bowed notes that swell, some of them soft. */
final class BowedString implements Player {
    private static final int[] NOTES = {3, 10, 15, 17, 15, 12, 10, 7, 3, 5, 8, 12};
    private static final double[] SIZES = {0.5, 0.6, 0.75, 1, 0.8, 0.6, 0.45, 0.4, 0.5, 0.6, 0.85, 0.7};
    private static final double NOTE_SECONDS = 0.9;
    private static final double UP_TO_HZ = 6_000;

    @Override
    public double[] play(int sampleRateHz, double dynamics) {
        Piece piece = new Piece(sampleRateHz, NOTES.length * NOTE_SECONDS, dynamics);
        for (int i = 0; i < NOTES.length; i++) {
            double hertz = Piece.hertz(NOTES[i]);
            double length = NOTE_SECONDS * 1.05;
            DoubleUnaryOperator tone = Piece.tone(hertz, UP_TO_HZ, 1.1);
            piece.add(
                    i * NOTE_SECONDS,
                    length,
                    SIZES[i],
                    t -> Piece.swell(t, 0.12, length, 0.2)
                            * tone.applyAsDouble(t + 0.0006 * Math.sin(2 * Math.PI * 5.2 * t)));
        }
        return piece.resonating(220, 40, 0.3).resonating(480, 90, 0.2).samples();
    }
}
