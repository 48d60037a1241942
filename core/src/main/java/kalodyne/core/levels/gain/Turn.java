package kalodyne.core.levels.gain;

/**
 * Where a control should stand.
 *
 * @param present the control as it stands
 * @param position where it should
 */
public record Turn(Knob present, double position) {
    /** Less than a twentieth of a quarter hour is the same place to a hand. */
    private static final double SAME_PLACE = 0.05;

    public Knob advised() {
        return present.at(position);
    }

    public boolean stays() {
        return Math.abs(present.control().position() - advised().control().position())
                < SAME_PLACE * present.control().dial().quarterHour();
    }

    /** From where to where: "the gain on Interface from 10:45 to 8:45". */
    public String words() {
        return present.words() + " from " + present.control().clock() + " to "
                + advised().control().clock();
    }
}
