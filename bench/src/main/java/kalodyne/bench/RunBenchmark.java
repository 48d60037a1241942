package kalodyne.bench;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.LevelRules;
import kalodyne.core.levels.LevelVerdict;
import kalodyne.core.levels.gain.Wanted;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** All that is computed when a knob is moved: the lines, the advice, the findings, the sentence. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class RunBenchmark {
    private final LevelPlan run = Boathouse.bassSynth(Boathouse.studio());
    private final Spot gain = run.knobs().get(run.knobs().size() - 1).id();
    private double position;

    /** What a knob's move leads to. */
    public record Recomputed(LevelPlan plan, List<Finding> findings, LevelVerdict verdict) {}

    @Benchmark
    public Recomputed recomputeAfterAKnobMove() {
        position = (position + 0.0137) % 1;
        LevelPlan plan = run.turned(Map.of(gain, position));
        var advice = Adviser.advise(plan, Wanted.USUAL);
        return new Recomputed(plan, LevelRules.check(plan, advice), LevelVerdict.of(plan, advice, Optional.empty()));
    }

    public static void main(String[] arguments) throws IOException {
        org.openjdk.jmh.Main.main(arguments);
    }
}
