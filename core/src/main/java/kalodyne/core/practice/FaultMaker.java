package kalodyne.core.practice;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.function.LongToDoubleFunction;
import kalodyne.core.hearing.HeardStream;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.hearing.Material;
import kalodyne.core.hearing.Response;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * Takes of a run with a fault in it: a made-up player through the rig's own model, with what is wrong put where it would be. Everything
 * follows from a number.
 */
public final class FaultMaker {
    /** Strengths from 1, which anybody hears, to this. */
    public static final int SUBTLEST = 5;

    private static final int RATE_HZ = 48_000;
    private static final double SECONDS = 10;

    /** Nobody plays: before, in the middle, and behind. */
    private static final double[][] PAUSES = {{0, 1.3}, {4.2, 6.6}, {SECONDS - 1.3, SECONDS + 1}};

    /** The noise that a gate lets through while it is open, and how far above that it opens. */
    private static final double[] GATED = {-44, -48, -52, -56, -60};

    private static final double ABOVE_NOISE_DB = 13;

    private static final double EASE_SECONDS = 0.03;

    /** A room: what comes back from its walls to the left and to the right, so that both sides differ. */
    private static final double[] WALL_SECONDS = {0.013, 0.019};

    private static final double WALL = 0.4;

    private final Rig rig;
    private final LevelPlan plan;
    private final Round round;

    /** Makes takes of a run that is recorded, with its controls where the plan has them. */
    public FaultMaker(Rig rig, LevelPlan plan) {
        this.rig = rig;
        this.plan = plan;
        round = MadeUpPlayer.of(rig, plan).round(RATE_HZ);
    }

    /**
     * A take.
     *
     * @param strength from 1, which anybody hears, to {@link #SUBTLEST}
     * @param number another one gives another take of the same fault
     */
    public Clip make(Fault fault, int strength, long number) {
        Random random = Draw.from(number);
        Listening listening = listening(fault, strength);
        int begun = random.nextInt(round.frames());
        float[][] sides = {through(listening, begun, 0), through(listening, begun, 1)};
        Flaws flaws = new Flaws(sides, RATE_HZ, random);
        switch (fault) {
            case ONE_SIDE -> flaws.kill(random.nextInt(2));
            case INVERTED -> flaws.invert(random.nextInt(2));
            case AUTOMATIC -> flaws.rideLevel(step(strength, 36, 32, 28, 25, 22));
            case GATE -> flaws.gate(step(strength, GATED) + ABOVE_NOISE_DB);
            case DROPOUTS ->
                flaws.drop((int) step(strength, 8, 6, 4, 3, 2), step(strength, 0.08, 0.05, 0.03, 0.015, 0.006));
            case CLICKS -> flaws.click((int) step(strength, 14, 9, 6, 4, 3), step(strength, 0.9, 0.7, 0.5, 0.35, 0.25));
            case WHINE -> flaws.whine(step(strength, -46, -52, -57, -61, -65));
            case PHONE_BAND -> flaws.filter(belowHz(step(strength, 3_400, 4_500, 5_500, 7_000, 9_000)));
            case RUMBLE -> flaws.rumble(step(strength, -26, -29, -32, -35, -38));
            case DC -> flaws.shift(step(strength, 0.2, 0.15, 0.1, 0.07, 0.05));
            default -> {
                // It is in the rig already.
            }
        }
        return new Clip(sides[0], sides[1], RATE_HZ);
    }

    /** Where its run ends, and what is aimed at there. */
    End aim() {
        return plan.end();
    }

    private static double step(int strength, double... steps) {
        return steps[strength - 1];
    }

    /** What a rig does in which something is wrong. */
    private Listening listening(Fault fault, int strength) {
        Listening whole = Listening.to(rig, plan);
        Flow flow = plan.flow();
        int end = plan.trace().path().end();
        int input = input();
        return switch (fault) {
            case CLIPPED -> {
                double over = step(strength, 14, 11, 9, 7, 5);
                End hot = plan.end().louderBy(new Gain(over - plan.endPeakAlone()));
                yield whole.in(flow.withEnd(end, hot));
            }
            case CLIPPED_BEFORE -> {
                double over = step(strength, 14, 12, 10, 8.5, 7.5);
                Level most = new Level(plan.levels().peak(input, plan.player()).dbu() - over);
                yield whole.in(flow.withPoint(input, flow.points().get(input).clippingAt(most)));
            }
            case HISS ->
                whole.in(flow.withPoint(
                        input, flow.points().get(input).hissing(coming(step(strength, -40, -45, -50, -54, -58)))));
            case HUM -> whole.humming(flow.points().get(input).id(), coming(step(strength, -32, -38, -44, -49, -54)));
            case AUTOMATIC ->
                whole.in(flow.withPoint(input, flow.points().get(input).hissing(coming(-72))));
            case GATE ->
                whole.in(flow.withPoint(input, flow.points().get(input).hissing(coming(step(strength, GATED)))));
            default -> whole;
        };
    }

    /** What must come in to lie at so many dBFS in the take. */
    private Level coming(double dbfs) {
        Gain onward = plan.levels().gain(input(), plan.end().point());
        return new Level(plan.end().zero().dbu() + dbfs - onward.db());
    }

    /** Where the run first comes into another device than its source. */
    private int input() {
        var points = plan.trace().path().points();
        String source = plan.flow().points().get(points.get(0)).station();
        return points.stream()
                .filter(at -> !plan.flow().points().get(at).station().equals(source))
                .findFirst()
                .orElseThrow();
    }

    /** One side of what is played in a room, through the rig. */
    private static float[] through(Listening listening, LongToDoubleFunction played) {
        float[] side = new float[(int) (SECONDS * RATE_HZ)];
        try (HeardStream heard = new HeardStream(Material.played(played, RATE_HZ, SECONDS), listening)) {
            int at = 0;
            for (int count = heard.next(); count > 0 && at < side.length; count = heard.next()) {
                int taken = Math.min(count, side.length - at);
                System.arraycopy(heard.samples()[0], 0, side, at, taken);
                at += taken;
            }
        } catch (IOException e) {
            throw new UncheckedIOException("a made-up player reads nothing", e);
        }
        return side;
    }

    private float[] through(Listening listening, int begun, int side) {
        int behind = (int) (WALL_SECONDS[side] * RATE_HZ);
        return through(listening, frame -> {
            double direct = loudness(frame) * round.at(begun + frame);
            double back = frame < behind ? 0 : loudness(frame - behind) * round.at(begun + frame - behind);
            return (direct + WALL * back) / (1 + WALL);
        });
    }

    /** 1 while somebody plays, 0 in a pause. */
    private static double loudness(long frame) {
        double seconds = (double) frame / RATE_HZ;
        double loudness = 1;
        for (double[] pause : PAUSES) {
            double outside = Math.max(pause[0] - seconds, seconds - pause[1]);
            loudness = Math.min(loudness, Math.max(0, Math.min(1, outside / EASE_SECONDS)));
        }
        return loudness;
    }

    /** All below a frequency, and steeply less above. */
    private static DoubleUnaryOperator belowHz(double corner) {
        return hertz -> 1 / Math.sqrt(1 + Math.pow(hertz / corner, 24));
    }

    /** A response of any shape, for what is in no rig. */
    static float[] filtered(float[] samples, DoubleUnaryOperator size) {
        return Response.of(size, RATE_HZ).applied(samples);
    }
}
