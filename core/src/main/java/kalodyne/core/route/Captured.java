package kalodyne.core.route;

import java.util.List;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;

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
    public Captured {
        lines = List.copyOf(lines);
    }

    /**
     * Something that is played.
     *
     * @param played its name
     * @param isStereo whether left and right are kept
     * @param losesStereo whether they should have been
     * @param isOwn whether the recorder hears it by a microphone that is built in
     * @param track where it is found
     */
    public record Line(String played, boolean isStereo, boolean losesStereo, boolean isOwn, Track track) {}

    static Captured of(Wish wish, Way way) {
        return new Captured(
                wish.target(),
                way.strands().stream().map(strand -> line(wish, way, strand)).toList(),
                way.monitoring().isDirect(),
                wish.heard().headphones().isPresent(),
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
        return new Line(source.name(), isStereo, losesStereo, false, strand.track());
    }

    /** The channels that a device sends to be recorded. */
    public static List<ChannelPair> sent(Device device) {
        return device.sockets().stream().flatMap(Ports::recorded).toList();
    }
}
