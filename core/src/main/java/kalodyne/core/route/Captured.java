package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;
import kalodyne.core.units.Print;

/**
 * What a recorder records and how that is heard, however it came to be plugged so.
 *
 * @param recorder its mark
 * @param lines what is played into it, in the order of the tracks
 * @param isDirect whether it is heard without going through a computer
 * @param isOnHeadphones whether headphones are plugged
 * @param isOnSpeakers whether it is heard on speakers
 * @param patch what is plugged
 */
public record Captured(
        String recorder,
        List<Line> lines,
        boolean isDirect,
        boolean isOnHeadphones,
        boolean isOnSpeakers,
        Patch patch) {
    /** What comes by the same channels is one line. */
    public Captured {
        lines = merged(lines);
    }

    /**
     * What one track gets.
     *
     * @param players the names of all that play into it
     * @param isStereo whether left and right are kept
     * @param losesStereo whether they should have been
     * @param isOwn whether the recorder hears it by a microphone that is built in
     * @param track where it is found
     */
    public record Line(List<String> players, boolean isStereo, boolean losesStereo, boolean isOwn, Track track) {
        public Line {
            players = List.copyOf(players);
        }

        /** "Bass synth", "the mix of Bass synth and Drum box". */
        public String played() {
            return isMix() ? "the mix of " + Print.listed(players) : players.get(0);
        }

        /** Whether several play into it, so that they cannot be taken apart again. */
        public boolean isMix() {
            return players.size() > 1;
        }

        /** Two sources that share a channel share the track: they are mixed before they come here. */
        private boolean isWith(Line other) {
            return track.sender().equals(other.track.sender())
                    && (track.channels().isEmpty()
                            ? track.words().equals(other.track.words())
                            : !Collections.disjoint(track.channels(), other.track.channels()));
        }

        private Line and(Line other) {
            List<String> all = Stream.concat(players.stream(), other.players.stream())
                    .distinct()
                    .toList();
            return new Line(
                    all,
                    isStereo || other.isStereo,
                    losesStereo || other.losesStereo,
                    isOwn && other.isOwn,
                    track.and(other.track));
        }
    }

    private static List<Line> merged(List<Line> lines) {
        List<Line> merged = new ArrayList<>();
        for (Line line : lines) {
            Line whole = line;
            int place = merged.size();
            for (int i = merged.size() - 1; i >= 0; i--) {
                if (merged.get(i).isWith(whole)) {
                    whole = merged.remove(i).and(whole);
                    place = i;
                }
            }
            merged.add(Math.min(place, merged.size()), whole);
        }
        return List.copyOf(merged);
    }

    static Captured of(Wish wish, Way way) {
        return new Captured(
                wish.target(),
                way.strands().stream().map(strand -> line(wish, way, strand)).toList(),
                way.monitoring().isDirect(),
                !wish.heard().headphones().isEmpty(),
                !wish.heard().speakers().isEmpty(),
                way.patch());
    }

    private static Line line(Wish wish, Way way, Way.Strand strand) {
        Device source = way.patch().devices().get(strand.stations().get(0));
        boolean isStereo = strand.channels() > 1;
        boolean losesStereo = !isStereo
                && wish.stereo() == Stereo.KEEP
                && new Ports(source)
                        .outlets().stream().anyMatch(port -> port.shape().channels() > 1);
        return new Line(
                List.of(source.name()), isStereo, losesStereo, strand.stations().size() == 1, strand.track());
    }

    /** The channels that a device sends to be recorded. */
    public static List<ChannelPair> sent(Device device) {
        return device.sockets().stream().flatMap(Ports::recorded).toList();
    }
}
