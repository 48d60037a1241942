package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;

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
     * @param isPlug whether something is plugged or unplugged for it
     */
    public record Difference(String what, String then, String now, String back, boolean isPlug) {
        /** "Interface, gain 3 was 10:45, is 9:30". */
        public String words() {
            return what + " was " + then + ", is " + now;
        }
    }

    /** All that is to be done to bring it back, in order. Nothing is plugged while it could be heard or harmed. */
    public List<String> steps() {
        List<String> steps = new ArrayList<>();
        boolean isPlugged = differences.stream().anyMatch(Difference::isPlug);
        if (isPlugged) {
            steps.add("Turn 48 V off, levels down and speakers off, then wait " + PhantomSteps.WAIT.toSeconds() + " s");
        }
        differences.forEach(difference -> steps.add(difference.back()));
        if (isPlugged) {
            steps.add("Switch on again in the order of the run sheet, 48 V last");
        }
        return steps;
    }

    /**
     * Compares two rigs, in what is known of both.
     *
     * @param words how gear is called
     */
    public static Recall between(RigSnapshot then, RigSnapshot now, SpotWords words) {
        Comparing comparing = new Comparing(words);
        if (then.wiring().isPresent() && now.wiring().isPresent()) {
            comparing.plugs(then.wiring().get(), now.wiring().get());
            comparing.switches(then.wiring().get(), now.wiring().get());
        }
        comparing.knobs(then.positions(), now.positions());
        return new Recall(comparing.found);
    }

    private static final class Comparing {
        private static final String NOTHING = "nowhere";

        private final SpotWords words;
        private final List<Difference> found = new ArrayList<>();

        Comparing(SpotWords words) {
            this.words = words;
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
                    String name = words.plug(plug);
                    String there = before.map(words::socket).orElse(NOTHING);
                    found.add(new Difference(
                            name,
                            before.isPresent() ? "in " + there : there,
                            after.map(spot -> "in " + words.socket(spot)).orElse(NOTHING),
                            before.isEmpty()
                                    ? "Unplug " + name
                                    : "Plug " + name + " into " + there
                                            + after.map(spot -> ", not " + words.socket(spot))
                                                    .orElse(""),
                            true));
                }
            }
        }

        private static Map<Spot, Spot> sockets(Wiring wiring) {
            return wiring.plugged().stream()
                    .collect(Collectors.toMap(
                            Plugging::plug, Plugging::socket, (one, other) -> one, LinkedHashMap::new));
        }

        // --- switches and knobs --------------------------------------------------------------------------------

        void switches(Wiring then, Wiring now) {
            Map<Spot, String> was = positions(then);
            positions(now).forEach((spot, at) -> {
                String before = was.get(spot);
                if (before != null && !before.equals(at)) {
                    String name = words.control(spot);
                    found.add(new Difference(name, before, at, "Set " + name + " to " + before, false));
                }
            });
        }

        private static Map<Spot, String> positions(Wiring wiring) {
            return wiring.switches().stream()
                    .collect(Collectors.toMap(
                            Switched::control, Switched::at, (one, other) -> other, LinkedHashMap::new));
        }

        void knobs(Map<Spot, Double> then, Map<Spot, Double> now) {
            new TreeMap<>(now).forEach((control, after) -> {
                Double before = then.get(control);
                if (before != null && Math.abs(before - after) > SAME_PLACE) {
                    String name = words.control(control);
                    String back = words.clock(control, before);
                    found.add(new Difference(
                            name, back, words.clock(control, after), "Turn " + name + " to " + back, false));
                }
            });
        }
    }
}
