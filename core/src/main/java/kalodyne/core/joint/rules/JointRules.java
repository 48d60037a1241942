package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Hum;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.JointMap;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Mating;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.circuit.UnsolvableCircuit;

/** All rules on joints. */
public final class JointRules {
    private static final List<JointRule> ALL = List.of(
            new DoesNotFitRule(),
            new SpeakerRule(),
            new PhantomRule(),
            new PowerMissingRule(),
            new OverloadRule(),
            new MicIntoLineRule(),
            new CoilPowerRule(),
            new RiaaRule(),
            new ShortRule(),
            new TiedOutputsRule(),
            new CancelRule(),
            new CrossedRule(),
            new IntoStereoRule(),
            new LostRule(),
            new HeadsetRule(),
            new MidiRule(),
            new HalfRule(),
            new CrosstalkRule(),
            new InsertRule(),
            new OneOfTwoRule(),
            new NormalledRule(),
            new OpenLegRule(),
            new LoadingRule(),
            new ResponseRule(),
            new CartridgeRule(),
            new LengthRule(),
            new PhantomCaution());

    private JointRules() {}

    /**
     * Something that hangs together, computed.
     *
     * @param patch what hangs together
     * @param circuit as the likelier reading of its pluggings makes it
     * @param reading empty where it has no solution
     * @param findings worst first
     * @param hum what the mains makes in each received signal
     */
    public record Checked(
            Patch patch,
            JointCircuit circuit,
            Optional<JointReading> reading,
            List<Finding> findings,
            Map<InputSignal, Hum> hum) {
        public Checked {
            findings = List.copyOf(findings);
            hum = Map.copyOf(hum);
        }

        /** With what the whole rig makes of it. */
        Checked with(Map<InputSignal, Hum> newHum, List<Finding> more) {
            List<Finding> all = Stream.concat(findings.stream(), more.stream()).toList();
            return new Checked(patch, circuit, reading, Finding.worstFirst(all), newHum);
        }

        /** Without what is not meant here. */
        public Checked without(Set<FindingCode> codes) {
            return new Checked(
                    patch,
                    circuit,
                    reading,
                    findings.stream()
                            .filter(finding -> !codes.contains(finding.code()))
                            .toList(),
                    hum);
        }

        /** The worst that was noticed, notes left out. */
        public Optional<Severity> worst() {
            return Finding.worst(findings);
        }

        /** Whether something is harmed, or not recorded as it should be. */
        public boolean cannotWork() {
            return worst().filter(worst -> worst != Severity.WEAK).isPresent();
        }

        /** Orders joints by how bad the worst is, the worst first. */
        public int rank() {
            return worst().map(Severity::ordinal).orElse(Severity.values().length);
        }

        /** The devices in the order of the signal: "Bass synth → Interface". */
        public String title() {
            return JointMap.of(patch, circuit).columns().stream()
                    .flatMap(List::stream)
                    .map(spot -> patch.devices().get(spot.item()))
                    .filter(Objects::nonNull)
                    .map(Device::name)
                    .distinct()
                    .collect(Collectors.joining(" → "));
        }
    }

    /** Computes all that is plugged, in the parts that hang together. */
    public static List<Checked> check(Patch patch) {
        return new JointChecks().check(patch, List.of());
    }

    /**
     * The same beside what else there is on the shelf.
     *
     * @param shelf all gear that is owned
     */
    public static List<Checked> check(Patch patch, Collection<Device> shelf) {
        return new JointChecks().check(patch, shelf);
    }

    /** Computes something that hangs together, with the hum that there were if nothing else were plugged. */
    public static Checked checkOne(Patch part) {
        return RigRules.withHum(alone(part));
    }

    /** Computes it by itself; what only the whole rig tells is left out. */
    public static Checked alone(Patch part) {
        return checkOne(part, JointReading::of);
    }

    /** The same at fewer frequencies, for comparing many. */
    public static Checked aloneRoughly(Patch part) {
        return checkOne(part, JointReading::roughly);
    }

    /**
     * Joints that were computed by themselves, with what only all of them together tell.
     *
     * @param shelf all gear that is owned
     */
    public static List<Checked> together(Patch whole, List<Checked> alone, Collection<Device> shelf) {
        boolean isHostOwned = Stream.concat(shelf.stream(), whole.devices().values().stream())
                .anyMatch(device -> device.kind().isHost());
        return RigRules.added(whole, alone, isHostOwned);
    }

    /** The same where all of it is to work once it is plugged: what lives on a computer and has none is no way to record. */
    public static List<Checked> togetherAsPlanned(Patch whole, List<Checked> alone) {
        return RigRules.added(whole, alone, true);
    }

    /** Solves a joint's circuit. */
    private interface Solver {
        JointReading solve(JointCircuit circuit) throws UnsolvableCircuit;
    }

    private static Checked checkOne(Patch part, Solver solver) {
        Patch gear = part.asSwitched();
        JointCircuit likelier = JointCircuit.of(gear);
        Optional<JointReading> reading = Optional.empty();
        // By code and place: what two readings agree on is said once.
        Map<List<Object>, Finding> findings = new LinkedHashMap<>();
        for (Map<Plugging, Integer> variant : variants(part)) {
            JointCircuit circuit = variant.isEmpty() ? likelier : JointCircuit.of(gear, variant);
            try {
                JointReading solved = solver.solve(circuit);
                reading = variant.isEmpty() ? Optional.of(solved) : reading;
                Joint joint = Joint.of(gear, circuit, solved);
                ALL.stream()
                        .flatMap(rule -> rule.check(joint))
                        .map(finding -> variant.isEmpty() ? finding : inSomeSockets(finding, part, variant))
                        .forEach(finding -> findings.putIfAbsent(List.of(finding.code(), finding.place()), finding));
            } catch (UnsolvableCircuit e) {
                Finding unsolved = unsolved(part, e);
                findings.putIfAbsent(List.of(unsolved.code(), unsolved.place()), unsolved);
            }
        }
        return new Checked(part, likelier, reading, Finding.worstFirst(List.copyOf(findings.values())), Map.of());
    }

    /** The likelier reading of everything, and each other reading of one plugging. */
    private static List<Map<Plugging, Integer>> variants(Patch part) {
        List<Map<Plugging, Integer>> variants = new ArrayList<>();
        variants.add(Map.of());
        for (Plugging plugging : part.pluggings()) {
            for (int other = 1; other < part.readings(plugging).size(); other++) {
                Map<Plugging, Integer> variant = new HashMap<>();
                variant.put(plugging, other);
                variants.add(variant);
            }
        }
        return variants;
    }

    private static Finding inSomeSockets(Finding finding, Patch part, Map<Plugging, Integer> variant) {
        Plugging plugging = variant.keySet().iterator().next();
        Mating.Reading reading = part.readings(plugging).get(variant.get(plugging));
        return new Finding(
                finding.code(),
                // What is wrong in some sockets alone is not yet wrong here.
                finding.severity() == Severity.WRONG ? Severity.WEAK : finding.severity(),
                finding.place(),
                finding.figure(),
                finding.title(),
                finding.text() + " So with a " + reading.words() + ".",
                finding.remedy());
    }

    private static Finding unsolved(Patch part, UnsolvableCircuit e) {
        Plugging first = part.pluggings().get(0);
        return new Finding(
                FindingCode.JOINT_UNSOLVED,
                Severity.WRONG,
                new Place.Plugged(first.socket().item(), first.socket().part()),
                new Figure(0, "solutions"),
                "This cannot be computed",
                e.getMessage(),
                Optional.empty());
    }
}
