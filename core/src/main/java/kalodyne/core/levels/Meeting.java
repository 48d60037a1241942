package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.levels.gain.FlowLevels;

/**
 * Where players meet: a bus on which several are heard, of a stereo pair its first side.
 *
 * @param point of the flow
 * @param players by their marks, in alphabetical order
 * @param station the device
 */
public record Meeting(int point, List<String> players, String station) {
    public Meeting {
        players = List.copyOf(players);
    }

    /** All of a rig, in the order of the signal. */
    public static List<Meeting> all(FlowLevels levels) {
        List<Meeting> meetings = new ArrayList<>();
        for (int i = 0; i < levels.flow().points().size(); i++) {
            Meeting here = at(levels, i);
            if (levels.flow().points().get(i).isBus()
                    && here.players.size() > 1
                    && meetings.stream().noneMatch(here::isSideOf)) {
                meetings.add(here);
            }
        }
        return meetings;
    }

    private static Meeting at(FlowLevels levels, int point) {
        return new Meeting(
                point,
                levels.players(point).stream().sorted().toList(),
                levels.flow().points().get(point).station());
    }

    private boolean isSideOf(Meeting other) {
        return players.equals(other.players) && station.equals(other.station);
    }
}
