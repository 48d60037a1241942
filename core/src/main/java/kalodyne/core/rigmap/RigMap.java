package kalodyne.core.rigmap;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.BinaryOperator;
import java.util.function.Predicate;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.levels.Trace;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.units.Level;

/**
 * A setup as cards with sockets and lines between them. Nothing has its place yet.
 *
 * @param cards devices, in the order in which they were plugged; with free sockets too, as on the shelf
 * @param lines leads, in the order in which they were plugged
 */
public record RigMap(List<Card> cards, List<Line> lines) {
    public RigMap {
        cards = List.copyOf(cards);
        lines = List.copyOf(lines);
    }

    /** What goes through a lead. */
    public enum Kind {
        SOUND("sound"),
        DATA("data"),
        POWER("power");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        private static final Set<SignalKind> OF_DATA = Set.of(SignalKind.DIGITAL, SignalKind.MIDI, SignalKind.CONTROL);
        private static final Set<SignalKind> OF_POWER = Set.of(SignalKind.POWER, SignalKind.EARTH);

        private static Kind of(Collection<SignalKind> signals) {
            if (OF_POWER.containsAll(signals)) {
                return POWER;
            }
            return signals.stream().anyMatch(OF_DATA::contains) ? DATA : SOUND;
        }
    }

    /**
     * A device.
     *
     * @param id its mark
     * @param ports its sockets that are shown, those with something in them first
     */
    public record Card(String id, String name, List<Port> ports) {
        public Card {
            ports = List.copyOf(ports);
        }
    }

    /**
     * A socket at an edge of a card. One that gives and takes is there twice.
     *
     * @param isGiving whether at the side where the signal leaves
     * @param isFree whether nothing is in it
     */
    public record Port(Spot spot, String name, boolean isGiving, boolean isFree) {}

    /**
     * A lead with its adapters.
     *
     * @param row what it is, and what was noticed of it
     * @param peak the loudest that arrives through it, as far as it is known
     */
    public record Line(PatchList.Row row, Kind kind, Optional<Level> peak) {
        /** The worst that was noticed, notes left out. */
        public Optional<Severity> worst() {
            return Finding.worst(row.noticed());
        }

        /** Whether it is what was computed as a joint, or a part of it. */
        public boolean isOf(Checked joint) {
            return joint.patch().pluggings().stream()
                    .flatMap(plugging -> plugging.spots().stream())
                    .anyMatch(spot ->
                            row.ends().stream().anyMatch(end -> end.spot().equals(spot)));
        }

        /** "Bass synth to Interface, Lead 7, left, loudest peak −3.0 dBu, wrong". */
        public String words() {
            String ends = String.join(
                    " to ",
                    Stream.concat(Stream.of(row.from()), row.to().stream())
                            .map(PatchList.End::device)
                            .toList());
            List<String> words =
                    new ArrayList<>(List.of(ends, row.lead().isEmpty() ? "plugged straight in" : row.lead()));
            if (!row.side().isEmpty()) {
                words.add(row.side());
            }
            if (kind != Kind.SOUND) {
                words.add(kind.word());
            }
            peak.ifPresent(level -> words.add("loudest peak " + level));
            words.add(worst().map(Severity::word).orElse("nothing wrong"));
            return String.join(", ", words);
        }
    }

    /** What is plugged, with what was found out about it. */
    public static RigMap of(SetupLevels levels, List<Checked> joints) {
        Patch patch = levels.rig().patch();
        return of(PatchList.of(patch, joints), patch, arriving(levels));
    }

    /** What is plugged. */
    public static RigMap of(List<PatchList.Row> rows, Patch patch) {
        return of(rows, patch, Map.of());
    }

    private static RigMap of(List<PatchList.Row> rows, Patch patch, Map<Spot, Level> arriving) {
        Map<String, Set<Port>> ports = new LinkedHashMap<>();
        patch.devices().keySet().forEach(device -> ports.put(device, new LinkedHashSet<>()));
        for (PatchList.Row row : rows) {
            for (PatchList.End end : row.ends()) {
                ports.get(end.spot().item()).add(new Port(end.spot(), end.socket(), end.equals(row.from()), false));
            }
        }
        List<Card> cards = new ArrayList<>();
        ports.forEach((device, own) -> {
            if (!own.isEmpty()) {
                cards.add(new Card(device, patch.devices().get(device).name(), List.copyOf(own)));
            }
        });
        return new RigMap(
                cards, rows.stream().map(row -> line(row, patch, arriving)).toList());
    }

    private static Line line(PatchList.Row row, Patch patch, Map<Spot, Level> arriving) {
        List<SignalKind> signals = row.ends().stream()
                .map(end -> patch.socket(end.spot()).orElseThrow().signal())
                .toList();
        Optional<Level> peak = row.to().stream()
                .map(end -> arriving.get(end.spot()))
                .filter(Objects::nonNull)
                .max(Comparator.naturalOrder());
        return new Line(row, Kind.of(signals), peak);
    }

    /** The loudest peak at each socket that a run comes into a device by. */
    private static Map<Spot, Level> arriving(SetupLevels levels) {
        Map<Spot, Level> peaks = new HashMap<>();
        for (Trace trace : levels.traces()) {
            LevelPlan plan = levels.plan(trace);
            for (StageLevel stage : plan.stages()) {
                if (plan.station(stage).isJoint()) {
                    Spot socket =
                            plan.flow().points().get(stage.stage().point()).id().spot();
                    peaks.merge(socket, stage.peak(), BinaryOperator.maxBy(Comparator.naturalOrder()));
                }
            }
        }
        return peaks;
    }

    /** Those lines only, with what they join. */
    public RigMap only(Predicate<Line> wanted) {
        List<Line> left = lines.stream().filter(wanted).toList();
        Set<Spot> joined = new LinkedHashSet<>();
        left.forEach(line -> line.row().ends().forEach(end -> joined.add(end.spot())));
        List<Card> cardsLeft = cards.stream()
                .map(card -> new Card(
                        card.id(),
                        card.name(),
                        card.ports().stream()
                                .filter(port -> joined.contains(port.spot()))
                                .toList()))
                .filter(card -> !card.ports().isEmpty())
                .toList();
        return new RigMap(cardsLeft, left);
    }

    /**
     * With the sockets that nothing is in, and with what is not plugged at all.
     *
     * @param shelf what there is
     */
    public RigMap withFree(List<Device> shelf, BiPredicate<Device, Socket> isFree) {
        Map<String, Card> before = new LinkedHashMap<>();
        cards.forEach(card -> before.put(card.id(), card));
        List<Card> all = new ArrayList<>();
        for (Device device : shelf) {
            List<Port> ports = new ArrayList<>(Optional.ofNullable(before.remove(device.id()))
                    .map(Card::ports)
                    .orElse(List.of()));
            device.sockets().stream()
                    .filter(socket -> isFree.test(device, socket))
                    .map(socket -> new Port(
                            new Spot(device.id(), socket.id()), socket.name(), socket.way() == Direction.OUT, true))
                    .forEach(ports::add);
            if (!ports.isEmpty()) {
                all.add(new Card(device.id(), device.name(), ports));
            }
        }
        all.addAll(before.values());
        return new RigMap(all, lines);
    }
}
