package kalodyne.core.levels.gain;

import kalodyne.core.joint.Spot;

/**
 * Where a control should stand.
 *
 * @param present the control as it stands
 * @param position where it should
 */
public record Turn(Knob present, double position) {
    /** Less than a quarter of a quarter hour is the same place to a hand. */
    private static final double SAME_PLACE = 0.25;

    public Spot id() {
        return present.id();
    }

    public Knob advised() {
        return present.at(position);
    }

    public boolean stays() {
        return !present.isMissed()
                && Math.abs(present.control().position() - advised().control().position())
                        < SAME_PLACE * present.control().dial().quarterHour();
    }

    /** From where to where: "the gain on Interface from 10:45 to 8:45"; only to where, if nobody said where it stands. */
    public String words() {
        return present.words() + (present.isTold() ? " from " + present.place() : "") + " to "
                + advised().place();
    }
}
