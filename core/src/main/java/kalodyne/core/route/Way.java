package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;

/**
 * A way from sources to a recorder, computed.
 *
 * @param title what it is, in a few words: "By the interface"
 * @param strands one for each source
 * @param monitoring how it is heard meanwhile
 * @param patch everything that is plugged
 * @param joints what comes of it
 * @param missing what is not owned
 * @param score the lower the better
 * @param reasons why it stands where it stands
 */
public record Way(
        String title,
        List<Strand> strands,
        Monitoring monitoring,
        Patch patch,
        List<JointRules.Checked> joints,
        List<Missing> missing,
        double score,
        List<String> reasons) {
    public Way {
        strands = List.copyOf(strands);
        joints = List.copyOf(joints);
        missing = List.copyOf(missing);
        reasons = List.copyOf(reasons);
    }

    /**
     * The way of one source.
     *
     * @param stations marks of the devices, from the source to the recorder
     * @param leads names of the leads between each two of them
     * @param channels of its signal that are kept: 1, or 2 for left and right
     * @param breaks how many plugs sit in sockets, one behind the other
     * @param track where it is recorded, in words: "channels 1–2"
     * @param prediction empty where the source sends data: its own level is in it already
     */
    public record Strand(
            List<String> stations,
            List<List<String>> leads,
            int channels,
            int breaks,
            String track,
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
     * @param delayMilliseconds about how late; 0 where the signal does not go through a computer
     */
    public record Monitoring(String words, double delayMilliseconds) {}

    Way withJoints(List<JointRules.Checked> newJoints) {
        return new Way(title, strands, monitoring, patch, newJoints, missing, score, reasons);
    }

    public int channels() {
        return strands.stream().mapToInt(Strand::channels).sum();
    }

    public int breaks() {
        return strands.stream().mapToInt(Strand::breaks).max().orElse(0);
    }

    public List<Finding> findings() {
        return Finding.worstFirst(
                joints.stream().flatMap(joint -> joint.findings().stream()).toList());
    }

    public Optional<Severity> worst() {
        return Finding.worst(findings());
    }
}
