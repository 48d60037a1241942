package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;

/** Plugs things together, one after the other. */
public final class Plugger {
    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final Map<String, Lead> leads = new LinkedHashMap<>();
    private final List<Plugging> pluggings = new ArrayList<>();

    /** Puts a device there, to be plugged. */
    public Plugger with(String id, Device device) {
        devices.put(id, device);
        return this;
    }

    /** Puts a lead there, to be plugged. */
    public Plugger with(String id, Lead lead) {
        leads.put(id, lead);
        return this;
    }

    /** Plugs one into the other, whichever of them goes in. */
    public Plugger plug(Spot one, Spot other) {
        Patch there = new Patch(devices, leads, List.of());
        boolean isOneIn = there.form(one) == Form.PLUG;
        pluggings.add(isOneIn ? new Plugging(one, other) : new Plugging(other, one));
        return this;
    }

    /**
     * Plugs leads behind each other from a socket to a socket, each with the first free end that goes in.
     *
     * @throws IllegalArgumentException where one of them has no such end
     */
    public Plugger join(Spot from, List<String> chain, Spot to) {
        Spot at = from;
        for (int i = 0; i < chain.size(); i++) {
            Spot here = at;
            Spot enters = freeEnd(chain.get(i), here).orElseThrow(() -> none(here));
            plug(at, enters);
            Optional<String> next = i + 1 < chain.size() ? Optional.of(chain.get(i + 1)) : Optional.empty();
            at = next.map(lead -> leaving(enters.item(), lead)).orElse(null);
            if (at == null) {
                at = freeEnd(enters.item(), to).orElseThrow(() -> none(to));
            }
        }
        return plug(at, to);
    }

    private static IllegalArgumentException none(Spot spot) {
        return new IllegalArgumentException("there is no free end that goes into “" + spot.write() + "”");
    }

    /** An end of one lead that goes into some end of another one. */
    private Spot leaving(String lead, String next) {
        return leads.get(next).ends().stream()
                .flatMap(end -> freeEnd(lead, new Spot(next, end.id())).stream())
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("“" + lead + "” goes nowhere into “" + next + "”"));
    }

    /** An end of a lead in which nothing is yet and that goes into a socket, or into an end of another lead. */
    public Optional<Spot> freeEnd(String lead, Spot target) {
        Patch now = new Patch(devices, leads, pluggings);
        Connector wanted = now.connector(target);
        return leads.get(lead).ends().stream()
                .map(end -> new Spot(lead, end.id()))
                .filter(end -> !now.isPlugged(end))
                .filter(end -> Mating.fits(now.connector(end), now.form(end), wanted, now.form(target)))
                .findFirst();
    }

    public Patch patch() {
        return new Patch(devices, leads, pluggings);
    }
}
