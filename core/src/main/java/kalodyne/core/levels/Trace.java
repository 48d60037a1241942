package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Print;

/**
 * Where a run goes in a flow, and how its parts are called.
 *
 * @param key under which takes know it; stays while the gear is plugged so
 * @param name "Bass synth → track 3"
 * @param with who else is recorded on the same track, or heard by the same ear: their names
 * @param isOfMicrophone whether somebody is heard at its source: then distance is a control too
 * @param path the points that it passes
 * @param stations in the order of the signal
 * @param marks station by station the device, where there is one on the shelf
 * @param stationOf for each point of the path the index of its station
 * @param socket the socket that the recorder, or what is listened to, takes it in by
 * @param sampleRateHz of the track, where that is known
 */
public record Trace(
        String key,
        String name,
        List<String> with,
        boolean isOfMicrophone,
        Flow.Run path,
        List<Station> stations,
        List<Optional<String>> marks,
        List<Integer> stationOf,
        String socket,
        OptionalInt sampleRateHz) {
    public Trace {
        with = List.copyOf(with);
        stations = List.copyOf(stations);
        marks = List.copyOf(marks);
        stationOf = List.copyOf(stationOf);
    }

    /** Whether that is its name or its key. */
    public boolean isCalled(String nameOrKey) {
        return name.equals(nameOrKey) || key.equals(nameOrKey);
    }

    /** All runs of a setup. */
    public static List<Trace> all(Rig rig) {
        List<Flow.Run> runs = rig.flow().runs();
        return runs.stream().map(path -> new Tracing(rig, runs, path).trace()).toList();
    }

    private static final class Tracing {
        private final Rig rig;
        private final List<Flow.Run> runs;
        private final Flow.Run path;
        private final List<Station> stations = new ArrayList<>();
        private final List<Optional<String>> marks = new ArrayList<>();
        private final List<Integer> stationOf = new ArrayList<>();

        Tracing(Rig rig, List<Flow.Run> runs, Flow.Run path) {
            this.rig = rig;
            this.runs = runs;
            this.path = path;
        }

        Trace trace() {
            Point before = null;
            String socket = "";
            for (int index : path.points()) {
                Point point = rig.flow().points().get(index);
                boolean isEnd = index == rig.flow().ends().get(path.end()).point();
                if (before == null || !before.station().equals(point.station())) {
                    if (before != null) {
                        station(Station.Kind.JOINT, rig.leads(before, point), "", Optional.empty());
                        socket = point.label();
                    }
                    if (!isEnd || before == null) {
                        station(Station.Kind.DEVICE, rig.station(point), labels(index), Optional.of(point.station()));
                    }
                }
                if (isEnd) {
                    station(Station.Kind.END, endName(), endDetail(), Optional.of(point.station()));
                }
                stationOf.add(stations.size() - 1);
                before = point;
            }
            Point first = rig.flow().points().get(path.source());
            Point last = rig.flow().points().get(path.points().get(path.points().size() - 1));
            return new Trace(
                    first.id() + ">" + last.id(),
                    rig.name(path),
                    others(first),
                    hears(first),
                    path,
                    stations,
                    marks,
                    stationOf,
                    socket,
                    rate(last));
        }

        private List<String> others(Point own) {
            return runs.stream()
                    .filter(run -> run.end() == path.end())
                    .map(run -> rig.flow().points().get(run.source()))
                    .flatMap(point -> point.sound().stream())
                    .map(Sound::player)
                    .filter(player -> !own.sound().orElseThrow().player().equals(player))
                    .distinct()
                    .map(rig::playerName)
                    .toList();
        }

        private boolean hears(Point source) {
            DeviceKind kind = rig.patch().devices().get(source.station()).kind();
            boolean isPlayback = source.sound().filter(Sound::isPlayback).isPresent();
            return !isPlayback
                    && (kind == DeviceKind.MICROPHONE || (source.id().signal().equals("own") && kind != DeviceKind.DJ));
        }

        private void station(Station.Kind kind, String name, String detail, Optional<String> mark) {
            stations.add(new Station(stations.size(), kind, name, detail));
            marks.add(mark);
        }

        /** By which of its parts the signal comes into a device and leaves it: "Line 1 → Main out L". */
        private String labels(int from) {
            List<Integer> points = path.points();
            String station = rig.flow().points().get(from).station();
            Set<String> ends = new LinkedHashSet<>();
            ends.add(rig.flow().points().get(from).label());
            for (int i = points.indexOf(from);
                    i < points.size()
                            && rig.flow().points().get(points.get(i)).station().equals(station);
                    i++) {
                Point point = rig.flow().points().get(points.get(i));
                boolean isLast = i + 1 < points.size()
                        && !rig.flow().points().get(points.get(i + 1)).station().equals(station);
                if (isLast) {
                    ends.add(point.label());
                }
            }
            return String.join(" → ", ends);
        }

        private String endName() {
            return Print.startingSentence(rig.endName(path.end()));
        }

        private String endDetail() {
            End end = rig.flow().ends().get(path.end());
            return end.kind() != End.Kind.TRACK
                    ? heardAt(end)
                    : end.bits().getAsInt() + "-bit"
                            + rate(rig.flow().points().get(end.point())).stream()
                                    .mapToObj(rate -> ", " + Print.plain(rate / 1000.0) + " kHz")
                                    .findFirst()
                                    .orElse("");
        }

        private String heardAt(End end) {
            Device device = rig.patch()
                    .devices()
                    .get(rig.flow().points().get(end.point()).station());
            if (device.kind() != DeviceKind.SPEAKER) {
                return "at the ears";
            }
            String metres = Print.decimal(
                            rig.metres(rig.flow().points().get(end.point()).station()), 1) + " m away";
            return metres + (end.kind() == End.Kind.SUBWOOFER ? ", where it takes over" : ", all speakers");
        }

        private OptionalInt rate(Point end) {
            List<Integer> rates = rig.patch().devices().get(end.station()).sampleRatesHz();
            return rates.contains(USUAL_RATE)
                    ? OptionalInt.of(USUAL_RATE)
                    : rates.stream().mapToInt(Integer::intValue).findFirst();
        }

        private static final int USUAL_RATE = 48_000;
    }
}
