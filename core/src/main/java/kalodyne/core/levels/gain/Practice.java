package kalodyne.core.levels.gain;

import java.util.Arrays;
import kalodyne.core.gear.Taper;
import kalodyne.core.units.Gain;

/**
 * Where practice wants a control to stand, and what it gives up first where that does not do. All of it is common practice:
 *
 * <ol start="0">
 *   <li>Gains and trims make the level, trims up to 3 o'clock. A trim adds nothing to a line, mains and faders stand at 0 dB
 *       where they move finely, outputs and headphones between 9 and 3 o'clock, sources at full, pads are out, 6 dB are left
 *       under every ceiling.
 *   <li>Trims of lines leave 0 dB.
 *   <li>Mains go down to −10 dB, and outputs on to 8 and 4 o'clock.
 *   <li>So do the faders of channels; trims go on as far as they move finely; pads come in; 3 dB are left under the ceilings.
 *   <li>Mains and faders go as far as a quarter hour is no more than 3 dB, up too; sources are turned down.
 *   <li>What is recorded lies beside its aim, as far as that does; outputs go as far as they move finely.
 *   <li>Electric instruments are turned down, whose volume is a part of their tone.
 *   <li>Anything goes, up to the ceilings themselves.
 * </ol>
 *
 * <p>A concession is a number from 0 to 7; between two of them travel opens evenly.
 */
final class Practice {
    /** All has been given up. */
    static final double MOST = 7;

    private static final int HALVINGS = 24;
    private static final int COUNT = (int) MOST + 1;

    /** Trims of microphones pass 3 o'clock from here on. */
    private static final int TRIMS = 3;

    /** Pads are in from here on. */
    private static final int PADS = 3;

    /** All that moves finely goes from here on. */
    private static final int FINE = 4;

    /** Outputs and headphones go all the way that they move finely. */
    private static final int OUTPUTS = 5;

    /** The last before anything goes. */
    private static final int LAST = 6;

    private static final double DOWN_DB = -10;

    /** 9 and 3 o'clock, 8 and 4 o'clock, noon, on a dial of ten hours. */
    private static final double[] MIDDLE = {0.2, 0.8};

    private static final double[] WIDE = {0.1, 0.9};
    private static final double NOON = 0.5;

    private static final double[] ROOM = {6, 6, 6, 3, 3, 3, 3, 0};

    /** Whoever works up from nothing expects surprises. */
    private static final double[] MORE_ROOM = {12, 12, 12, 8, 6, 6, 3, 0};

    private final Travel[] steps = new Travel[COUNT];
    private final boolean isSwitch;

    private Practice(boolean isSwitch) {
        this.isSwitch = isSwitch;
    }

    /**
     * For a control.
     *
     * @param isLine whether what it gets is a line already
     */
    static Practice of(Knob knob, GainSchool school, boolean isLine) {
        Practice practice = new Practice(knob.duty() == Duty.SWITCH);
        Travel whole = Travel.whole(knob);
        Travel unity = Travel.at(0).within(whole);
        boolean isUnity = school == GainSchool.UNITY;
        switch (knob.duty()) {
            case GAIN -> practice.open(0, Travel.fine(knob, (whole.low() + whole.high()) / 2));
            case TRIM -> {
                if (isLine) {
                    practice.open(0, unity).open(isUnity ? LAST : 1, Travel.fine(knob, 0));
                } else {
                    Travel fine = Travel.fine(knob, (whole.low() + whole.high()) / 2);
                    practice.open(0, Travel.between(knob, 0, MIDDLE[1]).within(fine))
                            .open(TRIMS, fine);
                }
            }
            case MAIN -> practice.unity(knob, unity, isUnity ? LAST : 2);
            case CHANNEL -> practice.unity(knob, unity, isUnity ? LAST : TRIMS);
            case OUTPUT ->
                practice.open(0, Travel.between(knob, MIDDLE[0], MIDDLE[1]))
                        .open(2, Travel.between(knob, WIDE[0], WIDE[1]))
                        .open(
                                OUTPUTS,
                                Travel.fine(
                                        knob, knob.control().taper().at(NOON).db()));
            case TONE -> practice.open(0, Travel.at(whole.high())).open(LAST, Travel.fine(knob, whole.high()));
            case SOURCE ->
                practice.open(0, school == GainSchool.WORK_UP ? fromNoon(knob) : Travel.at(whole.high()))
                        .open(isUnity ? 1 : FINE, Travel.fine(knob, whole.high()));
            case PAN -> practice.open(0, whole);
            case SWITCH ->
                practice.open(0, Travel.at(steady(knob.control().taper()))).open(PADS, whole);
        }
        return practice.open(COUNT - 1, whole);
    }

    /** What is left free under a ceiling. */
    static double room(GainSchool school, double concession) {
        double[] steps = school == GainSchool.WORK_UP ? MORE_ROOM : ROOM;
        int below = below(concession);
        return steps[below] + (concession - below) * (steps[below + 1] - steps[below]);
    }

    /** How far an aim has been given up for what does as well: 0 not at all, 1 wholly. */
    static double lenience(double concession) {
        return Math.max(0, Math.min(1, concession - FINE));
    }

    private Practice unity(Knob knob, Travel unity, int from) {
        return open(0, unity)
                .open(from, new Travel(unity.low() + DOWN_DB, unity.high()).within(Travel.fine(knob, 0)))
                .open(Math.max(from, FINE), Travel.fine(knob, 0));
    }

    private static Travel fromNoon(Knob knob) {
        return knob.control().taper().isStepped()
                ? Travel.at(Travel.whole(knob).high())
                : Travel.between(knob, NOON, MIDDLE[1]);
    }

    /** What a pad adds while it is out: of its steps the one nearest to nothing. */
    private static double steady(Taper taper) {
        return taper.at(taper.positionFor(Gain.NONE)).db();
    }

    /** From a concession on it is so wide, and never narrower than before. */
    private Practice open(int from, Travel travel) {
        Travel before = steps[from];
        Arrays.fill(
                steps,
                from,
                COUNT,
                before == null
                        ? travel
                        : new Travel(Math.min(before.low(), travel.low()), Math.max(before.high(), travel.high())));
        return this;
    }

    private static int below(double concession) {
        return (int) Math.min(MOST - 1, Math.floor(concession));
    }

    double low(double concession) {
        int below = below(concession);
        return between(steps[below].low(), steps[below + 1].low(), concession - below);
    }

    double high(double concession) {
        int below = below(concession);
        return between(steps[below].high(), steps[below + 1].high(), concession - below);
    }

    /** The concession that allows a place. */
    double needed(double db) {
        double low = 0;
        double high = MOST;
        if (allows(db, 0)) {
            return 0;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (allows(db, middle)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    private boolean allows(double db, double concession) {
        return db >= low(concession) - Demands.SAME_DB && db <= high(concession) + Demands.SAME_DB;
    }

    /** Whether it goes in or out at a concession. */
    boolean leapsAt(double concession) {
        return isSwitch && Math.abs(concession - PADS) < 1e-3;
    }

    private double between(double one, double other, double part) {
        if (isSwitch) {
            return part < 1 ? one : other;
        }
        return one + part * (other - one);
    }
}
