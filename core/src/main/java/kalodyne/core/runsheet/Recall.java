package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.rig.Settings;

/**
 * What was changed in a rig since some time, and the steps that bring it back.
 *
 * @param differences plugs first, then switches, then knobs
 */
public record Recall(List<Difference> differences) {
    /** A knob that moved by less than so much of its travel stands where it stood: no hand sets it closer. */
    private static final double SAME_PLACE = 0.005;

    public Recall {
        differences = List.copyOf(differences);
    }

    /**
     * One thing that is different.
     *
     * @param what what it is about: "Interface, gain 3"
     * @param then how it was
     * @param now how it is
     * @param back what to do so that it is as it was
     */
    public record Difference(String what, String then, String now, String back) {
        /** "Interface, gain 3 was 10:45, is 9:30". */
        public String words() {
            return what + " was " + then + ", is " + now;
        }
    }

    /**
     * Compares two rigs.
     *
     * @param device the device of a mark, if it is still there
     * @param lead the lead of a mark
     */
    public static Recall between(
            Wiring then,
            Settings thenSettings,
            Wiring now,
            Settings nowSettings,
            Function<String, Optional<Device>> device,
            Function<String, Optional<Lead>> lead) {
        Comparing comparing = new Comparing(device, lead);
        comparing.plugs(then, now);
        comparing.switches(then, now);
        comparing.knobs(thenSettings, nowSettings);
        return new Recall(comparing.found);
    }

    private static final class Comparing {
        private static final String NOTHING = "nowhere";

        private final Function<String, Optional<Device>> device;
        private final Function<String, Optional<Lead>> lead;
        private final List<Difference> found = new ArrayList<>();

        Comparing(Function<String, Optional<Device>> device, Function<String, Optional<Lead>> lead) {
            this.device = device;
            this.lead = lead;
        }

        // --- plugs ---------------------------------------------------------------------------------------------

        /** A plug that moved is one difference and not two. */
        void plugs(Wiring then, Wiring now) {
            Map<Spot, Spot> was = sockets(then);
            Map<Spot, Spot> is = sockets(now);
            Map<Spot, Spot> all = new LinkedHashMap<>(was);
            all.putAll(is);
            for (Spot plug : all.keySet()) {
                Optional<Spot> before = Optional.ofNullable(was.get(plug));
                Optional<Spot> after = Optional.ofNullable(is.get(plug));
                if (!before.equals(after)) {
                    String name = plugName(plug);
                    String there = before.map(this::socketName).orElse(NOTHING);
                    found.add(new Difference(
                            name,
                            before.isPresent() ? "in " + there : there,
                            after.map(spot -> "in " + socketName(spot)).orElse(NOTHING),
                            before.isEmpty()
                                    ? "Unplug " + name
                                    : "Plug " + name + " into " + there
                                            + after.map(spot -> ", not " + socketName(spot))
                                                    .orElse("")));
                }
            }
        }

        private static Map<Spot, Spot> sockets(Wiring wiring) {
            return wiring.plugged().stream()
                    .collect(Collectors.toMap(
                            Plugging::plug, Plugging::socket, (one, other) -> one, LinkedHashMap::new));
        }

        private String plugName(Spot plug) {
            return lead.apply(plug.kind())
                    .map(it -> it.ends().stream()
                            .filter(end -> end.id().equals(plug.part()))
                            .map(end -> it.name() + ", " + (end.name().isEmpty() ? end.words() : end.name()))
                            .findFirst()
                            .orElse(it.name()))
                    .orElseGet(() -> socketName(plug));
        }

        private String socketName(Spot spot) {
            return device.apply(spot.item())
                    .map(it -> it.name() + ", "
                            + it.socket(spot.part())
                                    .map(socket -> socket.name())
                                    .orElse(spot.part()))
                    .orElseGet(() -> lead.apply(spot.kind()).map(Lead::name).orElse(spot.item()));
        }

        // --- switches and knobs --------------------------------------------------------------------------------

        void switches(Wiring then, Wiring now) {
            Map<Spot, String> was = positions(then);
            positions(now).forEach((spot, at) -> {
                String before = was.get(spot);
                if (before != null && !before.equals(at)) {
                    String name = controlName(spot);
                    found.add(new Difference(name, before, at, "Set " + name + " to " + before));
                }
            });
        }

        private static Map<Spot, String> positions(Wiring wiring) {
            return wiring.switches().stream()
                    .collect(Collectors.toMap(
                            Switched::control, Switched::at, (one, other) -> other, LinkedHashMap::new));
        }

        void knobs(Settings then, Settings now) {
            Map<String, Spot> sorted = new TreeMap<>();
            now.positions().keySet().forEach(spot -> sorted.put(spot.write(), spot));
            for (Spot spot : sorted.values()) {
                Double before = then.positions().get(spot);
                double after = now.positions().get(spot);
                if (before != null && Math.abs(before - after) > SAME_PLACE) {
                    String name = controlName(spot);
                    found.add(new Difference(
                            name,
                            clock(spot, before),
                            clock(spot, after),
                            "Turn " + name + " to " + clock(spot, before)));
                }
            }
        }

        private Optional<DeviceControl> control(Spot spot) {
            return device.apply(spot.item()).stream()
                    .flatMap(it -> it.controls().stream())
                    .filter(control -> control.id().equals(spot.part()))
                    .findFirst();
        }

        private String controlName(Spot spot) {
            String owner = device.apply(spot.item()).map(Device::name).orElse(spot.item());
            return owner + ", " + control(spot).map(DeviceControl::name).orElse(spot.part());
        }

        private String clock(Spot spot, double position) {
            return control(spot)
                    .flatMap(control -> control.taper()
                            .map(taper -> new Control(control.name(), taper, control.dial(), position).clock()))
                    .orElse(Math.round(100 * position) + " %");
        }
    }
}
