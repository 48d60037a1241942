package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.lineup.tidy.CopyRecord;
import kalodyne.core.lineup.tidy.Proposal;
import kalodyne.core.lineup.tidy.Tidy;
import kalodyne.core.lineup.tidy.TidyPlan;
import kalodyne.core.lineup.tidy.TidyPlanReader;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Cleans up recordings on copies: "kalodyne tidy TAKE.wav… --plan PLAN.json". */
@Command(
        name = "tidy",
        mixinStandardHelpOptions = true,
        description = "Cut recordings, pick channels out of them and bring them to a level, on copies.",
        footer = {"", "Exit status: 0 when all was written, 2 when something could not be read or written."})
public final class TidyCommand implements Callable<Integer> {
    @Parameters(arity = "1..*", paramLabel = "FILE", description = "The recordings. They are never altered.")
    private List<Path> files;

    @Option(
            names = "--plan",
            required = true,
            paramLabel = "PLAN",
            description = "What is to be done, as JSON: docs/formats/tidy.md.")
    private Path planFile;

    @Option(names = "--dry-run", description = "Only tell what would be written.")
    private boolean dry;

    @Option(names = "--json", description = "Print JSON, as docs/formats/copy.md describes.")
    private boolean json;

    private final Output output;
    private final ArrayNode array = JsonNodeFactory.instance.arrayNode();
    private int status = Output.READ;

    public TidyCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            TidyPlan plan = TidyPlanReader.read(planFile);
            Tidy tidy = new Tidy(plan);
            Tidy.Preview preview = tidy.preview(files, Progress.NONE);
            preview.refused().forEach(each -> complain(each.file() + ": " + each.problem()));
            preview.proposals().forEach(each -> take(tidy, each));
            if (json) {
                output.json(array);
            }
        } catch (UnreadableFile e) {
            complain(e.getMessage());
        }
        return status;
    }

    private void take(Tidy tidy, Proposal proposal) {
        ObjectNode node = CopyRecord.node(proposal);
        boolean isWritten = false;
        if (!proposal.canBeWritten()) {
            complain(proposal.target() + ": " + proposal.problem());
        } else if (!dry) {
            isWritten = write(tidy, proposal, node);
        }
        array.add(node.put("written", isWritten));
        if (!json && (isWritten || dry)) {
            print(proposal);
        }
    }

    private boolean write(Tidy tidy, Proposal proposal, ObjectNode node) {
        try {
            CopyWriter.Written written = tidy.write(proposal, Progress.NONE);
            node.put("frames", written.frames()).put("clippedSamples", written.clipped());
            return true;
        } catch (IOException e) {
            complain(e.getMessage());
            return false;
        }
    }

    private void complain(String text) {
        status = Output.NOT_READ;
        output.complain(text);
    }

    private void print(Proposal proposal) {
        output.line((dry ? "would write " : "written: ") + proposal.target());
        output.line("  " + Print.moment(proposal.fromSeconds()) + " to " + Print.moment(proposal.toSeconds()) + " of "
                + proposal.source().getFileName() + ", " + proposal.format().words() + ", gain " + proposal.gain()
                + ", peak " + proposal.peakAfter()
                + proposal.lufsAfter()
                        .map(lufs -> ", loudness " + Print.decimal(lufs, 1) + " LUFS")
                        .orElse(""));
        proposal.notes().forEach(note -> output.line("  " + note));
    }
}
