package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import kalodyne.core.files.Progress;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Reading and measuring the recording named by the system property "recording", in a program that is warm. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class TakeBenchmark {
    private final Path recording = Path.of(System.getProperty("recording"));

    @Benchmark
    public TakeReport analyse() throws IOException {
        return TakeReader.read(recording, Progress.NONE);
    }
}
