package kalodyne.desktop.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.units.Print;

/** Gear in a line, for lists. */
final class ShelfWords {
    private ShelfWords() {}

    /** "synth · 3 sockets". */
    static String of(Device device) {
        return device.kind().word() + " · " + Print.counted(device.sockets().size(), "socket");
    }

    /** "blue · 3 m · 6.35 mm two-pole". */
    static String of(Lead lead) {
        List<String> words = new ArrayList<>();
        if (!lead.colour().isEmpty()) {
            words.add(lead.colour());
        }
        lead.facts().printed(Fact.LENGTH).ifPresent(words::add);
        words.add(lead.ends().stream()
                .map(end -> end.connector())
                .distinct()
                .map(Connector::word)
                .collect(Collectors.joining(" to ")));
        return String.join(" · ", words);
    }
}
