package kalodyne.desktop.model;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.route.Planner;
import kalodyne.core.runsheet.Session;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/**
 * The one next thing of the whole job, whichever room is looked at: from gear on the shelf to a take that is right.
 *
 * @param words what to do
 * @param room where it is done
 * @param command of that room or the window which begins it; empty where going there is enough
 */
public record NextJob(String words, String room, String command) {
    private static final String ADD = "Add gear…";
    private static final String FIND = "Find a way to record…";

    private NextJob(String words, String room) {
        this(words, room, "");
    }

    /** Something that is on no list of usual gear. */
    public static NextJob toAdd() {
        return new NextJob("Add what you have", "shelf", ADD);
    }

    public static NextJob of(StudioModel studio) {
        List<Device> devices = studio.studio().devices();
        Setup setup = studio.setup();
        if (setup.wiring().plugged().isEmpty()) {
            return beforeAnythingIsPlugged(devices);
        }
        List<Take> takes = studio.reading()
                .map(run -> setup.takesOf(run.plan().trace().key()))
                .orElse(setup.takes());
        return takes.isEmpty() ? beforeTheFirstTake(studio, setup) : afterTheTake(takes, setup);
    }

    private static NextJob beforeAnythingIsPlugged(List<Device> devices) {
        if (devices.stream()
                .noneMatch(device -> Planner.isSource(device) && !device.kind().isHost())) {
            return new NextJob("Add what you play or sing", "shelf", ADD);
        }
        if (devices.stream().noneMatch(Planner::isRecorder)) {
            return new NextJob("Add what you record with", "shelf", ADD);
        }
        return new NextJob("Say what you want to record, and see the ways to do it", "hookup", FIND);
    }

    private static NextJob beforeTheFirstTake(StudioModel studio, Setup setup) {
        if (studio.joints().stream().anyMatch(Checked::cannotWork)) {
            return new NextJob("Mend what cannot work as it is plugged", "hookup");
        }
        boolean isTurned = studio.reading()
                .map(RunLevels::advice)
                .filter(advice -> !advice.isFollowed())
                .isPresent();
        if (isTurned) {
            return new NextJob("Set the knobs as advised", "levels");
        }
        if (setup.sessions().stream().noneMatch(Session::isOver)) {
            return new NextJob("Go through the run sheet", "runsheet");
        }
        return new NextJob("Record a test take of the loudest part", "takes");
    }

    private static NextJob afterTheTake(List<Take> takes, Setup setup) {
        Take newest = takes.get(takes.size() - 1);
        boolean isSame = newest.positions().entrySet().stream()
                .allMatch(knob -> knob.getValue()
                        .equals(setup.settings().positions().getOrDefault(knob.getKey(), knob.getValue())));
        return isSame
                ? new NextJob("Read what the newest take says, and turn what it advises", "takes")
                : new NextJob("Record a test take of the loudest part", "takes");
    }
}
