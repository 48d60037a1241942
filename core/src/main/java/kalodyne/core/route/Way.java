package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.Turn;

/**
 * A way from sources to a recorder, computed.
 *
 * @param title what it is, in a few words: "By the interface"
 * @param strands one for each source
 * @param monitoring how it is heard meanwhile
 * @param sideTasks what belongs to it beside the recording
 * @param patch everything that is plugged
 * @param joints what comes of it
 * @param turns where the controls of all that is plugged then should stand
 * @param missing what is not owned
 * @param unplugged what is plugged now and would not be any more
 * @param score the lower the better
 * @param reasons why it stands where it stands
 */
public record Way(
        String title,
        List<Strand> strands,
        MonitorFeed monitoring,
        List<SideTask> sideTasks,
        Patch patch,
        List<JointRules.Checked> joints,
        List<Turn> turns,
        List<Missing> missing,
        List<Plugging> unplugged,
        double score,
        List<Reason> reasons) {
    public Way {
        strands = List.copyOf(strands);
        sideTasks = List.copyOf(sideTasks);
        joints = List.copyOf(joints);
        turns = List.copyOf(turns);
        missing = List.copyOf(missing);
        unplugged = List.copyOf(unplugged);
        reasons = List.copyOf(reasons);
    }

    /** The stations between the first and the last of some. */
    static List<String> between(List<String> stations) {
        return stations.subList(1, Math.max(1, stations.size() - 1));
    }

    /**
     * The way of one source.
     *
     * @param stations marks of the devices, from the source to the recorder
     * @param leads names of the leads between each two of them
     * @param channels of its signal that are kept: 1, or 2 for left and right
     * @param breaks how many plugs sit in sockets, one behind the other
     * @param specialLeads how many of its leads have another plug at each end
     * @param track where it is recorded
     * @param prediction empty where the source sends data of which nobody knows how loud it is
     */
    public record Strand(
            List<String> stations,
            List<List<String>> leads,
            int channels,
            int breaks,
            int specialLeads,
            Track track,
            Optional<Prediction> prediction) {
        public Strand {
            stations = List.copyOf(stations);
            leads = leads.stream().map(List::copyOf).toList();
        }
    }

    /**
     * How it is heard while it is recorded.
     *
     * @param words "Headphones on the interface, direct"
     * @param isDirect whether the signal does not go through a computer
     * @param delayMilliseconds about how late
     * @param isAsWished whether that is what was wished
     */
    public record MonitorFeed(String words, boolean isDirect, double delayMilliseconds, boolean isAsWished) {
        /** Where nobody wears any. */
        static final String NO_HEADPHONES = "Not on headphones";

        boolean isOnHeadphones() {
            return !words.equals(NO_HEADPHONES);
        }
    }

    public int channels() {
        return strands.stream().mapToInt(Strand::channels).sum();
    }

    public int breaks() {
        return strands.stream().mapToInt(Strand::breaks).max().orElse(0);
    }

    /** Why this stands before another one, in words; empty where nothing tells them apart. */
    public String betterThan(Way other) {
        return Reason.better(reasons, other.reasons);
    }

    public List<Finding> findings() {
        return Finding.worstFirst(
                joints.stream().flatMap(joint -> joint.findings().stream()).toList());
    }

    public Optional<Severity> worst() {
        return Finding.worst(findings());
    }
}
