package kalodyne.command;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import kalodyne.core.files.WholeFile;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.paper.PaperSize;
import kalodyne.core.paper.RunSheetPaper;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.SheetMaker;
import kalodyne.core.runsheet.SheetRig;
import kalodyne.core.runsheet.SheetText;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Writes the ordered steps of a setup: "kalodyne runsheet SETUP.json". */
@Command(
        name = "runsheet",
        mixinStandardHelpOptions = true,
        description = "Write the steps of a setup in their safe order: plugging, power, levels, takes, taking down.",
        footer = {"", "Exit status: 0 when the setup was read, 2 when it could not be read."})
public final class RunsheetCommand implements Callable<Integer> {
    @Parameters(paramLabel = "SETUP", description = "A setup or a studio in JSON, or a studio file.")
    private Path file;

    @Option(names = "--setup", paramLabel = "NAME", description = "Which setup of a studio; else its first.")
    private String setupName;

    @Option(names = "--why", description = "Also why each step is there, and why not earlier.")
    private boolean why;

    @Option(
            names = "--short",
            description = "Only what differs from the last time that it was gone through, and every step of safety.")
    private boolean isShort;

    @Option(names = "--json", description = "Print JSON, as docs/formats/runsheet.md describes.")
    private boolean json;

    @Option(
            names = "--pdf",
            paramLabel = "FILE",
            description = "Write it as a PDF document, to print and tick by hand.")
    private Path pdf;

    @Option(names = "--paper", paramLabel = "SIZE", description = "A4 or Letter; A4 if left out.")
    private String paper = PaperSize.A4.word();

    @Spec
    private CommandSpec spec;

    private final Output output;

    public RunsheetCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            ChosenSetup chosen = ChosenSetup.read(file, Optional.ofNullable(setupName));
            RunSheet whole = SheetMaker.of(rig(chosen));
            RunSheet sheet = isShort ? whole.shortAfter(chosen.setup().closedSessions()) : whole;
            if (pdf != null) {
                return write(sheet, chosen.studio().name());
            }
            if (json) {
                output.json(RunsheetJson.of(file, chosen.studio().name(), sheet));
            } else {
                print(sheet);
            }
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
            if (json) {
                output.json(ChosenSetup.unreadable(e));
            }
            return Output.NOT_READ;
        }
    }

    private int write(RunSheet sheet, String studio) {
        PaperSize size = Stream.of(PaperSize.values())
                .filter(each -> each.word().equalsIgnoreCase(paper))
                .findFirst()
                .orElseThrow(() -> new ParameterException(
                        spec.commandLine(), "“" + paper + "” is not a size of paper; choose A4 or Letter."));
        try {
            WholeFile.write(pdf, ByteBuffer.wrap(RunSheetPaper.of(sheet, studio, size)));
            output.line(pdf + ": " + Print.counted(sheet.tasks().size(), "step") + ", " + size.word());
            return Output.READ;
        } catch (IOException e) {
            output.complain(pdf + " could not be written (" + e.getClass().getSimpleName()
                    + "). Choose a folder that exists and that you may write in, on a disk with room.");
            return Output.NOT_READ;
        }
    }

    private static SheetRig rig(ChosenSetup chosen) {
        Setup setup = chosen.setup();
        return new SheetRig(setup.name(), chosen.patch(), chosen.joints(), chosen.levels(), setup.sessionPlan());
    }

    private void print(RunSheet sheet) {
        if (sheet.steps().isEmpty()) {
            output.line("Nothing is plugged in this setup, so there is nothing to do.");
            return;
        }
        output.line(sheet.title() + ": " + sheet.summary());
        sheet.findings().forEach(output::finding);
        sheet.lasting().forEach(each -> output.line("  " + each.what() + ": " + each.words()));
        SheetText.of(sheet, why).forEach(output::line);
    }
}
