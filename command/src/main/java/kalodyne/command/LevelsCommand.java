package kalodyne.command;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.findings.Finding;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Sensitivity;
import kalodyne.core.levels.gain.Turn;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
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

    @Option(
            names = "--advise",
            description = "Also where every knob of what is plugged should stand, and what each school of gain costs.")
    private boolean advise;

    @Option(names = "--json", description = "Print JSON, as docs/formats/levels.md describes.")
    private boolean json;

    private final Output output;

    public LevelsCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            ChosenSetup chosen = ChosenSetup.read(file, Optional.ofNullable(setupName));
            Studio studio = chosen.studio();
            Setup setup = chosen.setup();
            SetupLevels plugged = chosen.levels();
            List<RunLevels> all = new ArrayList<>();
            plugged.traces().forEach(trace -> all.add(plugged.run(trace)));
            if (json) {
                ObjectNode node = LevelsJson.of(file, studio.name(), setup.name(), all);
                if (advise) {
                    ObjectNode advice = LevelsJson.advice(plugged);
                    advice.set("changes", LevelsJson.changes(plugged, setup.settings()));
                    node.set("advice", advice);
                }
                output.json(node);
            } else {
                all.forEach(this::print);
                if (all.isEmpty()) {
                    output.line("There are no runs in this setup.");
                }
                if (advise) {
                    print(plugged);
                    LevelsJson.changes(plugged, setup.settings())
                            .forEach(change ->
                                    output.line("  " + change.get("run").asText() + ": "
                                            + change.get("words").asText()));
                }
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

    private void print(RunLevels run) {
        LevelPlan plan = run.plan();
        output.line(plan.name() + ": " + run.verdict().sentence());
        output.line(String.format(
                Locale.ROOT,
                "  %-36s %12s %12s %12s %12s %12s %7s",
                "",
                "peak",
                "average",
                "noise",
                "clips at",
                "headroom",
                "share"));
        for (StageLevel stage : plan.stages()) {
            output.line(String.format(
                    Locale.ROOT,
                    "  %-36s %12s %12s %12s %12s %12s %5.0f %%",
                    LevelsJson.label(plan, stage),
                    stage.peak(),
                    stage.average(),
                    stage.floor(),
                    stage.stage().ceiling().map(Object::toString).orElse("–"),
                    stage.headroom().map(Object::toString).orElse("–"),
                    100 * stage.noiseShare()));
        }
        output.line("  " + (plan.isRecorded() ? "in the track" : "at the ears") + ": peak "
                + plan.onScale(plan.endPeak()) + ", average " + plan.onScale(plan.endAverage()) + ", noise "
                + plan.onScale(plan.endFloor()) + (plan.isRecorded() ? " (re a full-scale sine)" : "") + "; aim "
                + plan.aim());
        for (Turn turn : run.advice().turns()) {
            Knob knob = turn.present();
            output.line("  " + knob.control().name() + " on " + knob.owner() + ": "
                    + (knob.isMissed() ? "not known" : knob.control().reading())
                    + (turn.stays()
                            ? ", stays"
                            : " → " + turn.advised().control().reading()));
        }
        for (Finding finding : run.findings()) {
            output.finding(finding);
        }
        output.line("  next: " + run.verdict().nextStep());
    }

    private void print(SetupLevels levels) {
        Flow advised = levels.onceAdvised().flow();
        output.line("All knobs, school “" + levels.wanted().school().title() + "”:");
        for (Turn turn : levels.advised().turns()) {
            output.line("  " + turn.words() + ". "
                    + Sensitivity.of(advised, turn.advised()).words());
        }
    }
}
