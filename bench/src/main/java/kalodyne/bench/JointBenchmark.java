package kalodyne.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.circuit.Network;
import kalodyne.core.circuit.UnsolvableCircuit;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Spot;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Computing joints: one at 200 frequencies, and forty as after an edit. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class JointBenchmark {
    private final List<Patch> patches = new ArrayList<>();
    private final List<Double> frequencies = IntStream.range(0, 200)
            .mapToObj(i -> 20 * Math.pow(1000, i / 199.0))
            .toList();
    private final JointCircuit joint;

    public JointBenchmark() {
        String[][] kinds = {
            {"synth-digital", "out-left", "trs-trs", "interface-4", "line-3"},
            {"guitar-single-coil", "out", "ts-ts", "interface-2", "inst-1"},
            {"mic-condenser-large", "out", "xlr-xlr", "interface-2", "mic-1"},
            {"drum-box-headphone", "phones", "mini-trs", "interface-4", "line-3"}
        };
        for (int i = 0; i < 40; i++) {
            patches.add(patch(kinds[i % kinds.length]));
        }
        joint = JointCircuit.of(patches.get(0));
    }

    private static Patch patch(String[] kind) {
        return new Plugger()
                .with("from", Catalogue.shipped().device(kind[0]).orElseThrow().gear())
                .with("to", Catalogue.shipped().device(kind[3]).orElseThrow().gear())
                .with("lead", Catalogue.shipped().lead(kind[2]).orElseThrow().gear())
                .join(new Spot("from", kind[1]), List.of("lead"), new Spot("to", kind[4]))
                .patch();
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
    public double fortyJoints() throws UnsolvableCircuit {
        double sum = 0;
        for (Patch patch : patches) {
            sum += JointReading.of(JointCircuit.of(patch))
                    .transfers()
                    .get(0)
                    .atMiddle()
                    .db();
        }
        return sum;
    }
}
