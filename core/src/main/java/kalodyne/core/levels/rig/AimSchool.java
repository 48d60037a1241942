package kalodyne.core.levels.rig;

import kalodyne.core.levels.gain.End;

/** Where the signal should lie in a track: what practitioners hold to. All of it is common practice. */
public enum AimSchool {
    PLAYER("By the player", "Uneven players get more room than even ones.", -12, -6, End.Line.PEAK),
    EVEN("Peaks −12 to −6 dBFS", "For playing with predictable loudness.", -12, -6, End.Line.PEAK),
    UNEVEN("Peaks −18 to −12 dBFS", "For very uneven players.", -18, -12, End.Line.PEAK),
    AVERAGE("Average around −18 dBFS", "The habit of analogue meters.", -20, -16, End.Line.AVERAGE),
    QUIET(
            "Rather too quiet",
            "For a phone's microphone socket: a little too quiet can be raised later, clipped cannot.",
            -24,
            -16,
            End.Line.PEAK);

    private final String title;
    private final String reason;
    private final double low;
    private final double high;
    private final End.Line line;

    AimSchool(String title, String reason, double low, double high, End.Line line) {
        this.title = title;
        this.reason = reason;
        this.low = low;
        this.high = high;
        this.line = line;
    }

    public String title() {
        return title;
    }

    public String reason() {
        return reason;
    }

    public double low() {
        return low;
    }

    public double high() {
        return high;
    }

    /** A track that is aimed so. */
    public End on(End track) {
        return track.withAim(low, high, line);
    }
}
