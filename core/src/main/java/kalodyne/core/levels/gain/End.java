package kalodyne.core.levels.gain;

import java.util.OptionalInt;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * Where a run ends: a track, or the ears.
 *
 * @param point index of the point
 * @param name "track 3", "Headphones, left ear"
 * @param number of a track as its recorder counts; empty for ears, and where tracks have no numbers
 * @param kind which of both
 * @param zero the level at which its scale reads 0: that of full scale, or of 0 dB SPL
 * @param low lower edge of where the aimed line should lie on that scale, in dB
 * @param high upper edge, above the lower
 * @param line which line is aimed
 * @param bits per sample of a track
 */
public record End(
        int point,
        String name,
        OptionalInt number,
        Kind kind,
        Level zero,
        double low,
        double high,
        Line line,
        OptionalInt bits) {
    /** So much too quiet is raised later, and nobody hears the noise of it; common practice. */
    private static final double RAISED_LATER_DB = 3;

    /** Whoever plays, peaks that leave so much free are whole; common practice. */
    private static final double LOUDEST_PEAK = -6;

    private static final double EARS_BELOW_DB = 10;
    private static final double EARS_ABOVE_DB = 5;

    public End {
        if (!(low < high)) {
            throw new IllegalArgumentException("an aim must rise, got " + low + " to " + high);
        }
    }

    /** What is at the end. */
    public enum Kind {
        TRACK,
        EARS,
        /** The low part of what other loudspeakers play: as loud as they are. */
        SUBWOOFER
    }

    /** The lines that can be aimed. */
    public enum Line {
        PEAK,
        AVERAGE
    }

    /** The lowest that does, though it is not aimed at. */
    public double leastTolerated() {
        return low - (kind != Kind.TRACK ? EARS_BELOW_DB : RAISED_LATER_DB);
    }

    /** The highest that does, though it is not aimed at. */
    public double mostTolerated() {
        if (kind != Kind.TRACK) {
            return high + EARS_ABOVE_DB;
        }
        return line == Line.PEAK ? Math.max(high, LOUDEST_PEAK) : high + RAISED_LATER_DB;
    }

    public boolean isTolerated(double onScale) {
        return onScale >= leastTolerated() && onScale <= mostTolerated();
    }

    public End withAim(double newLow, double newHigh, Line newLine) {
        return new End(point, name, number, kind, zero, newLow, newHigh, newLine, bits);
    }

    /** The same as the low part of others. */
    public End asSubwoofer() {
        return new End(point, name, number, Kind.SUBWOOFER, zero, low, high, line, bits);
    }

    /** A track with its number: "track 3". */
    public End numbered(int newNumber) {
        return new End(point, "track " + newNumber, OptionalInt.of(newNumber), kind, zero, low, high, line, bits);
    }

    /** With others beside it that are heard too. */
    public End louderBy(Gain more) {
        return new End(point, name, number, kind, new Level(zero.dbu() - more.db()), low, high, line, bits);
    }

    /** The same at another point. */
    public End at(int newPoint) {
        return new End(newPoint, name, number, kind, zero, low, high, line, bits);
    }

    public double middle() {
        return (low + high) / 2;
    }

    /** How far something lies outside the aim: above it (positive), below it (negative), or 0 where it is inside. */
    public Gain miss(double onScale) {
        return new Gain(onScale > high ? onScale - high : Math.min(0, onScale - low));
    }

    /** A level on its scale, in dBFS or dB SPL. */
    public double onScale(Level level) {
        return level.dbu() - zero.dbu();
    }
}
