package kalodyne.command;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.verdict.TakeContext;

/** The runs of a setup that takes are judged by. */
final class TakesOfRuns {
    private final Path file;
    private final Setup setup;
    private final List<Checked> joints;
    private final SetupLevels levels;

    private TakesOfRuns(Path file, ChosenSetup chosen) {
        this.file = file;
        setup = chosen.setup();
        joints = chosen.joints();
        levels = chosen.levels();
    }

    /** Reads the first setup of a file. */
    static TakesOfRuns read(Path file) throws UnreadableFile {
        return new TakesOfRuns(file, ChosenSetup.read(file, Optional.empty()));
    }

    /**
     * By what a take is judged: by the run that is asked for, else by the one that has it in its log, else by the only one that is
     * recorded. The knobs are taken to have stood as the log has it, else as they stand now.
     *
     * @param runName empty where none is asked for
     */
    TakeContext contextOf(Path take, Optional<String> runName) throws UnreadableFile {
        Optional<Take> logged = logged(take);
        List<TakeContext> all = contexts(logged.map(Take::positions));
        List<TakeContext> fitting = all.stream()
                .filter(each -> runName.map(name -> each.now().trace().isCalled(name))
                        .orElseGet(() -> logged.map(known -> each.now().trace().isCalled(known.run()))
                                .orElse(true)))
                .toList();
        if (fitting.size() == 1) {
            return fitting.get(0).with(logged.map(Take::tried).orElse(List.of()));
        }
        String choices = all.stream().map(each -> each.now().name()).collect(Collectors.joining(", "));
        throw new UnreadableFile(
                file,
                Problem.ofWhole(
                        all.isEmpty()
                                ? "No run of it is recorded."
                                : "It is not clear which run " + take.getFileName() + " is a take of.",
                        all.isEmpty() ? "Choose a setup with a recorder." : "Name one with --run: " + choices + "."));
    }

    private List<TakeContext> contexts(Optional<Map<Spot, Double>> stood) {
        List<TakeContext> all = new java.util.ArrayList<>();
        for (Trace trace : levels.traces()) {
            LevelPlan plan = levels.plan(trace);
            if (plan.isRecorded()) {
                all.add(TakeContext.of(levels, trace, stood.orElseGet(plan::positions), joints));
            }
        }
        return all;
    }

    private Optional<Take> logged(Path take) {
        Path folder = file.toAbsolutePath().getParent();
        Path wanted = take.toAbsolutePath().normalize();
        return setup.takes().stream()
                .filter(each -> folder.resolve(each.file()).normalize().equals(wanted))
                .findFirst();
    }
}
