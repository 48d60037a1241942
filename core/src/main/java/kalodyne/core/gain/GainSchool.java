package kalodyne.core.gain;

/** Where the gain is made: habits that practitioners hold to. */
public enum GainSchool {
    STRONG_SOURCE(
            "Strong source",
            "Every stage as high as nothing clips, from the source on: noise that is added later then counts less."),
    WORK_UP("Work up from nothing", "Ten decibels are kept free at every stage, because surprises are loud."),
    UNITY(
            "Mixer at unity",
            "Faders and trims stand where they neither add nor take; the source and the preamp make the level."),
    DRIVE("Drive it", "The preamp is pushed into its ceiling for its colour, and turned down behind it.");

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
