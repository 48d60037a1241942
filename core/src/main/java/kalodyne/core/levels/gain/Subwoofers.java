package kalodyne.core.levels.gain;

import java.util.List;

/** Where subwoofers belong: as loud as what they play the low part of. */
final class Subwoofers {
    /** To either side of that. */
    private static final double WITHIN_DB = 2.25;

    private Subwoofers() {}

    /**
     * What leads to subwoofers, each aimed at how loud the loudspeakers behind it are, or all of them where none is behind it.
     *
     * @param set the same flow with the loudspeakers set
     */
    static Flow beside(Flow flow, Flow set) {
        Flow subwoofers = flow.leadingTo(End.Kind.SUBWOOFER);
        if (subwoofers.ends().isEmpty()) {
            return subwoofers;
        }
        FlowLevels levels = FlowLevels.of(set);
        List<End> aimed = subwoofers.ends().stream()
                .map(end -> aimed(end, subwoofers.points().get(end.point()).station(), levels))
                .toList();
        return new Flow(subwoofers.points(), subwoofers.knobs(), aimed);
    }

    private static End aimed(End end, String station, FlowLevels levels) {
        double loud = loud(levels, station, true);
        double aim = Double.isNaN(loud) ? loud(levels, station, false) : loud;
        return Double.isFinite(aim) ? end.withAim(aim - WITHIN_DB, aim + WITHIN_DB, end.line()) : end;
    }

    /** How loud it is at the ears on average; not a number where there are none. */
    private static double loud(FlowLevels levels, String station, boolean isBehind) {
        Flow flow = levels.flow();
        return flow.runs().stream()
                .filter(run -> flow.ends().get(run.end()).kind() == End.Kind.EARS)
                .filter(run -> !isBehind
                        || run.points().stream()
                                .anyMatch(i -> flow.points().get(i).station().equals(station)))
                .mapToDouble(run -> levels.aimed(run.end()))
                .average()
                .orElse(Double.NaN);
    }
}
