package kalodyne.core.levels.gain;

import kalodyne.core.gear.Dial;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.Gain;

/** A stretch of a control's travel, told by what it adds there, in dB. */
record Travel(double low, double high) {
    /** Where a quarter hour does more, nobody sets a level twice alike; common practice. */
    static final double COARSE_DB = 3;

    static Travel at(double db) {
        return new Travel(db, db);
    }

    /** Between two places of the travel. */
    static Travel between(Knob knob, double from, double to) {
        Taper taper = knob.control().taper();
        return new Travel(taper.at(from).db(), taper.at(to).db()).within(whole(knob));
    }

    static Travel whole(Knob knob) {
        return new Travel(knob.leastDb(), knob.mostDb());
    }

    /** Around a place, as far as a quarter hour does no more than a hand can mean; all of it where that is nowhere. */
    static Travel fine(Knob knob, double db) {
        Taper taper = knob.control().taper();
        if (knob.isLocked() || taper.isStepped()) {
            return whole(knob);
        }
        Dial dial = knob.control().dial();
        double middle = dial.nearestQuarter(taper.positionFor(new Gain(db)));
        double low = reach(taper, middle, -dial.quarterHour());
        double high = reach(taper, middle, dial.quarterHour());
        return low < high ? between(knob, low, high) : whole(knob);
    }

    private static double reach(Taper taper, double from, double step) {
        double at = from;
        double width = Math.abs(step);
        while (at + step > -1e-9 && at + step < 1 + 1e-9 && perQuarterHour(taper, at + step, width) <= COARSE_DB) {
            at = Math.max(0, Math.min(1, at + step));
        }
        return at;
    }

    /** What a quarter hour does about a place, taken over the one below it and the one above it. */
    static double perQuarterHour(Taper taper, double at, double width) {
        double below = Math.max(0, at - width);
        double above = Math.min(1, at + width);
        return taper.at(above).minus(taper.at(below)).db() / ((above - below) / width);
    }

    /** No wider than some limits; the nearest of them where it lies beside. */
    Travel within(double least, double most) {
        return new Travel(Math.max(least, Math.min(most, low)), Math.max(least, Math.min(most, high)));
    }

    Travel within(Travel other) {
        return within(other.low, other.high);
    }

    /** On the way to another one: 0 at this one, 1 there. */
    Travel towards(Travel other, double part) {
        return new Travel(low + part * (other.low - low), high + part * (other.high - high));
    }
}
