package kalodyne.core.hearing.players;

/** A little drum box: four to the floor, a clap, and closed cymbals between. */
final class DrumBox implements Player {
    private static final double STEP_SECONDS = 0.125;
    private static final int STEPS = 64;

    @Override
    public double[] play(int sampleRateHz, double dynamics) {
        Piece piece = new Piece(sampleRateHz, STEPS * STEP_SECONDS, dynamics);
        for (int step = 0; step < STEPS; step++) {
            double at = step * STEP_SECONDS;
            if (step % 4 == 0) {
                piece.add(
                        at,
                        0.4,
                        step % 16 == 0 ? 1 : 0.85,
                        t -> Math.sin(2 * Math.PI * (48 * t + 6 * (1 - Math.exp(-t * 40)))) * Math.exp(-t * 11));
            }
            if (step % 8 == 4) {
                piece.add(at, 0.2, 0.6, t -> piece.noise() * 0.5 * Math.exp(-t * 25));
            }
            piece.add(at, 0.06, step % 2 == 1 ? 0.35 : 0.2, t -> piece.noise() * 0.6 * Math.exp(-t * 90));
        }
        return piece.samples();
    }
}
