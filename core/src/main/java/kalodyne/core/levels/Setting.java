package kalodyne.core.levels;

import kalodyne.core.gear.Control;
import kalodyne.core.joint.Spot;

/**
 * Where a control should stand.
 *
 * @param control which one
 * @param owner the device it is on
 * @param present the control as it stands
 * @param advised the control as it should stand
 * @param isLocked whether it must stay
 */
public record Setting(Spot control, String owner, Control present, Control advised, boolean isLocked) {
    /** Less than a twentieth of the travel's quarter hour is the same place to a hand. */
    private static final double SAME_PLACE = 0.05;

    public boolean stays() {
        return Math.abs(present.position() - advised.position())
                < SAME_PLACE * present.dial().quarterHour();
    }

    /** From where to where: "the gain on Interface from 10:45 to 8:45". */
    public String way() {
        return present.called() + " on " + owner + " from " + present.clock() + " to " + advised.clock();
    }
}
