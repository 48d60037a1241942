package kalodyne.core.levels.gain;

import kalodyne.core.gear.Control;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.gear.Taper;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Gain;

/**
 * A control that something in a flow depends on.
 *
 * @param id its mark in the flow: "interface.gain-1"
 * @param owner the device it is on
 * @param kind what it is called for
 * @param duty what it does in its device
 * @param control with the position where it stands
 * @param isLocked whether its owner wants it to stay there
 * @param isTold whether somebody said that it stands there; else it is taken to
 */
public record Knob(
        Spot id, String owner, ControlKind kind, Duty duty, Control control, boolean isLocked, boolean isTold) {
    /** A volume can be shut; further down than this nobody means to set a level. */
    private static final double LEAST_DB = -60;

    public Knob at(double position) {
        return new Knob(id, owner, kind, duty, control.at(position), isLocked, isTold);
    }

    /** Where it adds so much, in dB, or nearest to it; where it is, if it must stay. */
    Knob adding(double db) {
        return isLocked ? this : at(control.taper().positionFor(new Gain(db)));
    }

    public Knob locked(boolean newLocked) {
        return new Knob(id, owner, kind, duty, control, newLocked, isTold);
    }

    public Knob told(boolean newTold) {
        return new Knob(id, owner, kind, duty, control, isLocked, newTold);
    }

    /** What is not turned for the level: a switch between inputs, a pan pot. */
    public static boolean isChoice(ControlKind kind) {
        return kind == ControlKind.INPUT_SELECT || kind == ControlKind.PAN;
    }

    /** A choice stays too, and nobody locked it. */
    public boolean isLockedByOwner() {
        return isLocked && !isChoice(kind);
    }

    /** Whether it must be known where it stands: a pad that nobody speaks of is out. */
    public boolean isMissed() {
        return !isTold && !isLocked && duty != Duty.SWITCH;
    }

    /** What a hand looks for: a clock reading, the mark of a switch, the decibels beside a fader. */
    public String place() {
        return kind == ControlKind.FADER && !control.taper().isStepped() ? gain().toString() : control.place();
    }

    public Gain gain() {
        return control.gain();
    }

    /** How many decibels a quarter of an hour changes about here, over both sides of it; upwards only beside its shut end. */
    public Gain perQuarterHour() {
        double aboutHere = aboutHere();
        return Double.isFinite(aboutHere) ? new Gain(aboutHere) : control.perQuarterHour();
    }

    /** Whether that is more than a hand can mean. */
    public boolean isCoarse() {
        return !control.taper().isStepped() && aboutHere() > Travel.COARSE_DB;
    }

    private double aboutHere() {
        return Travel.perQuarterHour(
                control.taper(), control.position(), control.dial().quarterHour());
    }

    /** In words: "the gain on Interface". */
    public String words() {
        return control.called() + " on " + owner;
    }

    /** The least that it can be meant to add, in dB. */
    double leastDb() {
        return isLocked
                ? presentDb()
                : Math.max(LEAST_DB, control.taper().lowest().db());
    }

    double mostDb() {
        return isLocked ? presentDb() : control.taper().highest().db();
    }

    /** Where it stands, never lower than can be computed with. */
    double presentDb() {
        return Math.max(2 * LEAST_DB, gain().db());
    }

    /** What it can add where it moves in clicks; empty for what turns freely or must stay. */
    double[] steps() {
        Taper taper = control.taper();
        return !isLocked && taper instanceof SteppedTaper clicks
                ? clicks.steps().stream().mapToDouble(Gain::db).toArray()
                : new double[0];
    }
}
