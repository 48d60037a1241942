package kalodyne.core.route;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;

/** What a recorder would hear of the same by the microphone that is built in, with nothing plugged: a way to compare with. */
final class OwnMicrophone {
    private static final Set<DeviceKind> HEARD_IN_THE_AIR = EnumSet.of(DeviceKind.MICROPHONE, DeviceKind.WIRELESS);

    private final Wish wish;
    private final Settings settings;

    OwnMicrophone(Wish wish, Settings settings) {
        this.wish = wish;
        this.settings = settings;
    }

    /** Empty where what is played is not in the air, or nothing is built in. */
    Optional<Way> way(List<Device> sources, Device recorder) {
        boolean isInTheAir = sources.stream().allMatch(source -> HEARD_IN_THE_AIR.contains(source.kind()));
        boolean isPlain = sources.size() == 1 && wish.extras().by().isEmpty();
        return isInTheAir && isPlain && recorder.recordsByItself() ? Optional.of(way(recorder)) : Optional.empty();
    }

    private Way way(Device recorder) {
        Patch patch = new Patch(Map.of(recorder.id(), recorder), Map.of(), List.of());
        Expectation expected = Expectation.of(List.of(), patch, recorder.id(), settings);
        Track track = new Track("its own microphone", Optional.empty(), List.of());
        Way.Strand strand = new Way.Strand(
                List.of(recorder.id()), List.of(), 1, 0, 0, track, expected.of(recorder.id(), recorder.id(), track));
        boolean isHeard = !wish.heard().isNothing();
        Way.MonitorFeed heard = new Way.MonitorFeed(
                isHeard ? "Nothing plays it meanwhile: listen to the take afterwards" : Way.MonitorFeed.NO_HEADPHONES,
                true,
                0,
                !isHeard);
        List<SideTask> sideTasks = List.of(new SideTask(
                SideTask.Of.SOUND,
                "It hears the room as much as you, the hand that holds it, and itself: lay it a hand's width to two"
                        + " away, on something soft, and switch its automatic level off",
                true));
        Stock stock = new Stock(List.of(recorder), Wiring.NONE);
        Scoring scoring = new Scoring(wish, stock, List.of(strand), List.of(), List.of(), 1);
        scoring.builtIn();
        scoring.sideTasks(heard, sideTasks);
        return new Way(
                "By the microphone built into " + recorder.name() + ", to compare",
                List.of(strand),
                heard,
                sideTasks,
                patch,
                List.of(),
                expected.turns(),
                List.of(),
                List.of(),
                scoring.score(),
                scoring.reasons());
    }
}
