package kalodyne.core.recording;

/** Something that sound can be recorded from. */
public interface InputDevice {
    /** As its maker, or the system, calls it. */
    String name();

    /** Whether it makes its sound itself. */
    boolean isSimulated();

    /** How many channels it gives at the most. */
    int channels();

    /**
     * Opens it; closing the line gives it back.
     *
     * @param sampleRateHz that is wanted; it may give another one
     * @throws LostInput where it is busy, or gone; says so
     */
    InputLine open(int sampleRateHz) throws LostInput;
}
