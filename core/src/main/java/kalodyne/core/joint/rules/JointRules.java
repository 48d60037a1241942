package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
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
            new BusPowerRule(),
            new OverloadRule(),
            new RiaaRule(),
            new ShortRule(),
            new TiedOutputsRule(),
            new CancelRule(),
            new LostRule(),
            new HeadsetRule(),
            new MidiRule(),
            new DataRule(),
            new HalfRule(),
            new CrosstalkRule(),
            new InsertRule(),
            new OneOfTwoRule(),
            new NormalledRule(),
            new OpenLegRule(),
            new LoadingRule(),
            new ResponseRule(),
            new CartridgeRule(),
            new HumEstimateRule(),
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
     */
    public record Checked(Patch patch, JointCircuit circuit, Optional<JointReading> reading, List<Finding> findings) {
        public Checked {
            findings = List.copyOf(findings);
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

    /** Computes all that is plugged, each part that hangs together by itself. */
    public static List<Checked> check(Patch patch) {
        return new JointChecks().check(patch);
    }

    /** Computes something that hangs together. */
    public static Checked checkOne(Patch part) {
        return checkOne(part, JointReading::of);
    }

    /** The same at fewer frequencies, for comparing many. */
    public static Checked checkRoughly(Patch part) {
        return checkOne(part, JointReading::roughly);
    }

    /** Solves a joint's circuit. */
    private interface Solver {
        JointReading solve(JointCircuit circuit) throws UnsolvableCircuit;
    }

    private static Checked checkOne(Patch part, Solver solver) {
        JointCircuit likelier = JointCircuit.of(part);
        Optional<JointReading> reading = Optional.empty();
        // By code and place: what two readings agree on is said once.
        Map<List<Object>, Finding> findings = new LinkedHashMap<>();
        for (Map<Plugging, Integer> variant : variants(part)) {
            JointCircuit circuit = variant.isEmpty() ? likelier : JointCircuit.of(part, variant);
            try {
                JointReading solved = solver.solve(circuit);
                reading = variant.isEmpty() ? Optional.of(solved) : reading;
                Joint joint = new Joint(part, circuit, solved);
                ALL.stream()
                        .flatMap(rule -> rule.check(joint))
                        .map(finding -> variant.isEmpty() ? finding : inSomeSockets(finding, part, variant))
                        .forEach(finding -> findings.putIfAbsent(List.of(finding.code(), finding.place()), finding));
            } catch (UnsolvableCircuit e) {
                Finding unsolved = unsolved(part, e);
                findings.putIfAbsent(List.of(unsolved.code(), unsolved.place()), unsolved);
            }
        }
        return new Checked(part, likelier, reading, Finding.worstFirst(List.copyOf(findings.values())));
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
                finding.severity(),
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
