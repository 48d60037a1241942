package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * How faders stand when separate tracks are mixed afterwards, so that players are as loud as is wished. Tracks are recorded as loud as
 * they should be, whatever the balance; the balance is made in the mix.
 *
 * @param faders one for each player, the highest at 0 dB
 */
public record LaterMix(List<Fader> faders) {
    /**
     * A player's fader.
     *
     * @param player the mark
     * @param name of the player
     * @param peak of the loudest of the tracks, in dBFS
     * @param gain of the fader
     */
    public record Fader(String player, String name, double peak, Gain gain) {}

    private static final int FEWEST = 2;

    public LaterMix {
        faders = List.copyOf(faders);
    }

    /**
     * Of those who are alone on their tracks in one recorder; empty where there are not several.
     *
     * @param levels with the controls where they should stand
     */
    public static List<LaterMix> all(Rig rig, Wanted wanted, FlowLevels levels) {
        Flow flow = levels.flow();
        return flow.ends().stream()
                .filter(end -> end.kind() == End.Kind.TRACK)
                .map(end -> flow.points().get(end.point()).station())
                .distinct()
                .flatMap(recorder -> of(recorder, rig, wanted, levels).stream())
                .toList();
    }

    private static Optional<LaterMix> of(String recorder, Rig rig, Wanted wanted, FlowLevels levels) {
        Flow flow = levels.flow();
        TreeMap<String, Double> peaks = new TreeMap<>();
        flow.ends().stream()
                .filter(end -> end.kind() == End.Kind.TRACK)
                .filter(end -> flow.points().get(end.point()).station().equals(recorder))
                .filter(end -> levels.players(end.point()).size() == 1)
                .forEach(end -> peaks.merge(
                        levels.players(end.point()).get(0), end.onScale(levels.peak(end.point())), Math::max));
        if (peaks.size() < FEWEST) {
            return Optional.empty();
        }
        List<Fader> faders = new ArrayList<>();
        double highest = peaks.entrySet().stream()
                .mapToDouble(each -> wish(wanted, each.getKey()) - each.getValue())
                .max()
                .orElseThrow();
        peaks.forEach((player, peak) -> faders.add(
                new Fader(player, rig.playerName(player), peak, new Gain(wish(wanted, player) - peak - highest))));
        return Optional.of(new LaterMix(faders));
    }

    private static double wish(Wanted wanted, String player) {
        return wanted.balanceDb().getOrDefault(player, 0.0);
    }

    /** Whether anybody asked for a balance here. */
    public boolean isWished(Wanted wanted) {
        return faders.stream().anyMatch(fader -> wish(wanted, fader.player()) != 0);
    }

    public List<String> players() {
        return faders.stream().map(Fader::player).toList();
    }

    /** The fader of a player. */
    public Optional<Fader> of(String player) {
        return faders.stream().filter(fader -> fader.player().equals(player)).findFirst();
    }

    /** "Voice 0.0 dB, Piano −7.2 dB". */
    public String words() {
        return faders.stream()
                .map(fader -> fader.name() + " " + Print.signed(fader.gain().db(), 1) + " dB")
                .collect(Collectors.joining(", "));
    }
}
