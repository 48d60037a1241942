package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * How gear and leads are plugged together; of gear that is, or was, on the shelf.
 *
 * @param plugged what goes into what
 * @param switches how switches stand, of those of which it is known; each once
 */
public record Wiring(List<Plugging> plugged, List<Switched> switches) {
    public static final Wiring NONE = new Wiring(List.of(), List.of());

    public Wiring {
        plugged = List.copyOf(plugged);
        switches = List.copyOf(switches);
    }

    public Wiring withPlugged(List<Plugging> newPlugged) {
        return new Wiring(newPlugged, switches);
    }

    /** With a switch that stands so, whatever was known of it. */
    public Wiring with(Switched now) {
        return new Wiring(
                plugged,
                Stream.concat(without(now.control()).stream(), Stream.of(now)).toList());
    }

    /** With a switch of which nobody knows how it stands. */
    public Wiring forgetting(Spot control) {
        return new Wiring(plugged, without(control));
    }

    private List<Switched> without(Spot control) {
        return switches.stream().filter(each -> !each.control().equals(control)).toList();
    }

    /** Both; where both know how a switch stands, the other one is right. */
    public Wiring joined(Wiring other) {
        List<Plugging> both = Stream.concat(plugged.stream(), other.plugged.stream())
                .distinct()
                .toList();
        Wiring joined = new Wiring(both, switches);
        for (Switched now : other.switches) {
            joined = joined.with(now);
        }
        return joined;
    }

    /** The same with the marks of gear changed. */
    public Wiring renamed(Function<Spot, Spot> anew) {
        List<Plugging> everything = new ArrayList<>();
        plugged.forEach(each -> everything.add(new Plugging(anew.apply(each.plug()), anew.apply(each.socket()))));
        return new Wiring(
                everything,
                switches.stream()
                        .map(each -> new Switched(anew.apply(each.control()), each.at()))
                        .toList());
    }
}
