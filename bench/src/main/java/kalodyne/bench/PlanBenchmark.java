package kalodyne.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Studio;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Finding ways in a studio of 500 devices and 2,000 leads: until the first are told, and until all are. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 3)
@Measurement(iterations = 5, time = 3)
public class PlanBenchmark {
    @Param({
        "synth-digital > laptop-combo",
        "guitar-single-coil > laptop-combo",
        "mic-dynamic-voice + guitar-humbucker > tablet-digital",
        "groovebox > phone-ctia",
        "turntable-mm > laptop-combo"
    })
    private String wish;

    private final Studio studio = GeneratedStudio.make();
    private final Planner planner =
            new Planner(studio.devices(), studio.leads(), Catalogue.shipped(), Wiring.NONE, Settings.NONE);

    private Wish wished() {
        String[] ends = wish.split(" > ", 2);
        List<String> sources =
                Stream.of(ends[0].split(" \\+ ", -1)).map(this::mark).toList();
        return Wish.of(sources.get(0), mark(ends[1])).withSources(sources);
    }

    private String mark(String profile) {
        return studio.devices().stream()
                .filter(device -> device.profile().orElse("").equals(profile))
                .map(Device::id)
                .findFirst()
                .orElseThrow();
    }

    /** Cancelled as soon as the first ways are there. */
    @Benchmark
    public List<List<Way>> first() {
        List<List<Way>> told = new ArrayList<>();
        planner.plan(wished(), () -> !told.isEmpty(), told::add);
        return told;
    }

    @Benchmark
    public Plan all() {
        return planner.plan(wished(), () -> false);
    }
}
