package kalodyne.desktop.control;

/**
 * The part of a take that is looked at.
 *
 * @param from its first frame
 * @param to behind its last frame
 * @param all how many frames the take has
 */
public record TimeView(double from, double to, double all) {
    /** Fewer samples show nothing more. */
    private static final double FEWEST = 24;

    public static TimeView whole(long frames) {
        double all = Math.max(1, frames);
        return new TimeView(0, all, all);
    }

    /** All of the take. */
    public TimeView whole() {
        return new TimeView(0, all, all);
    }

    public double frames() {
        return to - from;
    }

    public boolean isWhole() {
        return frames() >= all;
    }

    /** How far into what is seen a frame lies: 0 at its left edge, 1 at its right. */
    public double share(double frame) {
        return (frame - from) / frames();
    }

    public double frameAt(double share) {
        return from + share * frames();
    }

    /** Nearer, by a factor above 1, or further away, round a place that stays where it is. */
    public TimeView zoomed(double factor, double share) {
        double wide = Math.max(Math.min(FEWEST, all), Math.min(all, frames() / factor));
        double begin = frameAt(share) - share * wide;
        return within(begin, wide);
    }

    /** Moved by a part of what is seen. */
    public TimeView moved(double share) {
        return within(from + share * frames(), frames());
    }

    /** Round a place, so that it takes a third of what is seen. */
    public TimeView round(double placeFrom, double placeTo) {
        double wide = Math.max(Math.min(FEWEST, all), Math.min(all, 3 * (placeTo - placeFrom)));
        return within((placeFrom + placeTo - wide) / 2, wide);
    }

    private TimeView within(double begin, double wide) {
        double first = Math.max(0, Math.min(all - wide, begin));
        return new TimeView(first, first + wide, all);
    }
}
