package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicReference;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.exchange.Arrival;
import kalodyne.core.studio.exchange.ImportPlan;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Brings a studio, a setup or a table of gear into a studio file. */
@Command(
        name = "import",
        mixinStandardHelpOptions = true,
        description = "Bring JSON, a table or another studio into a studio file. It can be undone in the window.",
        footer = {"", "Exit status: 0 when all came in, 2 when nothing did."})
public final class ImportCommand implements Callable<Integer> {
    @Parameters(
            paramLabel = "FILE",
            description = "JSON of a studio or a setup, a table (.csv), a studio file, or a parcel (.zip).")
    private Path file;

    @Option(
            names = "--into",
            required = true,
            paramLabel = "STUDIO",
            description = "The studio file; it is made if it is not there.")
    private Path studio;

    @Option(
            names = "--copy",
            description = "Add everything as new. Without it, what has the same id, or else name, is replaced.")
    private boolean copy;

    @Option(names = "--dry-run", description = "Only tell what would change.")
    private boolean dry;

    @Option(names = "--json", description = "Print JSON, as docs/formats/studio.md describes.")
    private boolean json;

    private final Output output;

    public ImportCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        Clock clock = Clock.system(ZoneId.systemDefault());
        try {
            Arrival arrival = Arrival.read(file);
            try (OpenStudio open = StudioFile.open(studio, Studio.empty(), clock)) {
                if (open.isReadOnly()) {
                    output.complain(studio + ": " + open.readOnlyBecause());
                    return Output.NOT_READ;
                }
                if (!open.rescued().isEmpty()) {
                    output.complain(studio + " was damaged. " + open.rescued());
                }
                Studio incoming = dry
                        ? arrival.studio()
                        : arrival.unpacked(studio.toAbsolutePath().getParent(), Progress.NONE);
                ImportPlan plan =
                        ImportPlan.of(open.studio(), incoming, copy ? ImportPlan.Mode.COPY : ImportPlan.Mode.MERGE);
                String trouble = dry ? "" : apply(open, plan, clock);
                if (!trouble.isEmpty()) {
                    output.complain(
                            studio + ": " + trouble + ". Nothing came in. Free some space, or choose another folder.");
                    return Output.NOT_READ;
                }
                print(plan);
                return Output.READ;
            }
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
        } catch (IOException e) {
            output.complain(file + ": its recordings could not be unpacked beside " + studio + ": " + e.getMessage()
                    + ". Nothing came in. Free some space, or choose another folder.");
        }
        return Output.NOT_READ;
    }

    private String apply(OpenStudio open, ImportPlan plan, Clock clock) {
        AtomicReference<String> trouble = new AtomicReference<>("");
        open.backUp(clock);
        open.onKept(kept -> trouble.set(kept.trouble()));
        open.history().edit("import " + file.getFileName(), plan.result());
        open.flush();
        return trouble.get();
    }

    private void print(ImportPlan plan) {
        if (json) {
            ObjectNode node = JsonNodeFactory.instance.objectNode();
            node.put("file", file.toString()).put("studio", studio.toString()).put("written", !dry);
            ArrayNode lines = node.putArray("changes");
            for (ImportPlan.Line line : plan.lines()) {
                ObjectNode each = lines.addObject()
                        .put("kind", line.kind())
                        .put("name", line.name())
                        .put("effect", line.effect().word());
                ArrayNode details = each.putArray("details");
                line.details().forEach(details::add);
            }
            output.json(node);
        } else {
            plan.lines().stream()
                    .filter(line -> line.effect() != ImportPlan.Effect.SAME)
                    .forEach(line -> output.line(line.toString()));
            output.line((dry ? "would be: " : "") + plan.summary());
        }
    }
}
