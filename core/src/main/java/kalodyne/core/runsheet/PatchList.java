package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;

/** What is plugged into what, lead by lead, with a number for each: for paper, tables and labels. */
public final class PatchList {
    private PatchList() {}

    /**
     * A lead with its adapters.
     *
     * @param number from 1
     * @param leads what they are on the shelf: the ids of the lead and its adapters
     * @param lead "Lead 4 with Little adapter"; empty where a device has a plug of its own
     * @param colour as a word; may be empty
     * @param ends the sockets that it joins, what gives first
     * @param noticed what is to be known of it, worst first
     */
    public record Row(
            int number, List<String> leads, String lead, String colour, List<End> ends, List<Finding> noticed) {
        public Row {
            leads = List.copyOf(leads);
            ends = List.copyOf(ends);
            noticed = List.copyOf(noticed);
        }

        /** What must be told wherever it is shown: the worst, where that is harmful or wrong. */
        public Optional<Finding> caution() {
            return noticed.stream().findFirst().filter(worst -> worst.severity().compareTo(Severity.WRONG) <= 0);
        }

        /** Where the signal comes from. */
        public End from() {
            return ends.get(0);
        }

        /** "left" or "right" where all ends that tell agree: a lead of the left side is so at both ends. */
        public String side() {
            List<String> told = ends.stream()
                    .map(End::side)
                    .filter(side -> !side.isEmpty())
                    .distinct()
                    .toList();
            return told.size() == 1 ? told.get(0) : "";
        }

        /** Where it goes to; several for a splitter. */
        public List<End> to() {
            return ends.subList(1, ends.size());
        }
    }

    /**
     * A socket at an end.
     *
     * @param spot where it is
     * @param device its name
     * @param socket its name
     * @param connector which it is
     * @param side "left" or "right" where it carries one of both; else empty
     */
    public record End(Spot spot, String device, String socket, String connector, String side) {
        /** "Bass synth, Output". */
        public String words() {
            return device + ", " + socket;
        }
    }

    /**
     * All leads of a patch that join something, in the order in which they were plugged.
     *
     * @param joints what comes of it
     */
    public static List<Row> of(Patch patch, List<Checked> joints) {
        List<Row> rows = new ArrayList<>();
        for (Link link : Link.apart(patch)) {
            if (link.isWhole()) {
                List<Lead> leads = link.leads().stream()
                        .map(mark -> patch.leads().get(mark))
                        .toList();
                rows.add(new Row(
                        rows.size() + 1,
                        leads.stream().map(Lead::id).toList(),
                        leads.stream().map(Lead::name).collect(Collectors.joining(" with ")),
                        leads.stream()
                                .map(Lead::colour)
                                .filter(colour -> !colour.isEmpty())
                                .findFirst()
                                .orElse(""),
                        link.sockets().stream().map(spot -> end(patch, spot)).toList(),
                        link.noticed(joints)));
            }
        }
        return rows;
    }

    private static End end(Patch patch, Spot spot) {
        Socket socket = patch.socket(spot).orElseThrow();
        return new End(
                spot,
                patch.devices().get(spot.item()).name(),
                socket.name(),
                socket.connector().word(),
                side(socket.name()).orElse(""));
    }

    /** By what is printed beside it: "Output L/mono", "Main out R", "Phono in L", "To speaker R". */
    private static Optional<String> side(String name) {
        if (name.matches("(?i).*(\\bleft\\b|\\bL\\b).*")) {
            return Optional.of("left");
        }
        return name.matches("(?i).*(\\bright\\b|\\bR\\b).*") ? Optional.of("right") : Optional.empty();
    }
}
