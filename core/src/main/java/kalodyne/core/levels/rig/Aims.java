package kalodyne.core.levels.rig;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.Patch;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Gain;

/** Where the signal should lie at each end of a flow: by who plays, what records it, and what else is heard beside it. */
final class Aims {
    /** Less below its twin than this is the same. */
    private static final double LEAST_BELOW_DB = 3;

    /** Players whose loudest peaks lie this far above their average are uneven, where they play by hand or mouth. */
    private static final double UNEVEN_CREST_DB = 15;

    private final Patch patch;
    private final Settings settings;
    private final Flow flow;
    private final List<End> ends;

    Aims(Patch patch, Settings settings, Flow flow, List<End> ends) {
        this.patch = patch;
        this.settings = settings;
        this.flow = flow;
        this.ends = List.copyOf(ends);
    }

    /** The ends with their aims. */
    List<End> all() {
        Map<Integer, Set<Integer>> sources = new HashMap<>();
        new Flow(flow.points(), flow.knobs(), ends)
                .runs()
                .forEach(run -> sources.computeIfAbsent(run.end(), end -> new LinkedHashSet<>())
                        .add(run.source()));
        List<End> aimed = new ArrayList<>();
        int together = (int) ends.stream()
                .filter(end -> isLoudspeaker(end) && end.kind() != End.Kind.SUBWOOFER)
                .count();
        for (int e = 0; e < ends.size(); e++) {
            End end = ends.get(e);
            Set<Point> players = sources.getOrDefault(e, Set.of()).stream()
                    .map(flow.points()::get)
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            End one = end.kind() == End.Kind.TRACK ? school(end, players).on(end) : end;
            double below = belowTwin(end);
            one = isLoudspeaker(end) ? one.louderBy(heard(end, Math.max(1, together))) : one;
            aimed.add(below < LEAST_BELOW_DB ? one : one.withAim(one.low() - below, one.high() - below, one.line()));
        }
        return aimed;
    }

    /**
     * All of them are heard together, each as loud as the others; twice as far away each is 6 dB less. A subwoofer gets the sum of
     * their voltages, and should be as loud as all of them are where it takes over, in step: in powers that is as much less.
     */
    private Gain heard(End end, int together) {
        double metres = settings.metres(flow.points().get(end.point()).station());
        return Gain.ofPowerRatio(end.kind() == End.Kind.SUBWOOFER ? 1.0 / together : together)
                .minus(Gain.ofRatio(metres));
    }

    private boolean isLoudspeaker(End end) {
        Device device = patch.devices().get(flow.points().get(end.point()).station());
        return end.kind() != End.Kind.TRACK && device.kind() == DeviceKind.SPEAKER;
    }

    /** Behind the last control something may be built to be quieter than another track behind the same one: so it stays. */
    private double belowTwin(End end) {
        Fixed own = fixed(end);
        return ends.stream()
                .filter(other -> other.kind() == End.Kind.TRACK && end.kind() == End.Kind.TRACK)
                .map(this::fixed)
                .filter(other ->
                        other.behind() == own.behind() && other.station().equals(own.station()))
                .mapToDouble(other -> other.db() - own.db())
                .max()
                .orElse(0);
    }

    /** What lies between a track and the last control before it: the control's place, and what is added behind it. */
    private record Fixed(int behind, String station, double db) {}

    private Fixed fixed(End end) {
        int at = end.point();
        double db = -end.zero().dbu();
        while (flow.points().get(at).knob().isEmpty()
                && !flow.points().get(at).feeds().isEmpty()) {
            Point point = flow.points().get(at);
            Feed loudest =
                    point.feeds().stream().max(Comparator.comparing(Feed::gain)).orElseThrow();
            db += point.gain().db() + loudest.gain().db();
            at = loudest.from();
        }
        return new Fixed(at, flow.points().get(end.point()).station(), db);
    }

    private AimSchool school(End end, Set<Point> players) {
        if (settings.aim() != AimSchool.PLAYER) {
            return settings.aim();
        }
        String mark = flow.points().get(end.point()).station();
        Device recorder = patch.devices().get(mark);
        boolean isAutomatic = patch.automaticLevel(mark).isPresent();
        boolean isPhone = recorder.kind().isHandheld();
        if (isAutomatic && isPhone) {
            return AimSchool.QUIET;
        }
        return players.stream().anyMatch(this::isUneven) ? AimSchool.UNEVEN : AimSchool.EVEN;
    }

    private boolean isUneven(Point source) {
        Device device = patch.devices().get(source.station());
        boolean isByHand =
                device != null && (device.kind() == DeviceKind.MICROPHONE || device.kind() == DeviceKind.INSTRUMENT);
        return isByHand
                && source.sound()
                        .filter(sound -> sound.levels().crest().db() >= UNEVEN_CREST_DB)
                        .isPresent();
    }
}
