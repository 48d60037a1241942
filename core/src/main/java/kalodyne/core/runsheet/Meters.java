package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** The meters along a run before its end: of preamps with a gain, mixers and DJ mixers, in the order of the signal. */
final class Meters {
    private Meters() {}

    /**
     * A meter on the way.
     *
     * @param station mark of the device that it is on
     * @param point where it is
     * @param place index of that point on the run
     */
    record Meter(String station, int point, int place) {}

    /** "+2 dB", on a scale whose 0 dB is +4 dBu. */
    static String words(Level level) {
        return Print.signed(level.above(SourceLevel.METER_ZERO).db(), 0) + " dB";
    }

    /** All that a run passes before what records it. */
    static List<Meter> along(SheetRig rig, LevelPlan plan) {
        Flow flow = plan.flow();
        List<Integer> points = plan.trace().path().points();
        String end = flow.points().get(plan.end().point()).station();
        List<Meter> meters = new ArrayList<>();
        for (int from = 0, to; from < points.size(); from = to) {
            String station = flow.points().get(points.get(from)).station();
            to = from;
            while (to < points.size()
                    && flow.points().get(points.get(to)).station().equals(station)) {
                to++;
            }
            boolean isOwnRecorder = station.equals(end) && !isAnalogue(rig.device(station));
            if (hasMeter(rig.device(station)) && !isOwnRecorder) {
                int place = place(flow, points, from, to);
                meters.add(new Meter(station, points.get(place), place));
            }
        }
        return meters;
    }

    /** A mixer has its own meter, though its converter sits in the same box. */
    private static boolean isAnalogue(Device device) {
        boolean isPlayer = device.controls().isEmpty();
        return device.kind() == DeviceKind.MIXER || (device.kind() == DeviceKind.DJ && !isPlayer);
    }

    private static boolean hasMeter(Device device) {
        boolean isPoweredPreamp = device.kind() == DeviceKind.PREAMP
                && !device.powering().isEmpty()
                && device.controls().stream().anyMatch(control -> control.kind() == ControlKind.GAIN);
        return isAnalogue(device) || isPoweredPreamp;
    }

    /** Behind the level of the whole mix, where the way passes one; else where the mix is; else behind the last knob. */
    private static int place(Flow flow, List<Integer> points, int from, int to) {
        int bus = -1;
        int knob = from;
        for (int i = from; i < to; i++) {
            Point point = flow.points().get(points.get(i));
            if (point.knob().isPresent()) {
                Duty duty = flow.knobs().get(point.knob().getAsInt()).duty();
                if (duty == Duty.MAIN) {
                    return i;
                }
                knob = duty == Duty.OUTPUT ? knob : i;
            }
            bus = point.isBus() ? i : bus;
        }
        return bus >= 0 ? bus : knob;
    }
}
