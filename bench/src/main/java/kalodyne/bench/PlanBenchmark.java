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
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Finding ways on the shelf of a home, 40 devices and 60 leads, and on one of 500 devices and 2,000 leads, with what is owned and
 * with things to get: until the way is told that is the best in the end, and until all are.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 4, time = 2)
public class PlanBenchmark {
    private static final Catalogue NOTHING = new Catalogue(List.of(), List.of());
    private static final String TO = " > ";
    private static final String AND = " \\+ ";

    @Param({"home", "large"})
    private String shelf;

    @Param({
        "synth-digital > laptop-combo",
        "guitar-single-coil > laptop-combo",
        "mic-dynamic-voice + guitar-humbucker > tablet-digital",
        "groovebox > phone-ctia",
        "turntable-mm > laptop-combo"
    })
    private String wish;

    @Param({"owned", "to get"})
    private String what;

    private Studio studio;
    private String best;

    @Setup
    public void fill() {
        List<String> named = Stream.of(wish.split(TO, -1))
                .flatMap(end -> Stream.of(end.split(AND, -1)))
                .toList();
        studio = shelf.equals("home") ? GeneratedStudio.home(named) : GeneratedStudio.make();
        best = title(all().ways());
    }

    private static String title(List<Way> ways) {
        return ways.isEmpty() ? "" : ways.get(0).title();
    }

    private Planner planner() {
        Catalogue shop = what.equals("owned") ? NOTHING : Catalogue.shipped();
        return new Planner(studio.devices(), studio.leads(), shop, Wiring.NONE, Settings.NONE);
    }

    private Wish wished() {
        String[] ends = wish.split(TO, -1);
        List<String> sources = Stream.of(ends[0].split(AND, -1)).map(this::mark).toList();
        return Wish.of(sources.get(0), mark(ends[1])).withSources(sources);
    }

    private String mark(String profile) {
        return studio.devices().stream()
                .filter(device -> device.profile().orElse("").equals(profile))
                .map(Device::id)
                .findFirst()
                .orElseThrow();
    }

    /** Cancelled as soon as the best is there. */
    @Benchmark
    public List<String> best() {
        List<String> told = new ArrayList<>();
        planner().plan(wished(), () -> told.contains(best), ways -> told.add(title(ways)));
        return told;
    }

    @Benchmark
    public Plan all() {
        return planner().plan(wished(), () -> false);
    }
}
