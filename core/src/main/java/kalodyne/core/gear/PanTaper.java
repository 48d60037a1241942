package kalodyne.core.gear;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * A pan pot, or the balance of a stereo channel, on its way to one side: whole where it is turned to that side, shut where it is
 * turned to the other one, along a sine between.
 *
 * @param middle what it takes from each side in the middle, from −6 to 0 dB: −3 dB for a pan pot, so that a voice is as loud
 *     wherever it stands, 0 dB for a balance; common practice, others take up to 6 dB
 * @param side which side it is told for
 */
public record PanTaper(Gain middle, Side side) implements Taper {
    /** Where it leads to. */
    public enum Side {
        LEFT,
        RIGHT
    }

    /** A pan pot of which nobody said what it takes. */
    public static final PanTaper USUAL = new PanTaper(new Gain(-3), Side.RIGHT);

    /** Where it leads to both sides alike. */
    public static final double CENTRE = 0.5;

    /** What is said of a pan pot at its lowest, in its middle, at its highest. */
    public static final List<String> MARKS = List.of("left", "middle", "right");

    /** A sine in its middle is so much below its highest. */
    private static final double SINE_DB = Gain.ofPowerRatio(0.5).db();

    private static final double MOST_TAKEN_DB = -6.1;

    /** No hand sets the middle closer. */
    private static final double MIDDLE_SHARE = 0.005;

    public PanTaper {
        if (!(middle.db() <= 0 && middle.db() >= MOST_TAKEN_DB)) {
            throw new IllegalArgumentException("a pan pot takes 0 to 6 dB in its middle, got " + middle);
        }
    }

    public PanTaper to(Side newSide) {
        return new PanTaper(middle, newSide);
    }

    /** The same place of a stereo channel: it takes nothing in the middle. */
    public PanTaper asBalance() {
        return new PanTaper(Gain.NONE, side);
    }

    @Override
    public Gain at(double position) {
        double towards = side == Side.RIGHT ? position : 1 - position;
        boolean isBalance = middle.db() == 0;
        if (towards <= 0) {
            return new Gain(Double.NEGATIVE_INFINITY);
        }
        if (isBalance) {
            return towards >= CENTRE ? Gain.NONE : Gain.ofRatio(Math.sin(Math.PI * towards));
        }
        double sine = Gain.ofRatio(Math.sin(Math.PI / 2 * Math.min(1, towards))).db();
        return new Gain(middle.db() / SINE_DB * sine);
    }

    @Override
    public double positionFor(Gain gain) {
        double towards = towards(Math.min(0, gain.db()));
        return side == Side.RIGHT ? towards : 1 - towards;
    }

    private double towards(double db) {
        if (middle.db() == 0) {
            return db == 0 ? CENTRE : Math.asin(new Gain(db).ratio()) / Math.PI;
        }
        return Math.asin(new Gain(db * SINE_DB / middle.db()).ratio()) / (Math.PI / 2);
    }

    /** "centre", "left", "hard right". */
    public static String words(double position) {
        if (Math.abs(position - CENTRE) < MIDDLE_SHARE) {
            return "centre";
        }
        String side = position < CENTRE ? "left" : "right";
        return position <= 0 || position >= 1 ? "hard " + side : side;
    }

    /** Of a position the mark: a side only where it is turned to it wholly. */
    public static String mark(double position) {
        return MARKS.get(position <= 0 ? 0 : position >= 1 ? 2 : 1);
    }
}
