package kalodyne.core.levels.gain;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.gear.Control;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * What it does to be off by a little on a dial.
 *
 * @param up what a quarter of an hour more adds; nothing at the end of the travel
 * @param down what a quarter of an hour less takes, as a gain below 0
 * @param room how many minutes more it takes until something clips or an aim is passed; empty where nothing does
 * @param slack how many minutes less it takes until an aim is no longer reached; empty where none is missed
 */
public record Sensitivity(Gain up, Gain down, OptionalInt room, OptionalInt slack) {
    private static final int QUARTER_MINUTES = 15;

    /** Of a control as it stands in a flow. */
    public static Sensitivity of(Flow flow, Knob knob) {
        Control control = knob.control();
        double step = control.dial().quarterHour();
        FlowLevels now = FlowLevels.of(flow);
        return new Sensitivity(
                change(control, step),
                change(control, -step),
                minutes(flow, knob, now, 1),
                minutes(flow, knob, now, -1));
    }

    private static Gain change(Control control, double step) {
        double to = Math.max(0, Math.min(1, control.position() + step));
        return control.taper()
                .at(to)
                .minus(control.gain().db() == Double.NEGATIVE_INFINITY ? Gain.NONE : control.gain());
    }

    /** How far it can go, in quarter hours, before something that was well is so no longer. */
    private static OptionalInt minutes(Flow flow, Knob knob, FlowLevels now, int direction) {
        double step = knob.control().dial().quarterHour();
        for (int quarters = 1; quarters * step < 1 + step; quarters++) {
            double to = knob.control().position() + direction * quarters * step;
            if (to < 0 || to > 1) {
                return OptionalInt.empty();
            }
            FlowLevels then = FlowLevels.of(flow.turned(Map.of(knob.id(), to)));
            if (worsens(now, then)) {
                return OptionalInt.of(quarters * QUARTER_MINUTES);
            }
        }
        return OptionalInt.empty();
    }

    private static boolean worsens(FlowLevels now, FlowLevels then) {
        for (int e = 0; e < now.flow().ends().size(); e++) {
            if (now.isMet(e) && !then.isMet(e)) {
                return true;
            }
        }
        for (int i = 0; i < now.flow().points().size(); i++) {
            if (!now.clips(i) && then.clips(i)) {
                return true;
            }
        }
        return false;
    }

    /** In words: "a quarter hour up adds 1.4 dB; 45 minutes more and something clips". */
    public String words() {
        double most = Math.max(up.db(), -down.db());
        // Beside its stop a control shuts off altogether.
        String each = Double.isInfinite(most)
                ? "A quarter hour down shuts it off"
                : "A quarter hour is " + Print.decimal(most, 1) + " dB";
        Optional<String> more =
                room.isPresent() ? Optional.of("; " + hours(room.getAsInt()) + " more is too much") : Optional.empty();
        return each + more.orElse("") + ".";
    }

    private static String hours(int minutes) {
        return minutes % 60 == 0
                ? minutes / 60 + " h"
                : minutes < 60 ? minutes + " min" : minutes / 60 + " h " + minutes % 60 + " min";
    }
}
