package kalodyne.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.circuit.UnsolvableCircuit;
import kalodyne.core.joint.rules.JointChecks;
import kalodyne.core.joint.rules.JointRules;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Computing joints: one at 200 frequencies, forty from nothing, and forty after an edit of one of their leads. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class JointBenchmark {
    private static final List<List<String>> KINDS = List.of(
            List.of("synth-digital", "out-left", "trs-trs", "interface-4", "line-3"),
            List.of("guitar-single-coil", "out", "ts-ts", "interface-2", "inst-1"),
            List.of("mic-condenser-large", "out", "xlr-xlr", "interface-2", "mic-1"),
            List.of("drum-box-headphone", "phones", "mini-trs", "interface-4", "line-3"));

    private final List<Double> frequencies = IntStream.range(0, 200)
            .mapToObj(i -> 20 * Math.pow(1000, i / 199.0))
            .toList();
    private final Patch whole = patch("Lead");
    private final Patch edited = patch("Lead with another name");
    private final JointCircuit joint = JointCircuit.of(whole.parted().get(0));
    private final JointChecks checks = new JointChecks();
    private boolean isEdited;

    /** Forty joints, of which one lead is called so. */
    private static Patch patch(String name) {
        Plugger plugger = new Plugger();
        for (int i = 0; i < 40; i++) {
            List<String> kind = KINDS.get(i % KINDS.size());
            String lead = "lead-" + i;
            plugger.with(
                    "from-" + i,
                    Catalogue.shipped().device(kind.get(0)).orElseThrow().gear());
            plugger.with(
                    "to-" + i,
                    Catalogue.shipped().device(kind.get(3)).orElseThrow().gear());
            plugger.with(
                    lead,
                    Catalogue.shipped().lead(kind.get(2)).orElseThrow().gear().withName(i == 0 ? name : lead));
            plugger.join(new Spot("from-" + i, kind.get(1)), List.of(lead), new Spot("to-" + i, kind.get(4)));
        }
        return plugger.patch();
    }

    @Benchmark
    public double oneJointAt200Frequencies() throws UnsolvableCircuit {
        Network network = new Network(joint.audio());
        String source = joint.soundings().get(0).source();
        var to = joint.hearings().get(0);
        return network.at(frequencies, source).stream()
                .mapToDouble(solution -> solution.voltage(to.plus(), to.minus()).re())
                .sum();
    }

    @Benchmark
    public List<JointRules.Checked> fortyJointsFromNothing() {
        return JointRules.check(whole);
    }

    @Benchmark
    public List<JointRules.Checked> fortyJointsAfterAnEdit() {
        isEdited = !isEdited;
        return checks.check(isEdited ? edited : whole, List.of());
    }
}
