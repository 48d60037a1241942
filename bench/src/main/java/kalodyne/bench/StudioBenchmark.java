package kalodyne.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.TimeUnit;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.shelf.SearchIndex;
import kalodyne.core.gear.shelf.SearchText;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** A large studio in a program that is warm: a key in the search field, an edit until it is kept, opening. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 3, time = 2)
public class StudioBenchmark {
    private Path folder;
    private Path file;
    private OpenStudio open;
    private SearchIndex<Lead> leads;
    private int edits;

    @Setup
    public void open() throws IOException {
        folder = Files.createTempDirectory("kalodyne-bench");
        file = folder.resolve("large.kalodyne");
        Studio large = GeneratedStudio.make();
        StudioFile.write(file, large);
        Files.copy(file, folder.resolve("copy.kalodyne"));
        open = StudioFile.open(file, large, Clock.systemUTC());
        leads = new SearchIndex<>(large.leads(), SearchText::of);
    }

    @TearDown
    public void close() {
        open.close();
    }

    @Benchmark
    public List<Lead> searchTwoThousandLeads() {
        return leads.find("phone ad");
    }

    /** With its transaction on the disk. */
    @Benchmark
    public Studio editALeadUntilItIsKept() {
        Lead lead = open.studio().leads().get(1000);
        open.history().edit("rename", open.studio().with(lead.withNote("edit " + edits++)));
        open.flush();
        return open.studio();
    }

    @Benchmark
    public Studio readTheFile() throws IOException {
        return StudioFile.read(folder.resolve("copy.kalodyne"));
    }
}
