package kalodyne.core.levels.gain;

/** Where the gain is made: habits that practitioners hold to. */
public enum GainSchool {
    STRONG_SOURCE("Strong source", "Loud from the source on: later noise counts less."),
    WORK_UP(
            "Work up from nothing",
            "12 dB kept free at every stage, and the lower part of the aim: surprises are loud."),
    UNITY("Mixer at unity", "Faders and trims neither add nor take; source and preamp make the level."),
    DRIVE("Drive it", "The preamp pushed into its ceiling for colour, and turned down behind it.");

    private final String title;
    private final String reason;

    GainSchool(String title, String reason) {
        this.title = title;
        this.reason = reason;
    }

    public String title() {
        return title;
    }

    public String reason() {
        return reason;
    }
}
