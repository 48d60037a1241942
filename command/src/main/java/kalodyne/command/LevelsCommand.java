package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import kalodyne.core.exchange.AnyStudio;
import kalodyne.core.findings.Finding;
import kalodyne.core.json.Problem;
import kalodyne.core.json.UnreadableFile;
import kalodyne.core.levels.Advice;
import kalodyne.core.levels.Adviser;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.LevelRules;
import kalodyne.core.levels.LevelVerdict;
import kalodyne.core.levels.Setting;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.run.Run;
import kalodyne.core.setup.Setup;
import kalodyne.core.studio.Studio;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Computes the levels along every run of a setup: "kalodyne levels SETUP.json". */
@Command(
        name = "levels",
        mixinStandardHelpOptions = true,
        description = "Compute the levels along every run of a setup, and where each knob should stand.",
        footer = {"", "Exit status: 0 when the setup was read, 2 when it could not be read."})
public final class LevelsCommand implements Callable<Integer> {
    @Parameters(paramLabel = "SETUP", description = "A setup or a studio in JSON, or a studio file.")
    private Path file;

    @Option(names = "--setup", paramLabel = "NAME", description = "Which setup of a studio; else its first.")
    private String setupName;

    @Option(names = "--json", description = "Print JSON, as docs/formats/levels.md describes.")
    private boolean json;

    private final Output output;

    public LevelsCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            Studio studio = AnyStudio.read(file);
            Setup setup = setup(studio);
            if (json) {
                output.json(LevelsJson.of(file, studio.name(), setup));
            } else {
                setup.runs().forEach(this::print);
                if (setup.runs().isEmpty()) {
                    output.line("There are no runs in this setup.");
                }
            }
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
            if (json) {
                output.json(unreadable(e));
            }
            return Output.NOT_READ;
        }
    }

    private Setup setup(Studio studio) throws UnreadableFile {
        return studio.setups().stream()
                .filter(setup -> setupName == null || setup.name().equals(setupName))
                .findFirst()
                .orElseThrow(() -> new UnreadableFile(
                        file,
                        Problem.ofWhole(
                                "There is no such setup in it.",
                                studio.setups().isEmpty()
                                        ? "Choose a file with a setup."
                                        : "Choose one of: "
                                                + studio.setups().stream()
                                                        .map(Setup::name)
                                                        .collect(Collectors.joining(", "))
                                                + ".")));
    }

    private static ObjectNode unreadable(UnreadableFile problem) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", problem.fileName());
        ArrayNode problems = node.putArray("problems");
        problem.problems()
                .forEach(each -> problems.addObject()
                        .put("place", each.place())
                        .put("problem", each.what())
                        .put("remedy", each.remedy()));
        return node;
    }

    private void print(Run run) {
        LevelPlan plan = LevelPlan.of(run);
        Advice advice = Adviser.advise(run);
        LevelVerdict verdict = LevelVerdict.of(plan, advice);
        output.line(run.name() + ": " + verdict.sentence());
        output.line(String.format(
                Locale.ROOT,
                "  %-24s %12s %12s %12s %12s %12s",
                "",
                "peak",
                "average",
                "noise",
                "clips at",
                "headroom"));
        for (StageLevel stage : plan.stages()) {
            output.line(String.format(
                    Locale.ROOT,
                    "  %-24s %12s %12s %12s %12s %12s",
                    stage.stage().label(),
                    stage.peak(),
                    stage.average(),
                    stage.floor(),
                    stage.stage().ceiling().map(Object::toString).orElse("–"),
                    stage.headroom().map(Object::toString).orElse("–")));
        }
        output.line("  in the track: peak " + plan.trackPeak() + ", average " + plan.trackAverage() + ", noise "
                + plan.trackFloor() + " (re a full-scale sine); aim " + run.aim());
        for (Setting setting : advice.settings()) {
            output.line("  " + setting.present().name() + " on " + setting.owner() + ": "
                    + setting.present().reading()
                    + (setting.stays() ? ", stays" : " → " + setting.advised().reading()));
        }
        for (Finding finding : LevelRules.check(plan, advice)) {
            output.finding(finding);
        }
        output.line("  next: " + verdict.nextStep());
    }
}
