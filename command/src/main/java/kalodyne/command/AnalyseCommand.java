package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.findings.Finding;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.sound.measure.Loudness;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.takes.verdict.Comparison;
import kalodyne.core.takes.verdict.TakeVerdict;
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

    @Option(
            names = "--setup",
            paramLabel = "SETUP",
            description = "Judge them as takes of a run: a setup or a studio in JSON, or a studio file.")
    private Path setup;

    @Option(
            names = "--run",
            paramLabel = "NAME",
            description =
                    "Which run of the setup; else the one that has the take in its log, or the only one that is recorded.")
    private String runName;

    @Option(
            names = "--reference",
            paramLabel = "TAKE",
            description = "Another take of the same part, to compare the sound of its treble and its sides with.")
    private Path reference;

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
        try {
            Optional<TakesOfRuns> runs = setup == null ? Optional.empty() : Optional.of(TakesOfRuns.read(setup));
            Optional<TakeReport> other =
                    reference == null ? Optional.empty() : Optional.of(TakeReader.read(reference, Progress.NONE));
            files.forEach(file -> analyse(file, runs, other));
        } catch (UnreadableFile | UnreadableSound e) {
            complain(e.getMessage());
        } catch (IOException e) {
            complain(reference + ": Reading failed: " + e.getMessage() + ". Check the disk and try again.");
        }
        if (json) {
            output.json(array);
        }
        return status;
    }

    private void analyse(Path file, Optional<TakesOfRuns> runs, Optional<TakeReport> other) {
        try {
            TakeReport take = TakeReader.read(file, Progress.NONE);
            if (take.isIncomplete()) {
                var fault = take.header().fault().orElseThrow();
                complain(file + ", " + fault.place() + ": " + fault.problem() + " " + fault.remedy());
            }
            TakesJudged judged = runs.isPresent()
                    ? TakesJudged.of(
                            take,
                            runs.get()
                                    .contextOf(file, Optional.ofNullable(runName))
                                    .with(other))
                    : TakesJudged.of(take, other);
            if (json) {
                array.add(TakeJson.of(judged));
            } else {
                print(judged);
            }
        } catch (UnreadableSound e) {
            complain(e.getMessage());
            array.add(TakeJson.unreadable(e));
        } catch (UnreadableFile e) {
            complain(e.getMessage());
            array.add(TakeJson.unreadable(file, e));
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

    private void print(TakesJudged judged) {
        TakeReport take = judged.take();
        output.line(take.file() + ": " + judged.sentence());
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
        judged.verdict().ifPresent(this::print);
        for (Finding finding : judged.findings()) {
            output.finding(finding);
        }
        judged.inquiry().ifPresent(inquiry -> print(inquiry, judged.verdict().isPresent()));
        judged.verdict().ifPresent(verdict -> output.line("  next: " + verdict.instruction()));
    }

    private void print(TakeVerdict verdict) {
        for (Comparison each : verdict.comparisons()) {
            output.line("  " + each.what() + ": predicted " + each.predicted() + ", measured " + each.measured()
                    + ", aim " + each.aim());
        }
    }

    private void print(Inquiry inquiry, boolean isRunKnown) {
        output.line("  What most likely causes it, " + (isRunKnown ? "in this run:" : "without knowing the run:"));
        inquiry.suspects().stream()
                .limit(MOST_SUSPECTS)
                .forEach(suspect -> output.line("    " + Print.decimal(100 * suspect.chance(), 0) + " %  "
                        + suspect.cause().name() + ". " + suspect.cause().predicts()));
        inquiry.nextTest()
                .ifPresent(test -> output.line(
                        "  Tell them apart: " + test.instruction() + " (" + String.join(" / ", test.answers()) + ")"));
    }
}
