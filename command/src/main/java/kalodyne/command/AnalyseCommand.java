package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kalodyne.core.causes.Inquiry;
import kalodyne.core.causes.Known;
import kalodyne.core.findings.Finding;
import kalodyne.core.measure.Loudness;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.Progress;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.TakeSentence;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Measures takes: "kalodyne analyse TAKE.wav…". */
@Command(
        name = "analyse",
        mixinStandardHelpOptions = true,
        description =
                "Measure takes and say what is wrong with them: WAV, AIFF, FLAC, MP3, M4A, OGG, the sound of films.",
        footer = {"", "Exit status: 0 when all was read, 2 when something could not be read."})
public final class AnalyseCommand implements Callable<Integer> {
    private static final int MOST_SUSPECTS = 3;

    @Parameters(arity = "1..*", paramLabel = "TAKE", description = "The takes to measure.")
    private List<Path> files;

    @Option(names = "--json", description = "Print JSON, as docs/formats/analyse.md describes.")
    private boolean json;

    private final Output output;
    private final ArrayNode array = JsonNodeFactory.instance.arrayNode();
    private int status = Output.READ;

    public AnalyseCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        files.forEach(this::analyse);
        if (json) {
            output.json(array);
        }
        return status;
    }

    private void analyse(Path file) {
        try {
            TakeReport take = TakeReader.read(file, Progress.NONE);
            if (take.isIncomplete()) {
                var fault = take.header().fault().orElseThrow();
                complain(file + ", " + fault.place() + ": " + fault.problem() + " " + fault.remedy());
            }
            if (json) {
                array.add(TakeJson.of(take));
            } else {
                print(take);
            }
        } catch (UnreadableSound e) {
            complain(e.getMessage());
            array.add(TakeJson.unreadable(e));
        } catch (IOException e) {
            UnreadableSound told = new UnreadableSound(
                    file,
                    "the whole of it",
                    "Reading failed: " + e.getMessage() + ".",
                    "Check the disk and try again.");
            complain(told.getMessage());
            array.add(TakeJson.unreadable(told));
        }
    }

    private void complain(String text) {
        status = Output.NOT_READ;
        output.complain(text);
    }

    private void print(TakeReport take) {
        output.line(take.file() + ": " + TakeSentence.of(take));
        output.line("  " + Print.moment(take.header().seconds()) + " · "
                + Print.plain(take.header().sampleRateHz() / 1000.0) + " kHz · "
                + take.channels().size() + (take.channels().size() == 1 ? " channel" : " channels"));
        for (int c = 0; c < take.channels().size(); c++) {
            ChannelReport channel = take.channels().get(c);
            output.line("  channel " + (c + 1) + ": peak " + channel.peakLevel() + ", average " + channel.averageLevel()
                    + " (re a full-scale sine), " + Print.count(channel.clippedSamples()) + " samples cut off in "
                    + Print.count(channel.clipRuns()) + " runs");
        }
        Loudness loudness = take.loudness();
        if (loudness.integratedLufs().isPresent()) {
            output.line("  loudness " + Print.decimal(loudness.integratedLufs().getAsDouble(), 1) + " LUFS"
                    + (loudness.rangeLu().isPresent()
                            ? ", range " + Print.decimal(loudness.rangeLu().getAsDouble(), 1) + " LU"
                            : ""));
        }
        for (Finding finding : take.findings()) {
            output.finding(finding);
        }
        Inquiry.of(take, Known.NOTHING, Known.NOTHING).ifPresent(this::print);
    }

    private void print(Inquiry inquiry) {
        output.line("  What most likely does it, without knowing the rig:");
        inquiry.suspects().stream()
                .limit(MOST_SUSPECTS)
                .forEach(suspect -> output.line("    " + Print.decimal(100 * suspect.chance(), 0) + " %  "
                        + suspect.cause().name() + ". " + suspect.cause().predicts()));
        inquiry.nextTest()
                .ifPresent(test -> output.line(
                        "  Tell them apart: " + test.instruction() + " (" + String.join(" / ", test.answers()) + ")"));
    }
}
